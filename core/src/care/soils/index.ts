export {
  SOILS,
  SOIL_IDS,
  soilFacts,
  natureOf,
  holds,
  liesOn,
  soilsAskedAt,
  soilsOn,
  actFromAt,
  whyAct,
  whyLeave,
  type Soil,
} from './registry.js';
export { checkSoil } from './checkSoil.js';
export {
  SEVERITY_NAMES,
  type Content,
  type Lies,
  type Reason,
  type Severity,
  type SoilFacts,
  type SoilNature,
  type SoilPattern,
} from './soil.js';
