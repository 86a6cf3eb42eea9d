export * from './errors.js';
export * from './schema.js';
