import { startTransition, useOptimistic } from 'react';
import { useSearchParams, type NavigateOptions } from 'react-router';

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
 * What is chosen on a page, kept in its address, and how it is changed.
 * The router draws a new address when there is time for it: until then a box would jump back, and a second quick
 * tap would be reckoned from what was chosen before the first. So a choice stands here at once.
 */
export function useChoices(): [choices: URLSearchParams, choose: Choose] {
  const [address, setAddress] = useSearchParams();
  const [choices, showAtOnce] = useOptimistic(address);
  const choose: Choose = (next, options) =>
    startTransition(() => {
      showAtOnce(new URLSearchParams(next));
      setAddress(next, options);
    });
  return [choices, choose];
}
