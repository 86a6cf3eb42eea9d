import type { Method } from './methods.js';
import type { Family } from './surfaces.js';

/** One rung of a ladder; what it takes, each soil's own record says. */
export type Rung = {
  method: Method;
  /** Comes after a damp rung, in a pass of its own that begins with air, where a smear stays. */
  finisher?: true;
  /** Comes only when everything gentler, the finishers included, has not done it (rule 36). */
  last?: true;
};

const rungs = (...methods: Method[]): Rung[] => methods.map((method) => ({ method }));
const finishers = (...methods: Method[]): Rung[] => methods.map((method) => ({ method, finisher: true }));
const last = (...methods: Method[]): Rung[] => methods.map((method) => ({ method, last: true }));

/** The ladder of each family, rungs in the order they are climbed. Common practice throughout. */
export const LADDERS: Record<Family, readonly Rung[]> = {
  glass: [
    ...rungs('blow', 'soft-brush', 'dry-swab', 'dry-wipe', 'carbon-tip', 'breath', 'dab', 'fresh-water', 'damp-wipe'),
    ...finishers('chamois', 'carbon-tip', 'breath'),
    ...last('solvent-wipe', 'plastic-polish'),
  ],
  sensor: rungs('blow', 'sensor-swab'),
  display: rungs('blow', 'soft-brush', 'dry-wipe', 'dab', 'fresh-water', 'damp-wipe'),
  shell: rungs('blow', 'stiff-brush', 'dry-wipe', 'dab', 'fresh-water', 'damp-wipe', 'soap-wash', 'solvent-wipe', 'adhesive-remover'),
  leather: rungs('blow', 'dry-wipe', 'dab', 'damp-wipe', 'solvent-wipe', 'feed-leather'),
  bellows: rungs('blow'),
  // No bristles and no cloth: fingers, or a pad that leaves nothing behind.
  seal: rungs('blow', 'fingertip', 'fresh-water', 'damp-pad', 'grease-seal'),
  thread: rungs('blow', 'stiff-brush', 'dry-swab', 'dab', 'damp-swab', 'lubricate'),
  mount: rungs('blow', 'dry-wipe', 'dab', 'damp-swab', 'contact-eraser'),
  contacts: rungs('blow', 'dry-wipe', 'dab', 'damp-swab', 'contact-eraser'),
  cells: rungs('blow', 'dry-wipe', 'damp-swab', 'contact-eraser'),
  bay: rungs('blow', 'stiff-brush', 'dab', 'damp-swab'),
  cap: rungs('blow', 'stiff-brush', 'dab', 'soap-wash'),
  // The silver lies bare: air, a brush without weight, and at most a damp tissue laid on and lifted.
  mirror: rungs('blow', 'soft-brush', 'dab'),
  matte: rungs('blow'),
  chamber: rungs('blow'),
  track: rungs('blow', 'dry-swab'),
  foam: rungs('pick', 'damp-swab'),
  curtain: [],
  bath: [],
  inner: [],
  blades: [],
};
