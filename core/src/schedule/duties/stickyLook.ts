import { ourChoice } from '../../care/knowledge/index.js';
import { addDays, addMonths } from '../day.js';
import { isSkipped, type JournalData } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { isLook } from './recurring.js';

const AFTER_MONTHS = 2;
const SLACK_DAYS = 14;

const foundTacky = (data: JournalData): boolean =>
  data.kind === 'look' && data.verdicts.some((v) => v.findings.some((f) => f.soil === 'sticky-coating' && f.severity > 0));

export const stickyLook: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'tacky' },
  name: 'Look again: sticky finish',
  what: 'Press a fingertip on it: does it still tack? It turns again where it is shut away, so it stands open.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 3,
  doneBy: 'look',
  basis: ourChoice('Airing takes two to twelve months; two is soon enough to see whether it helps.'),
};

export const stickyLookDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'in-use',
  dueFrom: (thing, { journal }, code) => {
    const subject = { kind: 'thing', id: thing.id } as const;
    const cause = journal.last(subject, (d) => foundTacky(d) || (d.kind === 'clean' && d.tacky === true));
    if (!cause) return [];
    const due = addMonths(cause.day, AFTER_MONTHS);
    const earliest = addDays(due, -SLACK_DAYS);
    // A look before the window opens is not the one that tells whether airing helped.
    const answered = journal.after(cause).some((e) => (isLook(e.data) && e.day >= earliest) || isSkipped(e.data, code));
    if (answered) return [];
    const because = cause.data.kind === 'clean' ? 'finish-was-worked-on' : 'finish-tacks';
    return [{ window: { earliest, due, latest: addDays(due, SLACK_DAYS) }, facts: { says: 'rhythm', because: [{ because }] } }];
  },
};
