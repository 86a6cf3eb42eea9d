/* What other areas may use of this one. */
export { LazyHowLongThere } from './LazyHowLongThere';
export { storageChanged, useMoveItem, useOverview, usePlaces, useRemoveTimer } from './queries';
export { StandingChip } from './StandingChip';
export { airWords, pctWords } from './words';
