/* What other areas may use of this one. */
export { useAddOuting, useOutings, useRemoveOuting, useUpdateOuting } from './queries';
