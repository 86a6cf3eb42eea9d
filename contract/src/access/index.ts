export * from './schema.js';
export * from './errors.js';
