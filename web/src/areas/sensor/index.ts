/* What other areas may use of this one. */
export { Blot } from './Blot';
export { STOPS } from './framesView';
export { MarkRuler } from './MarkRuler';
export { SensorDoors } from './SensorDoors';
export { SpecksAtTheBench } from './SpecksAtTheBench';
