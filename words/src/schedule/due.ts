import { care, type schedule } from '@bright-keeper/core';

type Saying = { [B in schedule.DueBecauseCode]: (because: Extract<schedule.DueBecause, { because: B }>) => string };

const surfaceNames = (surfaces: readonly care.Surface[]): string => surfaces.map((s) => care.SURFACES[s].name).join(', ');

export const SKIPPED: Record<schedule.SkipReason, string> = {
  'not-needed': 'it was not needed',
  'done-elsewhere': 'it was done elsewhere',
  'no-time': 'there was no time',
  'lived-with': 'you chose to live with it',
  other: 'of another reason',
};

export const USES: Record<schedule.UseUnit, { one: string; many: string }> = {
  outings: { one: 'outing', many: 'outings' },
  frames: { one: 'frame', many: 'frames' },
  'lens-changes': { one: 'lens change', many: 'lens changes' },
  hours: { one: 'hour of use', many: 'hours of use' },
};

export const MET: Record<schedule.Exposure, string> = { sand: 'sand', salt: 'salt', rain: 'rain', dust: 'dust', damp: 'damp' };

const SAYINGS: Saying = {
  'never-looked-at': () => 'Not looked at since it came on the shelf.',
  'half-looked-at': () => 'Looked at in part since it came on the shelf.',
  'met-under-way': ({ met, name }) => `${name} is still under way and met ${MET[met]}: that does not wait for its end.`,
  'lay-in-the-damp': ({ name }) => `It lay in damp air (${name}): growth takes weeks to be seen, whatever the first look found.`,
  'was-in-the-damp': ({ name }) => `It was in the damp (${name}): growth takes weeks to be seen, whatever the first look found.`,
  'got-wet': () => 'Water got in: growth takes weeks to be seen.',
  'shut-in': ({ name }) => `It lies in ${name}, where no air moves by itself: rubbery finishes turn sticky there.`,
  'since-on-the-shelf': () => 'Counted from the day it came on the shelf.',
  quarantined: () => 'Moved to quarantine.',
  'last-look': () => 'Counted from the last look.',
  'last-clean': () => 'Counted from the last clean, which ends with a look.',
  'last-done': () => 'Counted from when it was last done.',
  skipped: ({ reason }) => `Passed over the last time because ${SKIPPED[reason]}; counted from then.`,
  'left-undone': () => 'Something was left undone at the last clean.',
  'happened-outdoors': ({ happening }) => {
    const { name, atHome } = care.happeningFacts(happening);
    return `${name}: ${atHome.join(' ')}`;
  },
  'left-in-the-field': ({ surfaces }) => `Left in the field: ${surfaceNames(surfaces) || 'something'}.`,
  'finish-tacks': () => 'Its finish tacks: aired open it may stop, shut away it turns again.',
  'finish-was-worked-on': () => 'Its sticky finish was worked on: see whether what is left still tacks.',
  'shared-a-place': ({ name }) => `It shared a place with ${name ?? 'something'}, which went into quarantine.`,
  'fixed-day': () => 'It falls on a fixed day.',
  used: ({ of, count }) => `${count} ${count === 1 ? USES[of].one : USES[of].many} since it was last done.`,
  'met-outdoors': ({ met }) => `It met ${MET[met]} outdoors, which does not wait.`,
  'not-used': () => 'Nobody has used it for months: grease settles and moving parts stick.',
  'air-foretells': () => 'The air foretells it.',
  'fungus-risk': () => 'Looked at more often while the air where it lies raises the fungus risk.',
  'came-back': () => 'It is back from where it was: another place’s air, other hands.',
};

/** Why something falls due: each cause in a sentence, in the order they came. */
export const dueWords = (because: readonly schedule.DueBecause[]): string =>
  because.map((b) => (SAYINGS[b.because] as (b: schedule.DueBecause) => string)(b)).join(' ');
