/* What other areas may use of this one. */
export { drawerChanged, useBenchUses, useDrawer, useWashById } from './queries';
export { stockWords } from './words';
