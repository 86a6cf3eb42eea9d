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
export { detectDust, type DetectOptions, type Detection } from './dust/detect.js';
export { type Spot, SPOT_KINDS, type SpotKind } from './dust/spot.js';
export { joinStrips, type Strip, stripsOf } from './dust/strips.js';
export { type Fitness, FIT_F_NUMBER, type Shape, UNFIT, type Unfit, unfitFor } from './dust/fitness.js';
export { encodedOf, type Frame, lightOf, type Transfer } from './dust/frame.js';
export {
  F_NUMBERS,
  type FrontMark,
  frontMark,
  type FrontMarkCase,
  markShowsFrom,
  pupilBehindMm,
  usualLengthMm,
  usualMark,
} from './frontMark.js';
export {
  type Glare,
  GLARE_CARD,
  GLARE_DIFFERENCES,
  GLARE_GRADES,
  GLARE_TROUBLES,
  type GlareDifference,
  type GlareGrade,
  glareGrade,
  type GlareOptions,
  type GlarePatch,
  type GlareTaken,
  type GlareTrouble,
  GlareUnreadable,
  veilingGlarePct,
  whyNotComparable,
} from './glare.js';
export { GLARE_AGAINST, type GlareAgainst, type GlareComparison, glareStory, type GlareTold } from './glareStory.js';
export { daysApart, type Growth, growthOf, type NextClean, nextCleanIn, type SpeckCount, WORTH_A_CLEAN } from './growth.js';
export {
  isMark,
  isSure,
  judgeSensor,
  type Retouch,
  retouch,
  SECONDS_A_SPOT,
  SENSOR_ADVICE,
  SENSOR_TRIES,
  SURE_FROM,
  type SensorAdvice,
  type SensorBecause,
  type SensorJudgement,
  type SensorTry,
  SWABS_BEFORE_MARK,
  type TriedSpot,
  type Wetting,
  type YearOfPictures,
} from './judge.js';
export { redrawn } from './redraw.js';
export { type FrameMatch, matchFrames, type Placement, type SpotPair } from './match.js';
export { type Point, SENSOR_VIEWS, SENSOR_ZONES, sensorPosition, type SensorView, type SensorZone, zoneOf } from './position.js';
export { overlapArea, type Shadow, shadowOf, shareTaken } from './shadow.js';
export {
  type FrameChapter,
  type FrameFacts,
  isDismissed,
  type SensorStory,
  SPOT_FATES,
  type SpotFate,
  storyOf,
  type ToldSpot,
} from './story.js';
export { isElsewhere, WHEREABOUTS, type Whereabouts, whereaboutsOf } from './whereabouts.js';
export { SEEN_FROM, showsFrom, sizeMm, type Visibility, visibilityAt } from './visibility.js';
