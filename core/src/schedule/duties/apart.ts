import { commonPractice } from '../../care/knowledge/index.js';
import { isDisputed } from '../../storage/index.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { openFor } from './recurring.js';

/** A week is a salt test for both, one night each, with days to spare (our choice). */
const WITHIN_DAYS = 7;

/** Two hygrometers in the same air that say different things: every word about that air hangs on which is right. */
export const apart: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { state: 'they agree again, or both were tested since' },
  name: 'Hygrometers disagree',
  what: 'See whether one lies in the sun, on a wall or by the door; then give both a salt test.',
  gravity: 'worsens',
  setUp: 'salt-jars',
  minutes: 15,
  doneBy: 'hygrometer',
  basis: commonPractice,
};

export const apartDue: Due<'place'> = {
  appliesTo: (place) => isDisputed(place.apart),
  dueFrom: ({ id, apart }, { facts }) => {
    const { since, ...told } = apart!;
    return [
      {
        window: openFor(localDay(since, facts.timeZone), WITHIN_DAYS),
        facts: { says: 'air', cause: 'apart', ...told, placeId: id, since },
      },
    ];
  },
};
