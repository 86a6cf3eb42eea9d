/* What other areas may use of this one. */
export { useCurrency, useSettings } from './queries';
