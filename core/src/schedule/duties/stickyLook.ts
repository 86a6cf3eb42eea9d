import { natureOf, ourChoice, type Surface } from '../../care/knowledge/index.js';
import { addDays, addMonths } from '../day.js';
import type { ThingFacts } from '../facts.js';
import { isTicked, type JournalData } from '../journal.js';
import { settledBy, stillThere, surfacesWith } from '../settling.js';
import type { Due, DutyKind } from './duty.js';

const AFTER_MONTHS = 2;
const SLACK_DAYS = 14;

/** Where it tacked; after a clean of it, where it was worked on. */
const tackyIn = (data: JournalData, thing: ThingFacts): Surface[] => {
  if (data.kind === 'look') return data.verdicts.filter((v) => v.findings.some((f) => natureOf(f.soil) === 'tacky')).map((v) => v.surface);
  const worked = data.kind === 'clean' ? (Object.keys(data.outcomes) as Surface[]) : [];
  const known = surfacesWith(thing, 'tacky');
  return known.length > 0 ? known : worked;
};

const foundTacky = (data: JournalData): boolean =>
  data.kind === 'look' && data.verdicts.some((v) => v.findings.some((f) => natureOf(f.soil) === 'tacky' && f.severity > 0));

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
    const asked = stillThere(thing, tackyIn(cause.data, thing));
    const inTime = journal.after(cause).filter((e) => e.day >= earliest || isTicked(e.data, code));
    const { by, seen } = settledBy(asked, inTime, code);
    if (asked.length === 0 || by.length > 0) return [];
    const because = cause.data.kind === 'clean' ? 'finish-was-worked-on' : 'finish-tacks';
    return [
      {
        window: { earliest, due, latest: addDays(due, SLACK_DAYS) },
        facts: { says: 'rhythm', because: [{ because }], sight: { asked, seen } },
      },
    ];
  },
};
