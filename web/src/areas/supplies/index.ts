/* What other areas may use of this one. */
export { drawerChanged, useDrawer, useWashById } from './queries';
