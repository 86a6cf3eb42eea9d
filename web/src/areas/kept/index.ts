/* What other areas may use of this one. */
export { KeptBar, KeptMark } from './KeptMark';
export { DoneHere } from './DoneHere';
