import { startTransition, useCallback, useMemo, useOptimistic } from 'react';
import { useLocation, useSearchParams, type NavigateOptions } from 'react-router';
import { outside } from '../outside';

/** The choices with one of them changed; null takes it away. */
export function withChoice(choices: URLSearchParams, key: string, value: string | null): URLSearchParams {
  const next = new URLSearchParams(choices);
  if (value === null) next.delete(key);
  else next.set(key, value);
  return next;
}

/** What was chosen among these, as an address says it; the usual where it says none of them. */
export const chosenOf = <T extends string>(ways: Record<T, unknown>, asked: string | null, usual: T): T =>
  asked !== null && Object.hasOwn(ways, asked) ? (asked as T) : usual;

export type Choose = (next: URLSearchParams | Record<string, string>, options?: NavigateOptions) => void;

/**
 * Tells whether the browser is still where this page is.
 * A page one goes away from stays drawn until the next one has come: what it writes into its address meanwhile, after
 * a pause of typing, would call the reader back.
 */
export function useIsHere(): () => boolean {
  const { pathname } = useLocation();
  // The router draws another path once the browser has it.
  const here = useMemo(() => ({ drawn: pathname, at: outside.path() }), [pathname]);
  return useCallback(() => outside.path() === here.at, [here]);
}

/**
 * What is chosen on a page, kept in its address, and how it is changed.
 * The router draws a new address when there is time for it: until then a box would jump back, and a second quick
 * tap would be reckoned from what was chosen before the first. So a choice stands here at once. Once the reader has
 * gone on, nothing is chosen here any more.
 */
export function useChoices(): [choices: URLSearchParams, choose: Choose] {
  const [address, setAddress] = useSearchParams();
  const [choices, showAtOnce] = useOptimistic(address);
  const isHere = useIsHere();
  const choose: Choose = (next, options) =>
    startTransition(() => {
      if (!isHere()) return;
      showAtOnce(new URLSearchParams(next));
      setAddress(next, options);
    });
  return [choices, choose];
}
