import { commonPractice } from '../knowledge/basis.js';
import { openingBar, type Bar } from '../reach.js';
import type { Context } from '../types.js';
import { rule, type Candidate } from './rule.js';

/** Only undoing a ring is ruled here; who may at all is said in one place, `openingBar`. */
const undoesBarred = ({ method }: Candidate, context: Context, ...bars: Bar[]): boolean => {
  const bar = method === 'open-group' ? openingBar(context) : null;
  return bar !== null && bars.includes(bar);
};

/** What its owner never opens. */
export const openingRules = [
  rule({
    id: 'no-opening-of-radioactive-glass',
    title: 'No opening of suspected radioactive glass',
    words: ['thorium', 'thoriated', 'radioactive'],
    basis: commonPractice,
    forbids: (candidate, context) => undoesBarred(candidate, context, 'radioactive'),
  }),
  rule({
    id: 'no-opening-of-electronics',
    title: 'Electronics go to a workshop',
    basis: commonPractice,
    forbids: (candidate, context) => undoesBarred(candidate, context, 'electronic'),
  }),
  rule({
    id: 'no-opening-by-the-owner',
    title: 'What holds a charge, or was centred on a bench, is not opened by its owner',
    basis: commonPractice,
    forbids: (candidate, context) =>
      undoesBarred(candidate, context, 'flash', 'centred-front', 'lithium-inside', 'shutter-inside', 'nothing-behind-a-ring'),
  }),
];
