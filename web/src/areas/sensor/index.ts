/* What other areas may use of this one. */
export { SensorDoors } from './SensorDoors';
export { SpecksAtTheBench } from './SpecksAtTheBench';
