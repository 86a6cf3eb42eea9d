/* What other areas may use of this one. */
export { AlertList } from './AlertList';
export { storageChanged, useMoveItem, useOverview, usePlaces, useRemoveTimer } from './queries';
export { airWords, LEVEL_TONES, LEVEL_WORDS, pctWords } from './words';
