export * as air from './air/index.js';
export * as care from './care/index.js';
export * as fungus from './fungus/index.js';
export * as inspection from './inspection/index.js';
export * as schedule from './schedule/index.js';
export * as sensor from './sensor/index.js';
export * as storage from './storage/index.js';
export * as supplies from './supplies/index.js';
export * from './units.js';
