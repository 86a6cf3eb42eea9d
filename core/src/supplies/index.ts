export { mayTouch } from './mayTouch.js';
export {
  alternativesFor,
  consumptionOf,
  isFit,
  isTool,
  isWashable,
  labelOf,
  mayDemote,
  onHandFrom,
  soldFor,
  takeFrom,
  USES_BEFORE_WASH,
  washed,
  type DrawerThing,
  type Shortage,
  type Taking,
} from './drawer.js';
export { runningLow } from './runningLow.js';
export { starterFacts, STARTER_IDS, STARTERS, type Starter, type StarterId } from './starters.js';
export { stockAmount, type StockAmount } from './stockAmount.js';
