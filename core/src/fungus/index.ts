export {
  assess,
  type Assessment,
  type AssessOptions,
  type AssessReason,
  type Exposure,
  type HumiditySchool,
  RISK_LEVELS,
  riskLevel,
  type RiskLevel,
  soonestGrowth,
} from './assess.js';
export { CLASSES, DEFAULT_DECLINE, SENSITIVITIES, SURFACE_STATES, type Sensitivity, type SurfaceState } from './constants.js';
export { daysToGermination, earlyWarning, type Warning, warningAlong, type WarningColumns, warningShare } from './earlyWarning.js';
export { filledGaps, GAP_H, gapsOf, type Gap } from './gaps.js';
export { criticalHumidityPct, mouldAlong, mouldIndex, type MouldOptions } from './mouldIndex.js';
export { surfaceStateOf } from './surfaceState.js';
