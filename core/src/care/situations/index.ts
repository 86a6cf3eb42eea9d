import { BODIES } from './bodies.js';
import { DRAWERS } from './drawers.js';
import { FIELD } from './field.js';
import { GLASS } from './glass.js';
import { GLASS_LIMITS } from './glassLimits.js';
import { OLD_LENSES } from './oldLenses.js';
import { OPTICS } from './optics.js';
import { SENSORS } from './sensors.js';
import { SCHOOL_ROWS } from './schools.js';
import { SHELLS } from './shells.js';
import { WEATHER } from './weather.js';
import type { Situation } from './situation.js';

/** The book of situations: what a careful practitioner answers, row by row. Rows found wrong in practice are added here first. */
export const SITUATIONS: readonly Situation[] = [
  ...GLASS,
  ...GLASS_LIMITS,
  ...BODIES,
  ...SENSORS,
  ...OPTICS,
  ...OLD_LENSES,
  ...SHELLS,
  ...FIELD,
  ...WEATHER,
  ...DRAWERS,
  ...SCHOOL_ROWS,
];

export { checkSituation, requestOf, type Read } from './check.js';
export type { AtTheBench, Claims, Situation } from './situation.js';
