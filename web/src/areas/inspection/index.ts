/* What other areas may use of this one. */
export { useStartLook } from './queries';
