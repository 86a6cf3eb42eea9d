/* What other rooms may use of what is known here. */
export { dropsForGlass, dropsToMl, inStockUnits } from './amounts.js';
export { type Basis, commonPractice, ourChoice, published } from './basis.js';
export { happeningFacts, type HappeningId } from './happenings.js';
export { type Method } from './methods.js';
export { isFluid, type Material, materialFacts, thingFacts, type Tool, type ToolRole } from './materials.js';
export { type Schools } from './schools.js';
export { actFromAt, holds, natureOf, type SoilNature, type Severity, type Soil, soilsAskedAt, SOILS } from '../soils/index.js';
export { type Family, familyOf, holdsCells, type Surface } from './surfaces.js';
export { type SensorFormatId, type Traits } from './traits.js';
