export { ASK_IDS, askFacts, type AskId, type Phase, PHASES } from './asks.js';
export { asksOf, dirtOf, type Expected, type Going, skyAndCold } from './asksOf.js';
export { type GroundFacts, type Weather, WEATHERS } from './ground.js';
export { checkGround, GROUND_IDS, groundFacts, type GroundId } from './registry.js';
