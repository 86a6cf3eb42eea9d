export * from './places.js';
export * from './errors.js';
