export * from './absoluteHumidity.js';
export * from './calibration.js';
export * from './reading.js';
export * from './saltPoints.js';
export { dewPointC, saturationPressureHPa } from './saturation.js';
export * from './zones.js';
