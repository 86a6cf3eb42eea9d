import { care, type schedule } from '@bright-keeper/core';

type Saying = { [B in schedule.DueBecauseCode]: (because: Extract<schedule.DueBecause, { because: B }>) => string };

const surfaceNames = (surfaces: readonly care.Surface[]): string => surfaces.map((s) => care.SURFACES[s].name).join(', ');

const SAYINGS: Saying = {
  'never-looked-at': () => 'Not looked at since it came on the shelf.',
  'since-on-the-shelf': () => 'Counted from the day it came on the shelf.',
  quarantined: () => 'Moved to quarantine.',
  'last-look': () => 'Counted from the last look.',
  'last-clean': () => 'Counted from the last clean, which ends with a look.',
  'last-done': () => 'Counted from when it was last done.',
  'left-undone': () => 'Something was left undone at the last clean.',
  'happened-outdoors': ({ happening }) => {
    const { name, atHome } = care.happeningFacts(happening);
    return `${name}: ${atHome.join(' ')}`;
  },
  'left-in-the-field': ({ surfaces }) => `Left in the field: ${surfaceNames(surfaces) || 'something'}.`,
  'finish-tacks': () => 'Its finish tacks: aired open it may stop, shut away it turns again.',
  'finish-was-worked-on': () => 'Its sticky finish was worked on: see whether what is left still tacks.',
  'shared-a-place': ({ name }) => `It shared a place with ${name ?? 'something'}, which went into quarantine.`,
};

/** Why something falls due: each cause in a sentence, in the order they came. */
export const dueWords = (because: readonly schedule.DueBecause[]): string =>
  because.map((b) => (SAYINGS[b.because] as (b: schedule.DueBecause) => string)(b)).join(' ');
