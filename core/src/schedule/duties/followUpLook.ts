import { ourChoice } from '../../care/knowledge/index.js';
import { isSkipped } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { around, isLook } from './recurring.js';

const AFTER_DAYS = 14;
const SLACK_DAYS = 7;

export const followUpLook: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'what-was-left' },
  name: 'Look again: not done yet',
  what: 'What was left undone or would not come off: look whether it has changed.',
  gravity: 'worsens',
  setUp: 'torch-and-loupe',
  minutes: 5,
  doneBy: 'look',
  basis: ourChoice('Two weeks is soon enough to catch growth and late enough to see a change.'),
};

export const followUpLookDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'in-use',
  dueFrom: (thing, { journal }, code) => {
    const last = journal.last({ kind: 'thing', id: thing.id }, (d) => isLook(d) || isSkipped(d, code));
    if (last?.data.kind !== 'clean' || Object.values(last.data.outcomes).every((o) => o === 'clean-enough')) return [];
    return [{ window: around(last.day, AFTER_DAYS, SLACK_DAYS), facts: { says: 'rhythm', because: [{ because: 'left-undone' }] } }];
  },
};
