import { ourChoice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { openFor } from './recurring.js';

export const goOn: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { state: 'nothing lies half done' },
  name: 'Finish what was begun',
  what: 'A look, a clean or an opening lies half done: go on where you stood.',
  gravity: 'worsens',
  setUp: 'air',
  minutes: 10,
  doneBy: 'go-on',
  basis: ourChoice('What lies open gathers dust, and nobody remembers a week later where they stood.'),
};

export const goOnDue: Due<'thing'> = {
  dueFrom: (thing, { facts }) =>
    thing.open.map((open) => ({
      window: openFor(localDay(open.startedAt, facts.timeZone), 1),
      facts: { says: 'open-work', ...open },
      part: open.work,
    })),
};
