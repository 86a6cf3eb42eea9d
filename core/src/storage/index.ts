export { asLastYear } from './yearAhead.js';
export { type Leaving, type Season, seasonAhead, type SeasonSide } from './season.js';
export { stayChange, type StayChange, type StaySpan, type StayTold } from './stays.js';
export { type Airing, type AiringEffect, airingHours, airingNow, type AiringSpan, isOfNow } from './airing.js';
export { type AlertFacts, FUNGUS_THREATS, type FungusThreat, type ToldBy } from './alertFacts.js';
export {
  CLOSED_FOR_LONG_DAYS,
  dampSpells,
  dayMeans,
  DRY_FOR_LONG_DAYS,
  type Limit,
  passedSince,
  isSilent,
  TOO_DRY_PCT,
  tooDamp,
  tooDry,
} from './alerts.js';
export { boxAlong, simulateBox, type BoxCourse, type Box, type BoxOptions, type BoxRun } from './box.js';
export {
  balanceHumidityPct,
  DESICCANT_KINDS,
  type DesiccantKind,
  DESICCANTS,
  desiccantUptake,
  INDICATOR_COLOURS,
  type IndicatorColour,
  loadingAtIndicator,
} from './desiccants.js';
export { type Disagreement, isDisputed, isOnlyWarmth, warmerBy } from './disagreement.js';
export { type Bucket, downsample, type Part, Stretches } from './downsample.js';
export { type Drying, dryingOf } from './drying.js';
export { DRIED_LOADING, type GelAct, type GelEvent, type GelQuestion, type GelReckoning, loadingByAir, reckonGel } from './gel.js';
export { fitMoistureHalfLife, type HalfLife, type HalfLifeOptions } from './halfLife.js';
export {
  bestHomes,
  againstPlace,
  broughtBy,
  type Home,
  homeCost,
  type HomeReason,
  type Homes,
  type HomesAnswer,
  homesFromSolver,
  homesOf,
  homesProgramme,
  type HomesQuestion,
  type Household,
  householdQuestion,
  type Housed,
  MORE_PLACES,
  type MorePlace,
  type Move,
  type PlaceClimate,
  withOneMore,
} from './homes/index.js';
export { ASSUMED_ROOM, INDOOR_BASIS, indoorFromOutdoor } from './indoor.js';
export { type Lining, LINING_IDS, LININGS, PLACE_KINDS, placeFacts, type PlaceFacts, type PlaceKind, PLACES } from './knowledge/places.js';
export {
  type CannotFit,
  changedPlace,
  driedDesiccant,
  FEWEST_DAYS,
  type FittedId,
  type FittedPlace,
  fitPlace,
  type FitOptions,
  type Hindcast,
  leakOf,
  placeAlong,
  type PlaceChange,
  type PlaceFit,
  simulatePlace,
  type SomethingElse,
  usualPlace,
} from './place/index.js';
export { shiftBetween } from './shift.js';
export { LONG_ENOUGH_DAYS, LOOK_BACK_DAYS, placeStanding, type Standing, type StandingId, thingStanding } from './standing.js';
export {
  desiccantForBox,
  desiccantUnitsDin,
  desiccantUnitsMil,
  DIN_BASIS,
  type SealedPack,
  type Sizing,
  type SizingQuestion,
  UNIT_GEL_G,
} from './sizing.js';
export {
  LUMPED_LIMIT,
  lumpedTauS,
  lumpedTimeS,
  TYPICAL_THINGS,
  type TypicalThing,
  WARM_UP_BASIS,
  type WarmUp,
  warmUpMinutes,
  type WarmUpQuestion,
  type Wrapping,
  WRAPPINGS,
} from './warmUp.js';
export {
  adviseChange,
  badness,
  CHANGE_IDS,
  type ChangeAdvice,
  type ChangeId,
  needsNothing,
  OPEN_FROM_PER_DAY,
  type OtherRoom,
  type SingleChange,
  singleChanges,
  type TriedChange,
} from './advise.js';
export {
  type Band,
  type Climate,
  type Course,
  courseOf,
  type Figures,
  figuresOf,
  roomInClimate,
  type Trial,
  type TrialOptions,
  type TrialResult,
  tryChange,
} from './whatIf.js';
export { FEWEST_LONG_OWNED, longOwned, type Newcomer, sinceForOne } from './lainSince.js';
export { BARE_UNDER_THE_SKY, dewAfterMinutes, dewAhead, type FrontUnder, RAIN_FROM_MM_H, takesDew } from './dewSoon.js';
export { afterHoursC, bagInSunC, CAR_ABOVE_K, GIVES_WAY, IN_THE_SUN_BASIS, type Shelter, SHELTERS, type Sun, SUNS } from './inTheSun.js';
export { CLEAR_PCT, type ClosedIn, PORT_BASIS, type PortFog, portFog } from './port.js';
