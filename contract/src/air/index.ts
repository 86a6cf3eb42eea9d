export * from './devices.js';
export * from './logFile.js';
export * from './chart.js';
export * from './errors.js';
