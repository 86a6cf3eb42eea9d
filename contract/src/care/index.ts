export {
  type CarriedCleaning,
  carriedCleaning,
  type CleaningsQuery,
  cleaningsQuery,
  conditionsSchema,
  type FinishCleaning,
  finishCleaning,
  planRequest,
  type SaveEvents,
  saveEvents,
  schoolsSchema,
  type StartCleaning,
  startCleaning,
} from './schema.js';
export { BECAUSE, planDocument } from './plan.js';
export { type HappenedOutdoors, happenedOutdoors, type PutOff, type ToldLater, type WaitForHome, waitForHome } from './field.js';
export {
  type SaveTeardown,
  saveTeardown,
  type StageParam,
  stageParam,
  stages,
  type StartTeardown,
  startTeardown,
  type Teardown,
  type Teardowns,
  type TeardownsQuery,
  teardownsQuery,
} from './teardown.js';
export type { BenchUses, Cleaning, Cleanings, RungsAtTheBench } from './dto.js';
export { careErrors } from './errors.js';
