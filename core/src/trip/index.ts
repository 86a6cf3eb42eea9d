export { type AfterTrip, afterTripCare, ASKS_FOR_DAYS } from './afterTrip.js';
export { type CountedOuting, FRAMES_A_CELL, type Habits, habitsOf } from './habits.js';
export { type HeldAt, heldOf } from './held.js';
export {
  kitFor,
  mayTravel,
  MOST_DAYS,
  needsOf,
  type OutingToCome,
  type PackedKit,
  type PackedThing,
  type Travel,
  TRAVELS,
} from './kitFor.js';
export { CARRIED_IDS, type CarriedFacts, carriedFacts, type CarriedId } from './knowledge/carried.js';
export {
  ASK_IDS,
  askFacts,
  type AskId,
  asksOf,
  checkGround,
  dirtOf,
  type Expected,
  type Going,
  GROUND_IDS,
  type GroundFacts,
  groundFacts,
  type GroundId,
  type Phase,
  PHASES,
  skyAndCold,
  type Weather,
  WEATHERS,
} from './grounds/index.js';
export { FIELD_NEED_IDS, FIELD_NEEDS, type FieldNeedId } from './knowledge/needs.js';
export {
  type HourOutside,
  IN_THE_AIR,
  type InTheAir,
  LENS_CHANGE_ANSWERS,
  type LensChangeAdvice,
  type LensChangeAnswer,
  type LensChangeBecause,
  lensChangeNow,
  type LensChangeStep,
  type LensChangeStepId,
  MAY_STAND_OPEN,
  type StandsOpen,
  WIND_SIGNS,
  type WindSign,
  windSign,
} from './lensChange.js';
export {
  type CarriedLens,
  fewestLensChanges,
  type InAnyOrder,
  inAnyOrder,
  type LensChanges,
  type LensQuestion,
  MOST_BODIES,
  MOST_LENSES,
  type Shot,
} from './lensChanges.js';
export { expectedLossWith, type Kit, type KitItem, type KitLimits, type KitNeed, type KitQuestion, packKit } from './packKit.js';
export {
  apertureOfShare,
  besideNoted,
  clockIsOff,
  clockMs,
  FEW_PICTURES,
  type FileSays,
  type FoundIs,
  type FoundOuting,
  type NamedThing,
  neverUsed,
  type NotedOuting,
  type OutingOptions,
  outingsFrom,
  type OutingsFound,
  PAUSE_HOURS,
  type Picture,
  type PicturesTold,
  PLACE_STEP_DEGREES,
  type Proposal,
  type RoughPlace,
  type SetAside,
  type Tally,
  tellPictures,
  type UsedThing,
  whichThing,
  type WhichThing,
  withClocks,
} from './pictures/index.js';
export { type CapSize, fewestCaps, type SizesAlong, sizesAlong } from './covers.js';
export { type AlsoOn, alsoOn, type GoesAlong } from './inTwoPlaces.js';
export { type UsedOut, usedOut } from './usedOut.js';
export { type HourTold, hourTold, type WeatherTold, weatherTold } from './weatherTold.js';
export { fewestRings, type Rings, ringsBetween, type StepRing } from './rings.js';
