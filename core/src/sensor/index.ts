export * from './exposure.js';
export * from './formats.js';
export * from './swabs.js';
