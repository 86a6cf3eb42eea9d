export * from './climate.js';
export * from './sensor.js';
