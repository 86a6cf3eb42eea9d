export { ITEM_KINDS, KIND_RELATIONS, KINDS, kindFacts, type ItemKind } from './registry.js';
export { checkKind } from './checkKind.js';
export { DEPTHS, OPENING_BARS, type Depth, type Kind, type Line, type Opening, type OpeningBar, type Preset } from './kind.js';
export type { LineId } from './lines.js';
export { presetsFor, retrait, withDefaults, type TraitChange } from './retrait.js';
export { acrossMm, capsOf, hasSurface, surfacesOf, traitsOf } from './surfacesOf.js';
export { sectionOf, type Region, type Section } from './sectionOf.js';
export type { Work } from './work.js';
