import { ourChoice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { openFor } from './recurring.js';

const WITHIN_DAYS = 3;

export const silent: DutyKind = {
  about: 'hygrometer',
  kinds: 'every',
  settledBy: { state: 'it is heard again' },
  name: 'It is silent',
  what: 'Look at its battery and its network.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 5,
  doneBy: 'hygrometer',
  basis: ourChoice('Six of its intervals without a word, and at least two hours.'),
};

export const silentDue: Due<'hygrometer'> = {
  appliesTo: (device) => device.silent,
  dueFrom: ({ id, lastHeardAt }, { facts, today }) => [
    {
      window: openFor(lastHeardAt ? localDay(lastHeardAt, facts.timeZone) : today, WITHIN_DAYS),
      facts: { says: 'air', cause: 'silent', deviceId: id, placeId: null, since: lastHeardAt },
    },
  ],
};
