/* What other areas may use of this one. */
export { FirstReading } from './FirstReading';
