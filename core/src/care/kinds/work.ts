import type { Method } from '../knowledge/methods.js';
import type { Schools } from '../knowledge/schools.js';
import type { Surface } from '../knowledge/surfaces.js';
import type { Traits } from '../knowledge/traits.js';

/** What a plan does to a thing, as far as the lines around the work ask. */
export type Work = {
  traits: Traits;
  schools: Schools;
  /** Does any step work on one of these? */
  on: (...surfaces: Surface[]) => boolean;
  /** Is any step done this way? */
  by: (...methods: Method[]) => boolean;
  /** Does any step bring fluid? */
  wet: boolean;
  /** Is anything done behind the mount? */
  open: boolean;
};
