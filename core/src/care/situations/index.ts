import { BODIES } from './bodies.js';
import { CHANGED_MINDS } from './changedMinds.js';
import { DRAWERS } from './drawers.js';
import { FIELD } from './field.js';
import { FILM_AND_MORE } from './filmAndMore.js';
import { FINISHES } from './finishes.js';
import { GLASS } from './glass.js';
import { GROWTH } from './growth.js';
import { GLASS_LIMITS } from './glassLimits.js';
import { LEAKS_AND_SPLINTERS } from './leaksAndSplinters.js';
import { OLD_LENSES } from './oldLenses.js';
import { OPTICS } from './optics.js';
import { SENSORS } from './sensors.js';
import { SCHOOL_ROWS } from './schools.js';
import { SURFACES_APART } from './surfacesApart.js';
import { WETNESS } from './wetness.js';
import { SHELLS } from './shells.js';
import { WATER_INSIDE } from './waterInside.js';
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
  ...WETNESS,
  ...WATER_INSIDE,
  ...GROWTH,
  ...LEAKS_AND_SPLINTERS,
  ...SURFACES_APART,
  ...FINISHES,
  ...FILM_AND_MORE,
  ...CHANGED_MINDS,
];

export { checkSituation, requestOf, type Read } from './check.js';
export type { AtTheBench, Claims, Situation } from './situation.js';
