import { schedule } from '@bright-keeper/core';
import { useState } from 'react';
import { outside } from '../../outside';
import { Button } from '../../ui/parts';
import { useZone } from '../../ui/zone';

/** It was done before today: on which day. The next one is counted from there. */
export function DoneEarlier({ onDone, onLeave }: { onDone: (at: string) => void; onLeave: () => void }) {
  const timeZone = useZone();
  const now = schedule.localOfInstant(outside.now(), timeZone);
  const [local, setLocal] = useState(now);
  const at = schedule.instantOfLocal(local, timeZone);
  const isAhead = at !== null && Date.parse(at) > outside.now().getTime();
  return (
    <form
      className="mt-2 flex w-full flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (at !== null && !isAhead) onDone(at);
      }}
    >
      <label className="flex flex-col gap-1 text-sm">
        It was done on
        <input
          type="datetime-local"
          className="input"
          required
          max={now}
          value={local}
          aria-invalid={isAhead}
          onChange={(e) => setLocal(e.target.value)}
        />
        {isAhead && <span className="text-act">This is still to come.</span>}
      </label>
      <Button type="submit" disabled={at === null || isAhead}>
        Done then
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Not yet
      </Button>
    </form>
  );
}
