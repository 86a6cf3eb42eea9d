export { bestHomes } from './bestHomes.js';
export { homeCost, type Housed, type PlaceClimate } from './homeCost.js';
export {
  againstPlace,
  broughtBy,
  type Home,
  type HomeReason,
  type Household,
  householdQuestion,
  homesOf,
  MORE_PLACES,
  type MorePlace,
  type Move,
  withOneMore,
} from './household.js';
export { type HomesAnswer, homesFromSolver, homesProgramme, type HomesProgramme } from './milp.js';
export { type Homes, type HomesQuestion } from './problem.js';
