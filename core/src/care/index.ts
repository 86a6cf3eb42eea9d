export { planCleaning, contextOf } from './planCleaning.js';
export { cautionsTogether } from './rounds.js';
export { closingAsDone } from './aroundTheWork.js';
export { verdictFor } from './planSurface.js';
export { specksFound } from './specks.js';
export { isMeasured } from './frontMarks.js';
export { gravestOf, gravity, triage, VERDICTS, type Triage, type Verdict } from './triage.js';
export { sortByRelations, workingRank, inWorkingOrder } from './workingOrder.js';
export { RULES, type RuleId } from './rules/index.js';
export { thingName } from './thingName.js';
export { mayTouch, type Touch } from './mayTouch.js';
export { spreads, spreadingAt } from './spreading.js';
export { type Because, BECAUSE_CODES, type BecauseCode, type BenchEnd, isBenchEnd, type Lack } from './because.js';
export {
  acrossMm,
  checkKind,
  type Depth,
  DEPTHS,
  hasSurface,
  ITEM_KINDS,
  type ItemKind,
  type Kind,
  KIND_RELATIONS,
  kindFacts,
  KINDS,
  type LookManner,
  defaultsOf,
  type Line,
  type LineId,
  type Opening,
  type OpeningBar,
  type Preset,
  presetsFor,
  type Region,
  retrait,
  type Section,
  sectionOf,
  capsOf,
  surfacesOf,
  type TraitChange,
  guessKind,
  traitsOf,
  withDefaults,
  type Work,
} from './kinds/index.js';
export { BARS, growthIsReachable, isWorthReaching, openingBar, reachInside, type Bar, type InsideReach, type Ring } from './reach.js';
export {
  type Answer,
  ANSWERS,
  asksNow,
  type BenchEvent,
  benchState,
  benchWalk,
  type BenchState,
  type Outcome,
  outcomesOf,
  type Reading,
  READINGS,
  type Waiting,
  waitingFor,
} from './bench.js';
export { nextTap, workThrough } from './benchThrough.js';
export { benchTogether, isSameBench } from './benchTogether.js';
export { diagnose, type Diagnosis, type Observations } from './diagnose.js';
export { gentleWord, type GentleWord, isWithoutEvidence, type TouchRecord } from './gentleWord.js';
export {
  adviseOpening,
  type Experience,
  EXPERIENCES,
  mayAskToOpen,
  type OpeningAdvice,
  type OpeningQuestion,
  type OpeningReason,
} from './opening.js';
export { remakePlan, staleBecause, type StaleBecause } from './remake.js';
export { closingOrder, nextToClose, planExposedFace, type TeardownPhase, type TeardownStage } from './teardown.js';
export { schoolChanges, type SchoolChange } from './schoolChanges.js';
export { carriedHome, metOutdoors } from './outdoors.js';
export { checkSituation, type Read, requestOf, SITUATIONS, type Situation } from './situations/index.js';
export { swabOnHand } from './onHand.js';
export {
  type Caution,
  type CleaningPlan,
  type Conditions,
  type Context,
  type Contraband,
  type Effort,
  EFFORTS,
  type Finding,
  type Look,
  type Missing,
  type Motion,
  type OnHand,
  type OpeningOffer,
  type Orientation,
  type Place,
  type PlanRequest,
  type Refusal,
  type SaidLine,
  type SchoolNote,
  type SensorWork,
  type Step,
  type Summary,
  type Taken,
  WAITS_UNTIL,
  type WaitsUntil,
} from './types.js';
export {
  type Amount,
  DROPS_A_ML,
  dropsForGlass,
  dropsToMl,
  inStockUnits,
  mlToDrops,
  type Unit,
  UNITS,
  type Use,
} from './knowledge/amounts.js';
export { type Basis, commonPractice, ourChoice, published } from './knowledge/basis.js';
export { type Clue, question, type Question, QUESTION_IDS, type QuestionId, QUESTIONS, type Suspect, SUSPECTS } from './knowledge/clues.js';
export { coatingShare, RUB_TESTS } from './knowledge/coatings.js';
export { HAPPENING_IDS, happeningFacts, type HappeningFacts, type HappeningId, HAPPENINGS } from './knowledge/happenings.js';
export { hazardFacts, type HazardFacts, type HazardId, HAZARDS } from './knowledge/hazards.js';
export { LADDERS } from './knowledge/ladders.js';
export {
  type ConsumableFacts,
  FLUID_TASKS,
  type FluidFacts,
  fluidsFor,
  type FluidTask,
  isFluid,
  isOpenFluid,
  type Material,
  MATERIAL_IDS,
  materialFacts,
  type MaterialFacts,
  MATERIALS,
  thingFacts,
  type Tool,
  TOOL_IDS,
  TOOL_ROLES,
  toolFacts,
  type ToolFacts,
  type ToolRole,
  TOOLS,
} from './knowledge/materials.js';
export { type Solvent, SOLVENT_IDS, type SolventFacts, solventFacts } from './knowledge/solvents.js';
export {
  type AiringOfRoom,
  AIRINGS,
  quarterLimitPpm,
  solventsIn,
  USUAL_ROOM,
  type Vapour,
  vapourIn,
  type VapourInRoom,
  type VapourVerdict,
  vapourVerdict,
} from './vapour.js';
export { type Method, METHOD_IDS, methodFacts, type MethodFacts, METHODS } from './knowledge/methods.js';
export { BEFORE } from './knowledge/order.js';
export { PRACTICE_IDS, practiceFacts, type PracticeFacts, type PracticeId, PRACTICES } from './knowledge/practices.js';
export {
  CARE_SCHOOL_IDS,
  DEFAULT_SCHOOLS,
  SCHOOL_IDS,
  schoolChoices,
  schoolFacts,
  type SchoolFacts,
  type SchoolId,
  type Schools,
  SCHOOLS,
} from './knowledge/schools.js';
export {
  actFromAt,
  checkSoil,
  type Content,
  holds,
  liesOn,
  natureOf,
  type Severity,
  SEVERITY_NAMES,
  type Soil,
  SOIL_IDS,
  soilFacts,
  type SoilFacts,
  type SoilNature,
  type SoilPattern,
  soilsAskedAt,
  soilsOn,
  SOILS,
  whyAct,
  whyLeave,
} from './soils/index.js';
export { FILTER_WAYS, type FilterWay, type FilterWayId, nextFilterWay } from './knowledge/stuckFilter.js';
export {
  FAMILIES,
  type Family,
  FAMILY_MEASURES,
  familyOf,
  holdsCells,
  isOptical,
  type Measure,
  measureOf,
  MEASURES,
  type Surface,
  SURFACE_IDS,
  surfaceFacts,
  type SurfaceFacts,
  SURFACES,
  type SurfaceStuff,
} from './knowledge/surfaces.js';
export {
  type Coating,
  COATINGS,
  SENSOR_FORMAT_IDS,
  type SensorFormatId,
  TRAIT_IDS,
  checkTrait,
  type TraitFacts,
  traitFacts,
  type TraitId,
  type Traits,
  TRAITS,
} from './knowledge/traits.js';
