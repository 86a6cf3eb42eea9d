import type { HappeningId, Surface } from '../care/knowledge/index.js';
import type { SkipReason } from './journal.js';
import type { Exposure, UseUnit } from './triggers.js';

/** Why something falls due, as a code with its facts; the sentence is made in `words`. */
export type DueBecause =
  /** It has never been looked at, or is counted from the day it came on the shelf. */
  | { because: 'never-looked-at' | 'since-on-the-shelf' }
  /** Some of what is asked for was looked at, and not all. */
  | { because: 'half-looked-at' }
  /** It was under way with it on an outing that met this. */
  | { because: 'met-under-way'; met: Exposure; name: string }
  /** It came home from the damp, or out of the water: growth takes weeks. */
  | { because: 'was-in-the-damp' | 'lay-in-the-damp'; name: string }
  | { because: 'got-wet' }
  /** Its finish is shut in without air where it lies. */
  | { because: 'shut-in'; name: string }
  | { because: 'quarantined' }
  /** Counted from the last look, the last clean, or when it was last ticked off. */
  | { because: 'last-look' | 'last-clean' | 'last-done' }
  /** Counted from a day it was passed over. */
  | { because: 'skipped'; reason: SkipReason }
  | { because: 'left-undone' }
  | { because: 'happened-outdoors'; happening: HappeningId }
  | { because: 'left-in-the-field'; surfaces: Surface[] }
  | { because: 'finish-tacks' | 'finish-was-worked-on' }
  /** `name` is null where an earlier version did not keep which thing it was. */
  | { because: 'shared-a-place'; name: string | null }
  /** It falls on a fixed day, whenever it was done. */
  | { because: 'fixed-day' }
  | { because: 'used'; of: UseUnit; count: number }
  | { because: 'met-outdoors'; met: Exposure }
  | { because: 'not-used' }
  | { because: 'air-foretells' }
  | { because: 'fungus-risk' }
  | { because: 'came-back' };
export type DueBecauseCode = DueBecause['because'];

/** Every code, once. */
export const DUE_CODES = Object.keys({
  'never-looked-at': true,
  'half-looked-at': true,
  'met-under-way': true,
  'was-in-the-damp': true,
  'lay-in-the-damp': true,
  'got-wet': true,
  'shut-in': true,
  'since-on-the-shelf': true,
  quarantined: true,
  'last-look': true,
  'last-clean': true,
  'last-done': true,
  skipped: true,
  'left-undone': true,
  'happened-outdoors': true,
  'left-in-the-field': true,
  'finish-tacks': true,
  'finish-was-worked-on': true,
  'shared-a-place': true,
  'fixed-day': true,
  used: true,
  'met-outdoors': true,
  'not-used': true,
  'air-foretells': true,
  'fungus-risk': true,
  'came-back': true,
} satisfies Record<DueBecauseCode, true>) as DueBecauseCode[];
