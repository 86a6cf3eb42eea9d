/* What other areas may use of this one. */
export { HouseZone } from './HouseZone';
export { useCurrency, useSettings } from './queries';
