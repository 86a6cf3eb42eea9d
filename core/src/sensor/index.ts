export { formats, swabFor, type SensorFormat, type SwabChoice } from './formats.js';
