export * from './knowledge/places.js';
