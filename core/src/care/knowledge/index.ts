/* What other rooms may use of what is known here. */
export { dropsForGlass, dropsToMl, inStockUnits } from './amounts.js';
export { type Basis, commonPractice, ourChoice, published } from './basis.js';
export { happeningFacts, type HappeningId } from './happenings.js';
export { type Method } from './methods.js';
export { isFluid, type Material, materialFacts, thingFacts, type Tool, type ToolRole } from './materials.js';
export { type Schools } from './schools.js';
export { type Severity, type Soil, SOILS } from './soils.js';
export { type Family, familyOf, type Surface } from './surfaces.js';
export { type SensorFormatId, type Traits } from './traits.js';
