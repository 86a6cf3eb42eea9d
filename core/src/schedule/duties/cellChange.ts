import { commonPractice } from '../../care/knowledge/index.js';
import { isTicked } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { recurringOfHygrometer } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=12', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 60,
  minutes: 5,
} as const;

/** A hygrometer whose cell dies leaves a gap in the log, and a cell that leaks ruins it. */
export const cellChange: DutyKind = {
  about: 'hygrometer',
  kinds: 'every',
  settledBy: { deed: 'tick' },
  name: 'Change its cell',
  done: 'It has a new cell',
  what: 'A new cell of the type its maker names; a leaked one is not touched with bare hands. Old cells go to the collection point.',
  gravity: 'routine',
  setUp: 'desk',
  minutes: rhythm.minutes,
  doneBy: 'mark',
  rhythm,
  basis: commonPractice,
};

export const cellChangeDue: Due<'hygrometer'> = {
  appliesTo: (device) => !device.outdoor,
  dueFrom: (device, context, code) => {
    const last = context.journal.last({ kind: 'hygrometer', id: device.id }, (d) => isTicked(d, code));
    return recurringOfHygrometer(device, code, rhythm, last, context);
  },
};
