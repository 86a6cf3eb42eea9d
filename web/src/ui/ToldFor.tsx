import { schedule } from '@bright-keeper/core';
import { useState } from 'react';
import { outside } from '../outside';
import { useZone } from './zone';

/** When something was that is told: now, or a moment that was typed. */
export type Told = {
  /** What stands in the field, by the household's clock; null is now. */
  local: string | null;
  /** Null is now. */
  at: string | null;
  /** Why it cannot be told so; null where it can. */
  wrong: string | null;
  setLocal: (local: string | null) => void;
};

/** Until another moment is typed, what is told is of now. @param first what stands in the field to begin with; null for none. */
export function useTold(first: string | null = null): Told {
  const timeZone = useZone();
  const [local, setLocal] = useState(first);
  const at = local === null ? null : schedule.instantOfLocal(local, timeZone);
  const wrong =
    local === null
      ? null
      : at === null
        ? 'Give a day and a time.'
        : Date.parse(at) > outside.now().getTime()
          ? 'This is still to come.'
          : null;
  return { local, at, wrong, setLocal };
}

/** One tap from "now" to another moment, and back. */
export function ToldFor({ told: { local, wrong, setLocal }, id, label }: { told: Told; id: string; label: string }) {
  const timeZone = useZone();
  if (local === null)
    return (
      <button
        type="button"
        className="min-h-11 text-sm underline"
        onClick={() => setLocal(schedule.localOfInstant(outside.now(), timeZone))}
      >
        Not now, earlier…
      </button>
    );
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <div className="flex flex-wrap items-center gap-2">
        <input
          id={id}
          type="datetime-local"
          className="input w-auto"
          value={local}
          aria-invalid={wrong !== null}
          aria-describedby={wrong === null ? undefined : `${id}-wrong`}
          onChange={(e) => setLocal(e.target.value)}
        />
        <button type="button" className="min-h-11 text-sm underline" onClick={() => setLocal(null)}>
          Now after all
        </button>
      </div>
      {wrong !== null && (
        <p id={`${id}-wrong`} role="alert" className="mt-1 text-sm text-act">
          {wrong}
        </p>
      )}
    </div>
  );
}
