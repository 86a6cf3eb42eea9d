import { commonPractice, type Surface } from '../../care/knowledge/index.js';
import { surfacesOf } from '../../care/kinds/index.js';
import type { Due, DutyKind } from './duty.js';
import { recurringMark } from './recurring.js';

const rhythm = {
  triggers: [
    { on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=6', from: 'last-done' },
    { on: 'use', of: 'outings', count: 20 },
  ],
  earlyDays: 30,
  lateDays: 30,
  minutes: 5,
} as const;

const CONTACTS: Surface = 'contacts';

/** A clean that reached the contacts has done it. */
export const shellAndContacts: DutyKind = {
  about: 'thing',
  kinds: ['lens', 'teleconverter', 'slr-body', 'mirrorless-body', 'accessory'],
  settledBy: { deed: 'tick' },
  name: 'Shell and contacts',
  what: 'Brush the seams and rings, wipe the shell with its own cloth, the contacts with a clean dry swab.',
  gravity: 'routine',
  setUp: 'brush',
  minutes: rhythm.minutes,
  doneBy: 'mark',
  rhythm,
  basis: commonPractice,
};

export const shellAndContactsDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'in-use' && surfacesOf(thing.kind, thing.traits).includes(CONTACTS),
  dueFrom: (thing, context, code) =>
    recurringMark(thing, code, rhythm, context, (data) => data.kind === 'clean' && (data.contacts[CONTACTS] ?? 0) > 0),
};
