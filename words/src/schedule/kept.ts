import type { schedule } from '@bright-keeper/core';

/** Why something that was told is not taken back, and what to do instead. */
const KEPT_WORDS: Record<schedule.KeptReason, string> = {
  gone: 'It was taken back already.',
  'work-stands': 'What was done to it was done: it stays in the log.',
  'cleaned-since': 'A clean began from what was seen here: it stands. Look again, and the new look counts.',
  'under-way': 'A clean that is under way began from it: end that first.',
  'split-off': 'What was seen before stands in the log of the line it was split off from: look again instead.',
  'changed-since': 'It was changed again since: take that back first, or edit it.',
  'moved-since': 'It was moved since: take that back first, or say where it lies.',
  'not-kept': 'An earlier version of Bright Keeper did not keep what stood there before: say it anew.',
  'its-place-is-gone': 'The place it lay in before was given up: say where it lies.',
};
export const keptWords = (because: schedule.KeptReason): string => KEPT_WORDS[because];
