import { commonPractice } from '../../care/knowledge/index.js';
import { DRY_FOR_LONG_DAYS } from '../../storage/index.js';
import { addDays, localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';

const SLACK_DAYS = 14;

/** Too dry is no harm for days, it is for weeks; damp in the same place is told first. */
export const tooDry: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { state: 'its air is damp enough' },
  name: 'Too dry',
  what: 'Let some air in: lubricants thicken, leather and cement dry out.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 3,
  doneBy: 'place',
  basis: commonPractice,
};

export const tooDryDue: Due<'place'> = {
  appliesTo: ({ drySince, dampSince }, { now }) =>
    drySince !== null && dampSince === null && Date.parse(now) - Date.parse(drySince) > DRY_FOR_LONG_DAYS * 86_400_000,
  dueFrom: ({ id, drySince }, { facts }) => {
    const due = addDays(localDay(drySince!, facts.timeZone), DRY_FOR_LONG_DAYS);
    return [
      {
        window: { earliest: due, due, latest: addDays(due, SLACK_DAYS) },
        facts: { says: 'air', cause: 'too-dry', placeId: id, since: drySince },
      },
    ];
  },
};
