import { commonPractice } from '../../care/knowledge/index.js';
import { earlier, later, localDay } from '../day.js';
import { settledBy, surfacesOfSight } from '../settling.js';
import type { Exposure } from '../triggers.js';
import type { Due, DutyKind } from './duty.js';

/** What does not wait for the end of an outing of many days. */
const DOES_NOT_WAIT: readonly Exposure[] = ['salt', 'sand', 'rain'];

export const eveningLook: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'outside' },
  name: 'Look at it tonight: still under way',
  what: 'What was out in sand, salt or rain is looked at the same evening: fresh water for salt, air for grains, dried open.',
  gravity: 'harms',
  setUp: 'torch-and-loupe',
  minutes: 4,
  doneBy: 'look',
  basis: commonPractice,
};

/** An outing of many days asks in between, the evening something was met, and not only at its end. */
export const eveningLookDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'in-use',
  dueFrom: (thing, { facts, journal, today }, code) =>
    facts.outings.flatMap(({ id, name, from, to, notedAt, itemIds, met: all }) => {
      const met = all.find((m) => DOES_NOT_WAIT.includes(m));
      if (!met || !itemIds.includes(thing.id) || from > today || to <= today) return [];
      const day = later(from, earlier(localDay(notedAt, facts.timeZone), today));
      const asked = surfacesOfSight('outside', thing);
      const since = journal.of({ kind: 'thing', id: thing.id }).filter((e) => e.at > notedAt);
      const { by, seen } = settledBy(asked, since, code);
      if (by.length > 0) return [];
      return [
        {
          window: { earliest: day, due: day, latest: day },
          facts: { says: 'rhythm', because: [{ because: 'met-under-way', met, name }], sight: { asked, seen } },
          part: id,
        },
      ];
    }),
};
