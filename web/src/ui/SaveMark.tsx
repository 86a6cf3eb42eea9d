import { ArrowUpFromLine, Check, CloudOff, LoaderCircle, TriangleAlert } from 'lucide-react';
import { useWaits } from '../api/useKept';
import type { SaveState } from '../api/SavedDocument';

const MARKS = {
  saved: { icon: Check, words: 'Saved', tone: 'text-soft' },
  saving: { icon: LoaderCircle, words: 'Saving…', tone: 'text-soft' },
  retrying: { icon: CloudOff, words: 'Server does not answer; still trying', tone: 'text-lamp' },
  conflict: { icon: TriangleAlert, words: 'Not saved', tone: 'text-act' },
} satisfies Record<SaveState, unknown>;
const KEPT = { icon: ArrowUpFromLine, words: 'Kept here, to be carried over', tone: 'text-lamp' };

/** Whether what is on the screen is safe, and where. */
export function SaveMark({ id, state }: { id: string; state: SaveState }) {
  const waits = useWaits(id);
  const { icon: Icon, words, tone } = state === 'saved' && waits ? KEPT : MARKS[state];
  return (
    <span role="status" className={`inline-flex items-center gap-1.5 self-center text-sm ${tone}`}>
      <Icon size={16} aria-hidden="true" /> {words}
    </span>
  );
}
