/* What other areas may use of this one. */
export { CautionLines } from './CautionLines';
export { InHand } from './InHand';
export { planOfSpecks } from './planView';
export { StrokesDrawing } from './StrokesDrawing';
export { basisWords, LEVEL_WORDS } from './words';
