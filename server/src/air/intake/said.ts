import { JOI_OPTIONS, PUSHED } from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';

/** What could not be read at all. */
const UNREADABLE: sources.PushedReadings = { readings: [], setAside: [{ index: 0, reason: 'unreadable' }], vitals: {}, aheadMs: null };

/** The readings in a text that came without saying what it is. */
export function readSaid(text: string, now: Date, options: sources.PushOptions): sources.PushedReadings {
  const parsed = sources.parsedText(text);
  if (!parsed) return UNREADABLE;
  const checked = PUSHED[parsed.format].validate(parsed.body, JOI_OPTIONS);
  return checked.error ? UNREADABLE : sources.readPushed(parsed.format, checked.value, now, options);
}
