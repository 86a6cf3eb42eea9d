export {
  calmExposureS,
  type Exposure,
  exposureAt,
  exposureNeededS,
  type ExposurePhase,
  HELD_OPEN,
  type HeldOpen,
  isTooShort,
  LONGEST_EXPOSURE_S,
  outMarginS,
  SHORTEST_EXPOSURE_S,
} from './exposure.js';
export { formats, type SensorFormat } from './formats.js';
export { bestStrokes, drawnAlong, strokesWith, SWAB_WIDTHS_MM, type SwabAxis, swabFor, type SwabStrokes } from './swabs.js';
