import { type Basis, commonPractice, ourChoice, type Surface, type Traits } from '../care/knowledge/index.js';
import { kindFacts, surfacesOf, type ItemKind } from '../care/kinds/index.js';

export type Every = { days: number } | { months: number };

/** Recurring care: how often, how much sooner or later is fine, how long it takes. */
export type Rhythm = {
  name: string;
  /** What doing it means, in one line. */
  what: string;
  /** For whatever thing it is, where no kind names it among its own rhythms. */
  forAll?: true;
  /** Only for things that have this surface, or only for those that lack it. */
  has?: Surface;
  lacks?: Surface;
  /** How often; for a task done once, how long after its cause. */
  every: Every;
  once?: true;
  windowDays: number;
  minutes: number;
  /** What the person does in the application that counts as having done it. */
  doneBy: 'look' | 'look-or-clean' | 'mark';
  /** Only for things in quarantine, or only for things that are not. */
  when: 'in-use' | 'quarantined';
  basis: Basis;
};

/** What shared a place with something that turned out to have fungus is looked through three times. */
const neighbourLook = (when: string, days: number) =>
  ({
    name: `Neighbour of a quarantined thing: look ${when}`,
    what: 'A torch through from behind: threads, spots or a veil?',
    every: { days },
    once: true,
    windowDays: 4,
    minutes: 8,
    doneBy: 'look',
    when: 'in-use',
    basis: commonPractice,
  }) as const satisfies Rhythm;

/** Default rhythms of the trade for the kinds we know. */
export const RHYTHMS = {
  'light-test': {
    name: 'Look through it with a torch',
    what: 'A light test: every surface under the lamp, and a torch through from behind.',
    every: { months: 3 },
    windowDays: 14,
    minutes: 8,
    doneBy: 'look',
    when: 'in-use',
    basis: commonPractice,
  },
  'filter-look': {
    name: 'Look at both faces',
    what: 'Both faces under the lamp before it meets a lens again.',
    every: { months: 6 },
    windowDays: 30,
    minutes: 2,
    doneBy: 'look',
    when: 'in-use',
    basis: ourChoice('A filter is looked at whenever it is fitted; half a year catches the ones that lie in a case.'),
  },
  'look-over': {
    name: 'Look it over',
    what: 'Every surface under the lamp once.',
    lacks: 'sensor-cover',
    every: { months: 6 },
    windowDays: 30,
    minutes: 6,
    doneBy: 'look',
    when: 'in-use',
    basis: commonPractice,
  },
  'sensor-frame': {
    name: 'Sensor frame and look',
    what: 'A test frame at a small aperture, and a look over the body.',
    has: 'sensor-cover',
    every: { months: 3 },
    windowDays: 14,
    minutes: 10,
    doneBy: 'look',
    when: 'in-use',
    basis: commonPractice,
  },
  exercise: {
    name: 'Exercise it',
    what: 'Focus, zoom and aperture from end to end; a body through all its shutter speeds.',
    every: { months: 3 },
    windowDays: 14,
    minutes: 4,
    doneBy: 'mark',
    when: 'in-use',
    basis: commonPractice,
  },
  'battery-contacts': {
    name: 'Battery contacts',
    what: 'Battery out, look for bloom, wipe the contacts dry.',
    every: { months: 6 },
    windowDays: 30,
    minutes: 3,
    doneBy: 'mark',
    when: 'in-use',
    basis: commonPractice,
  },
  'quarantine-look': {
    name: 'Look again: quarantine',
    what: 'A torch through from behind: has it grown? Three clean looks in a row, at 4, 8 and 12 weeks, before it goes back.',
    forAll: true,
    every: { days: 28 },
    windowDays: 4,
    minutes: 8,
    doneBy: 'look',
    when: 'quarantined',
    basis: commonPractice,
  },
  'follow-up-look': {
    name: 'Look again: not done yet',
    what: 'What was left undone or would not come off: look whether it has changed.',
    every: { days: 14 },
    windowDays: 7,
    minutes: 5,
    doneBy: 'look-or-clean',
    when: 'in-use',
    basis: ourChoice('Two weeks is soon enough to catch growth and late enough to see a change.'),
    once: true,
  },
  'sticky-look': {
    name: 'Look again: sticky finish',
    what: 'Press a fingertip on it: does it still tack? It turns again where it is shut away, so it stands open.',
    every: { months: 2 },
    windowDays: 14,
    minutes: 3,
    doneBy: 'look-or-clean',
    when: 'in-use',
    basis: ourChoice('Airing takes two to twelve months; two is soon enough to see whether it helps.'),
    once: true,
  },
  'home-care': {
    name: 'Waited for home',
    what: 'What was put off in the field: look, and clean what asks for it.',
    every: { days: 0 },
    windowDays: 2,
    minutes: 15,
    doneBy: 'look-or-clean',
    when: 'in-use',
    basis: commonPractice,
    once: true,
  },
  'neighbour-look': neighbourLook('now', 0),
  'neighbour-look-4-weeks': neighbourLook('after 4 weeks', 28),
  'neighbour-look-12-weeks': neighbourLook('after 12 weeks', 84),
} as const satisfies Record<string, Rhythm>;

export type TaskId = keyof typeof RHYTHMS;
export const TASK_IDS = Object.keys(RHYTHMS) as TaskId[];
export const rhythm = (task: TaskId): Rhythm => RHYTHMS[task];

/** What is done once after its cause; it does not recur. */
export const ONCE_TASKS: readonly TaskId[] = TASK_IDS.filter((id) => rhythm(id).once);
export const NEIGHBOUR_LOOKS = ['neighbour-look', 'neighbour-look-4-weeks', 'neighbour-look-12-weeks'] as const satisfies readonly TaskId[];

/** The tasks that recur for a thing of this kind with these traits, in use or in quarantine. */
export function tasksFor(kind: ItemKind, traits: Traits, status: 'in-use' | 'quarantined'): TaskId[] {
  const own = surfacesOf(kind, traits);
  return TASK_IDS.filter((id) => {
    const { when, forAll, has, lacks } = rhythm(id);
    return (
      when === status && (forAll || kindFacts(kind).rhythms.includes(id)) && (!has || own.includes(has)) && (!lacks || !own.includes(lacks))
    );
  });
}
