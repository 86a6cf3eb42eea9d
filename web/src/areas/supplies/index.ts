/* What other areas may use of this one. */
export { useDrawer } from './queries';
