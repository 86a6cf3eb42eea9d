import { commonPractice } from '../../care/knowledge/index.js';
import { later, localDay } from '../day.js';
import { isTicked } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { openFor, recurringOfHygrometer } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=12', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 60,
  minutes: 5,
} as const;

/** What calls its battery low may go on for so long (our choice). */
const LOW_WITHIN_DAYS = 7;

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
  // One outdoors may live on the mains or the sun: only its own word says that it has a battery.
  appliesTo: ({ outdoor, batteryLow }) => !outdoor || !!batteryLow,
  dueFrom: (device, context, code) => {
    const last = context.journal.last({ kind: 'hygrometer', id: device.id }, (d) => isTicked(d, code));
    const { batteryLow } = device;
    // What it said before it was given a new one is of the old one.
    if (batteryLow && (last?.at ?? '') < batteryLow.at)
      return [
        {
          window: openFor(later(localDay(batteryLow.since, context.facts.timeZone), last?.day ?? ''), LOW_WITHIN_DAYS),
          gravity: 'worsens',
          facts: { says: 'battery', pct: batteryLow.pct },
        },
      ];
    return device.outdoor ? [] : recurringOfHygrometer(device, code, rhythm, last, context);
  },
};
