/* What other areas may use of this one. */
export { Field } from './ItemFields';
export { useAddItem, useCorrectLook, useItem, useSetStatus, useShelf, useUpdateItem, useWholeShelf } from './queries';
