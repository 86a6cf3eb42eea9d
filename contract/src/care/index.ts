export * from './schema.js';
export * from './plan.js';
export * from './field.js';
export * from './teardown.js';
export type * from './dto.js';
export * from './errors.js';
