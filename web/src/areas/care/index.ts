/* What other areas may use of this one. */
export { StrokesDrawing } from './StrokesDrawing';
export { basisWords, LEVEL_WORDS } from './words';
