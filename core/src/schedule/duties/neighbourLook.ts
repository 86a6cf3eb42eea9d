import { commonPractice } from '../../care/knowledge/index.js';
import { addDays } from '../day.js';
import { isTicked } from '../journal.js';
import { settledBy, surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';

const SLACK_DAYS = 4;

const neighbourLook = (when: string): DutyKind => ({
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'inside' },
  name: `Neighbour of a quarantined thing: look ${when}`,
  what: 'A torch through from behind: threads, spots or a veil?',
  gravity: 'worsens',
  setUp: 'torch-and-loupe',
  minutes: 8,
  doneBy: 'look',
  basis: commonPractice,
});

export const neighbourLookNow = neighbourLook('now');
export const neighbourLook4Weeks = neighbourLook('after 4 weeks');
export const neighbourLook12Weeks = neighbourLook('after 12 weeks');

/** What shared a place with something that turned out to have fungus is looked through three times. */
export const neighbourLookDue = (afterDays: number): Due<'thing'> => ({
  appliesTo: (thing) => thing.status === 'in-use',
  dueFrom: (thing, { journal }, code) => {
    const subject = { kind: 'thing', id: thing.id } as const;
    const cause = journal.last(subject, (d) => d.kind === 'neighbour-isolated');
    if (cause?.data.kind !== 'neighbour-isolated') return [];
    const due = addDays(cause.day, afterDays);
    const earliest = addDays(due, -SLACK_DAYS);
    // A torch through it, and in the days that were meant: a wiped front tells nothing of what grows inside.
    const asked = surfacesOfSight('inside', thing);
    const inTime = journal.after(cause).filter((e) => e.day >= earliest || isTicked(e.data, code));
    const { by, seen } = settledBy(asked, inTime, code);
    if (by.length > 0) return [];
    return [
      {
        window: { earliest, due, latest: addDays(due, SLACK_DAYS) },
        facts: { says: 'rhythm', because: [{ because: 'shared-a-place', name: cause.data.name }], sight: { asked, seen } },
      },
    ];
  },
});
