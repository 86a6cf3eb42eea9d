import { commonPractice } from '../../care/knowledge/index.js';
import { isTicked } from '../journal.js';
import type { Due, DutyKind } from './duty.js';

/** What was out in the cold comes home in a bag that is closed before the door is, and waits until it is warm. */
export const comesInCold: DutyKind = {
  about: 'outing',
  kinds: 'every',
  settledBy: { deed: 'tick' },
  name: 'Close the bag before you go in',
  what: 'Cold glass in warm air is wet within seconds, inside as well: it stays shut until it is as warm as the room.',
  gravity: 'harms',
  setUp: 'desk',
  minutes: 1,
  doneBy: 'warm-up',
  basis: commonPractice,
};

/** On the day one comes home. Once the wait has begun, the timer asks for the rest. */
export const comesInColdDue: Due<'outing'> = {
  appliesTo: ({ isCold, to, itemIds }, { today }) => isCold === true && to >= today && itemIds.length > 0,
  dueFrom: (outing, { journal, facts }, code) => {
    const things = facts.things.filter(({ id }) => outing.itemIds.includes(id));
    const isDone = journal.of({ kind: 'outing', id: outing.id }).some((e) => e.day >= outing.from && isTicked(e.data, code));
    if (things.length === 0 || isDone) return [];
    return [
      {
        window: { earliest: outing.to, due: outing.to, latest: outing.to },
        facts: { says: 'outing', when: 'coming-in', from: outing.from, things: things.map(({ id, name }) => ({ id, name })) },
      },
    ];
  },
};
