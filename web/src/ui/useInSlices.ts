import { useDeferredValue } from 'react';

/**
 * True while a page waits for its first answer, and for the moment after: what the answer brings is then drawn in slices
 * that let a tap through, and not in one piece. Where the answer is kept already the page stands at once.
 */
export const useInSlices = (isPending: boolean): boolean => useDeferredValue(isPending);
