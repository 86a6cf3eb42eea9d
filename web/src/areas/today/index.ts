/* What other areas may use of this one. */
export { useToday } from './queries';
