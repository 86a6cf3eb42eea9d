import { ourChoice, type Surface } from '../../care/knowledge/index.js';
import type { JournalData } from '../journal.js';
import { settledBy, stillThere } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { around } from './recurring.js';

const AFTER_DAYS = 14;
const SLACK_DAYS = 7;

/** What a clean left undone, or would not come off. */
const leftBy = (data: JournalData): Surface[] =>
  data.kind === 'clean' ? (Object.keys(data.outcomes) as Surface[]).filter((s) => data.outcomes[s] !== 'clean-enough') : [];

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
    const cause = journal.last({ kind: 'thing', id: thing.id }, (d) => leftBy(d).length > 0);
    if (!cause) return [];
    const asked = stillThere(thing, leftBy(cause.data));
    const { by, seen } = settledBy(asked, journal.after(cause), code);
    if (asked.length === 0 || by.length > 0) return [];
    return [
      {
        window: around(cause.day, AFTER_DAYS, SLACK_DAYS),
        facts: { says: 'rhythm', because: [{ because: 'left-undone' }], sight: { asked, seen } },
      },
    ];
  },
};
