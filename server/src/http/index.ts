export { Acknowledge } from './acknowledge.js';
export { type Mark, readCursor, writeCursor } from './cursor.js';
export { whileItCanBeKept } from './diskRoom.js';
export { type Door, doorOf, enter } from './doors.js';
export { Ending, endOnFaults, endOnSignals } from './ending.js';
export { againstGuessing } from './guessing.js';
export { checked, CheckedBody, CheckedParams, CheckedQuery, JSON_TYPES } from './joi.pipe.js';
export { addressedToUs } from './origin.guard.js';
export { ProblemFilter } from './problem.filter.js';
export { problem, ProblemError, sendProblem } from './problem.js';
export {
  type By,
  checkRoutes,
  type Deed,
  deedOf,
  describeRoutes,
  guessedPaths,
  jsonSchemaOf,
  type Handler,
  keyedPaths,
  mayCome,
  Route,
  type WhoMay,
  whoMayCome,
} from './route.js';
export { begunBy, toldFor } from './toldFor.js';
export { serveAssets, servePages } from './webPages.js';
