export { mayTouch } from './mayTouch.js';
export {
  consumptionOf,
  isFit,
  isTool,
  isWashable,
  mayDemote,
  onHandFrom,
  soldFor,
  takeFrom,
  USES_BEFORE_WASH,
  washed,
  type Consumption,
  type DrawerThing,
  type Shortage,
} from './drawer.js';
