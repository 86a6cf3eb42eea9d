export * from './problem.js';
export * from './joi.js';
export * from './routes.js';
export * from './gear/index.js';
export * from './inspection/index.js';
export * from './care/index.js';
export * from './schedule/index.js';
export * from './settings/index.js';
