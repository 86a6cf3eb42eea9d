import { commonPractice } from '../../care/knowledge/index.js';
import { settledBy, surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { openFor } from './recurring.js';

const WITHIN_DAYS = 2;

/** What was at a workshop or on loan has been in other air and other hands. */
export const returnLook: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'everything' },
  name: 'Look at it: it is back',
  what: 'Every surface under the lamp and a torch through, before it goes to the others.',
  gravity: 'worsens',
  setUp: 'torch-and-loupe',
  minutes: 8,
  doneBy: 'look',
  basis: commonPractice,
};

export const returnLookDue: Due<'thing'> = {
  dueFrom: (thing, { journal }, code) => {
    const subject = { kind: 'thing', id: thing.id } as const;
    const back = journal.last(subject, (d) => d.kind === 'back');
    if (!back) return [];
    const asked = surfacesOfSight('everything', thing);
    const { by, seen } = settledBy(asked, journal.after(back), code);
    if (by.length > 0) return [];
    return [
      { window: openFor(back.day, WITHIN_DAYS), facts: { says: 'rhythm', because: [{ because: 'came-back' }], sight: { asked, seen } } },
    ];
  },
};
