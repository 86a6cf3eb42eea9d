import { isSkipped } from '../journal.js';
import { commonPractice } from '../../care/knowledge/index.js';
import { isWashable, labelOf, USES_BEFORE_WASH } from '../../supplies/index.js';
import { localDay, addDays } from '../day.js';
import { nextAfter, plainEvery } from '../recurrence.js';
import { rhythmFor } from '../rhythms.js';
import type { SupplyFacts } from '../facts.js';
import type { Context, DutyKind, Finder, Found } from './duty.js';
import { openFor } from './recurring.js';

const EVERY = 'FREQ=MONTHLY;INTERVAL=1';
const rhythm = {
  triggers: [{ on: 'calendar', rrule: EVERY, from: 'last-done' }],
  earlyDays: 7,
  lateDays: 7,
  minutes: 5,
} as const;

/** A cloth nobody used stays clean: the month counts only for one that was used. */
function washDue(supply: SupplyFacts, context: Context, code: string): Found[] {
  const { journal, facts, today, changes } = context;
  const held = rhythmFor(code, rhythm, { id: supply.id }, changes);
  if (!held) return [];
  const washed = journal.last({ kind: 'supply', id: supply.id }, (d) => d.kind === 'washed' || isSkipped(d, code));
  const since = washed?.day ?? localDay(supply.addedAt, facts.timeZone);
  const said: Found['facts'] = {
    says: 'cloth',
    uses: supply.usesSinceWash,
    washedOn: washed?.day ?? null,
    dirty: supply.state === 'dirty',
  };
  const wornOut = supply.state === 'dirty' || supply.usesSinceWash >= USES_BEFORE_WASH;
  if (wornOut) return [{ window: openFor(today, held.lateDays), facts: said, minutes: held.minutes, gravity: 'spoils' }];
  if (supply.usesSinceWash === 0) return [];
  const calendar = held.triggers.find((t) => t.on === 'calendar');
  const every = calendar ? plainEvery(calendar.rrule) : null;
  if (!every) return [];
  const due = nextAfter(since, every);
  return [
    { window: { earliest: addDays(due, -held.earlyDays), due, latest: addDays(due, held.lateDays) }, facts: said, minutes: held.minutes },
  ];
}

export const clothWash: DutyKind = {
  about: 'supply',
  kinds: 'every',
  settledBy: { deed: 'wash' },
  name: 'Wash it',
  what: 'Warm water, a drop of mild soap, no softener; dry it where no dust flies.',
  gravity: 'routine',
  setUp: 'wet-work',
  minutes: rhythm.minutes,
  doneBy: 'wash',
  rhythm,
  basis: commonPractice,
};

export const findClothWash: Finder = (code, context) =>
  context.facts.supplies
    .filter((s) => isWashable(s.thing))
    .map((s) => ({ subject: { kind: 'supply', id: s.id, name: labelOf(s) }, found: washDue(s, context, code) }));
