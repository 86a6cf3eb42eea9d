import { useWaiting } from '../../api/useKept';

const DONE = { look: 'Looked at', cleaning: 'Cleaned' } as const;

/** Beside a duty of a thing that was looked at or cleaned here: the household, which makes the list, does not know it yet. */
export function DoneHere({ itemId }: { itemId: string }) {
  const waiting = useWaiting();
  const done = waiting.findLast((w) => (w.kind === 'look' || w.kind === 'cleaning') && w.itemId === itemId && w.endedMs !== null);
  if (done?.kind !== 'look' && done?.kind !== 'cleaning') return null;
  return <p className="text-sm font-semibold text-lamp">{DONE[done.kind]} here; the list is made anew once that is carried over.</p>;
}
