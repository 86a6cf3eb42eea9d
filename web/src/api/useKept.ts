import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Kept, Waiting } from '../kept';
import { keptHere } from './kept';
import { reach } from './reach';

/** What this browser keeps; null where it keeps nothing, undefined until that is known. */
export function useKept(): Kept | null | undefined {
  const [kept, setKept] = useState<Kept | null>();
  useEffect(() => void keptHere().then(setKept), []);
  return kept;
}

const NOTHING: readonly Waiting[] = [];
const nobody = () => () => undefined;
const nothing = () => NOTHING;

/** What was done here and waits to be carried over, in order. */
export function useWaiting(): readonly Waiting[] {
  const room = useKept()?.room;
  return useSyncExternalStore(room?.subscribe ?? nobody, room?.list ?? nothing);
}

/** Whether a document of this id waits. */
export const useWaits = (id: string): boolean => useWaiting().some((w) => w.id === id);

/** Since when the household has been out of reach, ms; null while it answers, or where nothing is kept for that. */
export function useAwaySince(): number | null {
  const kept = useKept();
  const since = useSyncExternalStore(reach.subscribe, reach.get);
  return kept ? since : null;
}

/** The id under which something goes on that began here; null while it is under its own. */
export function useGoesOnAs(id: string): string | null {
  const kept = useKept();
  return useSyncExternalStore(kept?.subscribe ?? nobody, () => kept?.goesOnAs(id) ?? null);
}
