import { schedule } from '@bright-keeper/core';
import { outside } from '../../outside';
import { Button } from '../../ui/parts';
import { useTold } from '../../ui/ToldFor';
import { useZone } from '../../ui/zone';

/** It was done before today: on which day. The next one is counted from there. */
export function DoneEarlier({ onDone, onLeave }: { onDone: (at: string) => void; onLeave: () => void }) {
  const timeZone = useZone();
  const now = schedule.localOfInstant(outside.now(), timeZone);
  const { local, at, wrong, setLocal } = useTold(now);
  return (
    <form
      className="mt-2 flex w-full flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (at !== null && wrong === null) onDone(at);
      }}
    >
      <label className="flex flex-col gap-1 text-sm">
        It was done on
        <input
          type="datetime-local"
          className="input"
          required
          max={now}
          value={local ?? ''}
          aria-invalid={wrong !== null}
          onChange={(e) => setLocal(e.target.value)}
        />
        {wrong !== null && <span className="text-act">{wrong}</span>}
      </label>
      <Button type="submit" disabled={wrong !== null}>
        Done then
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Not yet
      </Button>
    </form>
  );
}
