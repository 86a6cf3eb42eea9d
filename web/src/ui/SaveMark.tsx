import { Check, CloudOff, LoaderCircle, TriangleAlert } from 'lucide-react';
import type { SaveState } from '../api/SavedDocument';

const MARKS = {
  saved: { icon: Check, words: 'Saved', tone: 'text-soft' },
  saving: { icon: LoaderCircle, words: 'Saving…', tone: 'text-soft' },
  retrying: { icon: CloudOff, words: 'Server does not answer; still trying', tone: 'text-lamp' },
  conflict: { icon: TriangleAlert, words: 'Not saved', tone: 'text-act' },
} satisfies Record<SaveState, unknown>;

/** Whether what is on the screen is safe. */
export function SaveMark({ state }: { state: SaveState }) {
  const { icon: Icon, words, tone } = MARKS[state];
  return (
    <span role="status" className={`inline-flex items-center gap-1.5 self-center text-sm ${tone}`}>
      <Icon size={16} aria-hidden="true" /> {words}
    </span>
  );
}
