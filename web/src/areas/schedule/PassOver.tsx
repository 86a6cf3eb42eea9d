import { schedule } from '@bright-keeper/core';
import { capital, SKIPPED } from '@bright-keeper/words';
import { useState } from 'react';
import { Button } from '../../ui/parts';

/** What one lives with is said of what would be handed over, and there. */
const REASONS = schedule.SKIP_REASONS.filter((r) => r !== 'lived-with');

/** Not this time: why, and what one wants to remember of it. The next one is counted from today. */
export function PassOver({ onPass, onLeave }: { onPass: (reason: schedule.SkipReason, note: string) => void; onLeave: () => void }) {
  const [reason, setReason] = useState<schedule.SkipReason>('not-needed');
  const [note, setNote] = useState('');
  return (
    <form
      className="mt-2 flex w-full flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onPass(reason, note.trim());
      }}
    >
      <label className="flex flex-col gap-1 text-sm">
        Not this time, because
        <select className="input" value={reason} onChange={(e) => setReason(e.target.value as schedule.SkipReason)}>
          {REASONS.map((r) => (
            <option key={r} value={r}>
              {capital(SKIPPED[r])}
            </option>
          ))}
        </select>
      </label>
      <label className="flex min-w-0 flex-1 basis-48 flex-col gap-1 text-sm">
        Note (if you like)
        <input className="input" maxLength={500} value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <Button type="submit">Pass it over</Button>
      <Button look="quiet" onClick={onLeave}>
        Keep it
      </Button>
    </form>
  );
}
