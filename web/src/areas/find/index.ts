/* What other areas may use of this one. */
export { FindButton } from './FindButton';
