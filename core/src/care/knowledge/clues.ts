import type { Surface } from './surfaces.js';

/** Where dirt that one sees in a picture or a finder may lie. */
export const SUSPECTS = [
  'sensor-cover',
  'rear-glass',
  'inner-glass',
  'front-glass',
  'filter-front',
  'reflex-mirror',
  'focusing-screen',
  'viewfinder-window',
] as const satisfies readonly Surface[];
export type Suspect = (typeof SUSPECTS)[number];

const FINDER: readonly Suspect[] = ['reflex-mirror', 'focusing-screen', 'viewfinder-window'];
const LENS: readonly Suspect[] = ['rear-glass', 'inner-glass', 'front-glass', 'filter-front'];

/** What an answer says about each suspect: it leaves only these, and among them points to those. */
export type Clue = { name: string; leaves: readonly Suspect[]; pointsTo: readonly Suspect[]; because: string };
export type Question = { ask: string; how: string; answers: Record<string, Clue> };

const clue = (name: string, leaves: readonly Suspect[], pointsTo: readonly Suspect[], because: string): Clue => ({
  name,
  leaves,
  pointsTo,
  because,
});
const nothing = (name: string): Clue => clue(name, SUSPECTS, [], '');

/** The questions in the order they separate best, each with what its answers mean. Common practice. */
export const QUESTIONS = {
  'seen-in': {
    ask: 'Where do you see it?',
    how: 'Look at a plain bright wall through the finder, then at a picture of it.',
    answers: {
      picture: clue(
        'in the picture, not in the finder',
        ['sensor-cover', ...LENS],
        ['sensor-cover'],
        'What is in the picture but not in the finder lies behind the mirror: on the sensor.',
      ),
      finder: clue(
        'in the finder, not in the picture',
        FINDER,
        [],
        'What is in the finder but not in the picture lies on mirror, screen or eyepiece.',
      ),
      both: clue('in both', LENS, [], 'What is in both lies in front of the mirror: on or in the lens.'),
      'only-picture': clue(
        'there is no optical finder',
        ['sensor-cover', ...LENS],
        [],
        'An electronic finder shows what the sensor sees, so it tells nothing more.',
      ),
    },
  },
  lenses: {
    ask: 'With every lens, or with one?',
    how: 'Take the same picture with a second lens.',
    answers: {
      every: clue(
        'with every lens',
        ['sensor-cover', ...FINDER],
        ['sensor-cover'],
        'It stays when the lens is changed, so it is not the lens.',
      ),
      one: clue('with one lens only', LENS, [], 'It goes when the lens is changed, so it is that lens or its filter.'),
      unknown: nothing('I have only the one'),
    },
  },
  look: {
    ask: 'What does it look like?',
    how: 'Look at the picture at full size.',
    answers: {
      specks: clue(
        'specks or hairs',
        SUSPECTS,
        ['sensor-cover', 'focusing-screen'],
        'Sharp specks lie near the plane of focus: sensor or screen.',
      ),
      veil: clue(
        'a veil over the whole frame',
        LENS,
        ['front-glass', 'inner-glass'],
        'A veil with low contrast into the light is haze, a fingerprint or a smear on the lens.',
      ),
    },
  },
  aperture: {
    ask: 'What happens when you stop down?',
    how: 'The same wall wide open, then at f/16.',
    answers: {
      sharper: clue(
        'specks get sharper',
        ['sensor-cover', 'rear-glass'],
        ['sensor-cover'],
        'Specks that sharpen as you stop down and vanish wide open lie near the sensor.',
      ),
      same: clue('nothing changes', [...LENS, ...FINDER], [], 'What does not change with the aperture does not lie near the sensor.'),
      unknown: nothing('I cannot tell'),
    },
  },
  filter: {
    ask: 'Does it move when you turn the filter?',
    how: 'Turn the filter a quarter, or take it off.',
    answers: {
      moves: clue('it moves or goes', ['filter-front'], ['filter-front'], 'It turns with the filter, so it is on the filter.'),
      stays: clue(
        'it stays',
        SUSPECTS.filter((s) => s !== 'filter-front'),
        [],
        'It stays when the filter turns, so it is deeper.',
      ),
      none: clue(
        'there is no filter',
        SUSPECTS.filter((s) => s !== 'filter-front'),
        [],
        '',
      ),
    },
  },
  parallax: {
    ask: 'Tilt the lens under a lamp: how does the mark move?',
    how: 'Lens off the camera, lamp from the side, tilt it and watch the mark against the front rim.',
    answers: {
      front: clue(
        'with the front rim',
        ['front-glass', 'filter-front'],
        ['front-glass'],
        'A mark that moves with the front rim lies on the front glass.',
      ),
      between: clue('slower than the front rim', ['inner-glass'], ['inner-glass'], 'A mark that lags behind the rim lies deeper in.'),
      rear: clue('best seen from behind', ['rear-glass'], ['rear-glass'], 'A mark that is plain from behind lies on the rear glass.'),
      none: clue('there is no mark in the lens', ['sensor-cover', ...FINDER], [], 'A clean lens leaves the camera.'),
    },
  },
  blow: {
    ask: 'Blow up at the screen, the camera held mount down: what happens in the finder?',
    how: 'Lens off, a few puffs past the mirror, then look again.',
    answers: {
      moves: clue('specks move or go', FINDER, ['reflex-mirror'], 'What air moves lies loose on mirror or screen.'),
      sharp: clue(
        'they stay, sharp',
        ['focusing-screen'],
        ['focusing-screen'],
        'What stays sharp lies on the screen, where the finder’s picture is.',
      ),
      soft: clue(
        'they stay, soft',
        ['reflex-mirror', 'viewfinder-window'],
        ['viewfinder-window'],
        'What stays soft lies away from the screen: on the eyepiece or the mirror.',
      ),
    },
  },
} as const satisfies Record<string, Question>;

export type QuestionId = keyof typeof QUESTIONS;
export const QUESTION_IDS = Object.keys(QUESTIONS) as QuestionId[];
export const question = (id: QuestionId): Question => QUESTIONS[id];
