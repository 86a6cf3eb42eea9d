/* What other areas may use of this one. */
export { MarkRuler } from './MarkRuler';
export { SensorDoors } from './SensorDoors';
export { SpecksAtTheBench } from './SpecksAtTheBench';
