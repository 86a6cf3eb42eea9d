import { commonPractice } from '../../care/knowledge/index.js';
import { labelOf, runningLow } from '../../supplies/index.js';
import type { DutyKind, Finder } from './duty.js';
import { openFor } from './recurring.js';

/** It may wait until the next errand (our choice). */
const WITHIN_DAYS = 14;

/** What is nearly used up fails in the middle of a clean. */
export const restock: DutyKind = {
  about: 'supply',
  kinds: 'every',
  settledBy: { state: 'enough is there' },
  name: 'Running out',
  what: 'Buy it, or take it out of the drawer if it is no longer used.',
  gravity: 'routine',
  setUp: 'desk',
  minutes: 1,
  doneBy: 'drawer',
  basis: commonPractice,
};

export const findRestock: Finder = (_, { facts, today }) =>
  runningLow(facts.supplies).map(({ thing, stock }) => ({
    subject: { kind: 'supply', id: thing.id, name: labelOf(thing) },
    found: [{ window: openFor(today, WITHIN_DAYS), facts: { says: 'stock', thing: thing.thing, stock } }],
  }));
