import { commonPractice } from '../../care/knowledge/index.js';
import { CLOSED_FOR_LONG_DAYS } from '../../storage/index.js';
import { addDays, localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';

/** Things forgotten in a bag or case: trapped damp, and finishes that turn sticky. */
export const airOut: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { state: 'it lies open' },
  name: 'Take it out and air it',
  what: 'Bags and cases are for travel: out, open, dry, then to where it lives.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 3,
  doneBy: 'move',
  basis: commonPractice,
};

export const airOutDue: Due<'thing'> = {
  appliesTo: ({ stay }) => stay !== null && stay.forTravel,
  dueFrom: ({ id, stay }, { facts }) => {
    const since = localDay(stay!.since, facts.timeZone);
    const latest = addDays(since, CLOSED_FOR_LONG_DAYS);
    return [
      {
        // Fourteen days are the warning; from the day after it is late.
        window: { earliest: addDays(since, 1), due: latest, latest },
        facts: { says: 'air', cause: 'too-closed', itemId: id, placeId: stay!.placeId, since: stay!.since },
      },
    ];
  },
};
