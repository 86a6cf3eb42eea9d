import type { HappeningId, Surface } from '../care/knowledge/index.js';

/** Why something falls due, as a code with its facts; the sentence is made in `words`. */
export type DueBecause =
  /** It has never been looked at, or is counted from the day it came on the shelf. */
  | { because: 'never-looked-at' | 'since-on-the-shelf' }
  | { because: 'quarantined' }
  /** Counted from the last look, the last clean, or when it was last ticked off. */
  | { because: 'last-look' | 'last-clean' | 'last-done' }
  | { because: 'left-undone' }
  | { because: 'happened-outdoors'; happening: HappeningId }
  | { because: 'left-in-the-field'; surfaces: Surface[] }
  | { because: 'finish-tacks' | 'finish-was-worked-on' }
  /** `name` is null where an earlier version did not keep which thing it was. */
  | { because: 'shared-a-place'; name: string | null };
export type DueBecauseCode = DueBecause['because'];

/** Every code, once. */
export const DUE_CODES = Object.keys({
  'never-looked-at': true,
  'since-on-the-shelf': true,
  quarantined: true,
  'last-look': true,
  'last-clean': true,
  'last-done': true,
  'left-undone': true,
  'happened-outdoors': true,
  'left-in-the-field': true,
  'finish-tacks': true,
  'finish-was-worked-on': true,
  'shared-a-place': true,
} satisfies Record<DueBecauseCode, true>) as DueBecauseCode[];
