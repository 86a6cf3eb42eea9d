export * from './places.js';
export * from './climate.js';
export * from './errors.js';
