import { commonPractice } from '../../care/knowledge/index.js';
import { isTicked } from '../journal.js';
import { settledBy, surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { eveningLookDue } from './eveningLook.js';

const MINUTES_A_THING = 1;

/** On arrival and every evening that is not the last: at home again a look of its own is asked for. */
export const eveningMinute: DutyKind = {
  about: 'outing',
  kinds: 'every',
  settledBy: { seeing: 'outside' },
  name: 'A minute for each thing tonight',
  what: 'Glass by a lamp held flat, caps, what sits loose: what is found the same evening comes off with air.',
  gravity: 'routine',
  setUp: 'torch-and-loupe',
  minutes: MINUTES_A_THING,
  doneBy: 'mark',
  basis: commonPractice,
};

export const eveningMinuteDue: Due<'outing'> = {
  appliesTo: ({ from, to }, { today }) => from <= today && today < to,
  dueFrom: (outing, context, code) => {
    const { journal, facts, today } = context;
    if (journal.of({ kind: 'outing', id: outing.id }).some((e) => e.day === today && isTicked(e.data, code))) return [];
    const things = facts.things.filter((thing) => {
      if (!outing.itemIds.includes(thing.id) || thing.status !== 'in-use') return false;
      // What met sand, salt or rain is asked for by itself, and more gravely.
      if (eveningLookDue.dueFrom(thing, context, 'evening-look').length > 0) return false;
      const tonight = journal.of({ kind: 'thing', id: thing.id }).filter((e) => e.day === today);
      return settledBy(surfacesOfSight('outside', thing), tonight, code).by.length === 0;
    });
    if (things.length === 0) return [];
    return [
      {
        window: { earliest: today, due: today, latest: today },
        facts: { says: 'outing', when: 'tonight', from: outing.from, things: things.map(({ id, name }) => ({ id, name })) },
        minutes: MINUTES_A_THING * things.length,
        part: today,
      },
    ];
  },
};
