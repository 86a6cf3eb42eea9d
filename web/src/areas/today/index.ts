/* What other areas may use of this one. */
export { useMarkDone, useToday } from './queries';
