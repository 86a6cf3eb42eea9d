import { schedule } from '@bright-keeper/core';
import { useSyncExternalStore } from 'react';
import { outside } from '../../outside';

/** A bench day that is being worked through: which day, and its duties in working order. */
export type Run = { day: schedule.Day; ids: string[] };

const KEY = 'bench-run';
let listeners: (() => void)[] = [];

const isRun = (value: unknown): value is Run =>
  typeof value === 'object' && value !== null && typeof (value as Run).day === 'string' && Array.isArray((value as Run).ids);

let read: { text: string | null; run: Run | null } = { text: null, run: null };
/** The run this browser remembers: it survives a reload, and what is no run is none. */
export function currentRun(): Run | null {
  const text = outside.recall(KEY);
  if (text === read.text) return read.run;
  let run: Run | null;
  try {
    const value: unknown = text === null ? null : JSON.parse(text);
    run = isRun(value) ? value : null;
  } catch {
    run = null;
  }
  read = { text, run };
  return run;
}

export function setRun(run: Run | null): void {
  outside.remember(KEY, run && JSON.stringify(run));
  for (const listener of listeners) listener();
}

export const useRun = (): Run | null =>
  useSyncExternalStore((listener) => {
    listeners = [...listeners, listener];
    return () => void (listeners = listeners.filter((l) => l !== listener));
  }, currentRun);

/** What of a run is still to do: a duty that is not due any more is done, wherever it was done. */
export function leftOf({ ids }: Run, duties: readonly schedule.Duty[]): schedule.Duty[] {
  const due = new Map(duties.filter((d) => d.ahead === 0).map((d) => [d.id, d]));
  return ids.flatMap((id) => due.get(id) ?? []);
}
