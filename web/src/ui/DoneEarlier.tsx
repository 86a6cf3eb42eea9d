import { schedule } from '@bright-keeper/core';
import type { ReactNode } from 'react';
import { outside } from '../outside';
import { Button } from './parts';
import { useTold } from './ToldFor';
import { useZone } from './zone';

type Props = { onDone: (at: string) => void; onLeave: () => void; label?: string; children?: ReactNode };

/** It was done at an earlier time: when. The next one is counted from there. @param children what else is to be known of it. */
export function DoneEarlier({ onDone, onLeave, label = 'It was done on', children }: Props) {
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
        {label}
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
      {children}
      <Button type="submit" disabled={wrong !== null}>
        Done then
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Not yet
      </Button>
    </form>
  );
}
