export * from './schema.js';
export type * from './dto.js';
export * from './errors.js';
