/* What other areas may use of this one. */
export { storageChanged, useMoveItem, useOverview, usePlaces, useRemoveTimer } from './queries';
export { airWords, LEVEL_TONES, LEVEL_WORDS, pctWords } from './words';
