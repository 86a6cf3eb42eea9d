import { only, type SurfaceEntry } from './kind.js';

/** What several kinds have, by the same traits. */
export const CASE: readonly SurfaceEntry[] = [only('case', (t) => !t.leatherCase), only('leather-case', (t) => !!t.leatherCase)];
export const CELLS: readonly SurfaceEntry[] = [only('battery-bay', (t) => !!t.battery), only('battery-contacts', (t) => !!t.battery)];
export const COVERING: readonly SurfaceEntry[] = [
  only('grip-rubber', (t) => !t.leatherCovered),
  only('leather-covering', (t) => !!t.leatherCovered),
];
/** Where film runs, what opens before it, and what keeps light out. */
export const FILM_PATH: readonly SurfaceEntry[] = [only('film-gate', (t) => !t.digital), only('light-seals', (t) => !t.digital)];
export const CURTAIN: SurfaceEntry = only('shutter-curtain', (t) => !t.digital);
