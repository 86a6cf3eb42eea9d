import { ourChoice } from '../../care/knowledge/index.js';
import type { PlaceGel } from '../facts.js';
import { rhythmFor } from '../rhythms.js';
import { daysBetween, localDay } from '../day.js';
import { firstCall } from '../triggers.js';
import { windowOf } from '../dueWindows.js';
import type { Due, DutyKind } from './duty.js';
import { MS_PER_DAY } from '../../units.js';

/** Gel is worth a word so many days before it is spent (our choice: time for an evening at the oven). */
const WARNING_DAYS = 14;

const rhythm = { triggers: [{ on: 'climate', sign: 'gel', daysAhead: WARNING_DAYS }], earlyDays: 0, lateDays: 0, minutes: 15 } as const;

/** Spent by this time tomorrow: damp in its box comes of that, and is not a second cause. */
export const isGelSpent = (gel: PlaceGel | null, now: string): boolean =>
  gel?.spentOn != null && Date.parse(gel.spentOn) <= Date.parse(now) + MS_PER_DAY;

export const gelSpent: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { deed: 'gel' },
  name: 'Dry the gel again',
  what: 'In the oven at its maker’s temperature until it weighs or shows dry; then note it here.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: rhythm.minutes,
  doneBy: 'gel',
  rhythm,
  basis: ourChoice('The forecast reckons with the seal, the air around and the gel; two weeks leave time for an evening at the oven.'),
};

export const gelSpentDue: Due<'place'> = {
  appliesTo: ({ gel }) => gel?.spentOn != null,
  dueFrom: ({ id, gel }, context, code) => {
    const held = rhythmFor(code, rhythm, { id }, context.changes);
    if (!held) return [];
    const { facts, today } = context;
    const { kind, massG, left, knownFrom, spentOn } = gel!;
    // Counted on the calendar, as every page tells a day that is to come.
    const daysLeft = daysBetween(today, localDay(spentOn!, facts.timeZone));
    const asked = {
      lastDone: today,
      earlyDays: 0,
      today,
      zone: facts.timeZone,
      uses: [],
      foretold: context.foretold(id),
      fungusRisk: false,
    };
    const call = firstCall(held.triggers, asked);
    if (!call) return [];
    return [
      {
        window: windowOf(call, held),
        minutes: held.minutes,
        ...(call.estimate && daysLeft > 0 ? { estimate: call.estimate } : {}),
        ...(daysLeft <= 0 ? { gravity: 'harms' as const } : {}),
        facts: { says: 'air', cause: 'gel-spent', daysLeft, kind, massG, left, knownFrom, placeId: id, since: null },
      },
    ];
  },
};
