import { commonPractice, type Basis } from './basis.js';

/** One way to free a stuck filter, gentlest first; a step is tried before the next is. */
export type FilterWay = { id: string; name: string; how: string; caution: string | null; where: 'anywhere' | 'home'; basis: Basis };

/** Rule 19: grip before force, and force on the filter's rim alone. */
export const FILTER_WAYS = [
  {
    id: 'bare-hands',
    name: 'Flat of the hand',
    how: 'Press the palm lightly and evenly on the rim and turn. Pinching a thin ring bends it oval, and then it sits tighter.',
    caution: null,
    where: 'anywhere',
    basis: commonPractice,
  },
  {
    id: 'rubber-band',
    name: 'Wide rubber band',
    how: 'A wide rubber band round the filter’s rim for grip. Hold the lens by the barrel behind the focus ring, turn the rim evenly.',
    caution: null,
    where: 'anywhere',
    basis: commonPractice,
  },
  {
    id: 'rubber-cup',
    name: 'Rubber cup or filter wrench',
    how: 'A rubber cup of the right size, or two thin filter wrenches placed as near to the thread as they go. Steady pull, no jerk.',
    caution: 'Never round the lens barrel itself: what turns must be the filter alone.',
    where: 'home',
    basis: commonPractice,
  },
  {
    id: 'pliers',
    name: 'Pliers, as a last resort',
    how: 'Only if it must come off now; otherwise shoot with it on. On the filter’s rim alone, both jaws outside, a strip of tape over the front glass. The filter is given up.',
    caution: 'If the ring breaks, its glass can splinter: eye protection, and the front of the lens covered and facing down.',
    where: 'anywhere',
    basis: commonPractice,
  },
] as const satisfies readonly FilterWay[];

export type FilterWayId = (typeof FILTER_WAYS)[number]['id'];

/** The way to try after these; null when a workshop is next, or in the field, home. */
export const nextFilterWay = (tried: readonly FilterWayId[], place: 'home' | 'field'): FilterWay | null =>
  FILTER_WAYS.find((way) => !tried.includes(way.id) && (place === 'home' || way.where === 'anywhere')) ?? null;
