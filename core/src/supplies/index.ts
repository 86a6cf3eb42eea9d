export { mayTouch } from '../care/index.js';
export {
  alternativesFor,
  consumptionOf,
  mayDemote,
  onHandFrom,
  takeFrom,
  usesOf,
  washed,
  washedBefore,
  type Shortage,
  type Taking,
} from './drawer.js';
export { isFit, isTool, isWashable, labelOf, sameKit, sameSort, soldFor, USES_BEFORE_WASH, type DrawerThing } from './drawerThing.js';
export { costPerClean, forecast, LEAST_DAYS, LEAST_TAKINGS, type Forecast } from './forecast.js';
export { type BenchUse, materialsIn, type Outlook, outlookOf, shoppingList } from './outlook.js';
export { runningLow } from './runningLow.js';
export { starterFacts, STARTER_IDS, STARTERS, type Starter, type StarterId } from './starters.js';
export { stockAmount, type StockAmount } from './stockAmount.js';
export { neededBy, type Needed } from './waiting.js';
export { kitsOf, onHandAt, withinReach } from './kits.js';
