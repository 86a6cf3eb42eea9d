export type * from './dto.js';
export * from './documents.js';
export * from './errors.js';
