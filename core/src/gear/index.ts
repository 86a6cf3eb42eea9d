export {
  ACCESSORY_PARTS,
  type AccessoryPart,
  checkParticular,
  type Condition,
  CONDITIONS,
  hasTag,
  ofKind,
  PARTICULAR_GROUPS,
  PARTICULAR_IDS,
  type ParticularFacts,
  particularFacts,
  type ParticularGroup,
  type ParticularId,
  type Particulars,
  PARTICULARS,
  particularsOf,
  sameSerial,
  sharedWithTheNext,
  tagged,
  TOLD_IN_WORDS,
  wordsTold,
} from './particulars.js';
export {
  filtersBefore,
  type FilterFit,
  type Fitting,
  type Joint,
  jointsOf,
  MOST_BETWEEN,
  onNothing,
  sameMount,
  type Screwed,
  threadsOf,
} from './fit.js';
export { bringsMoney, type Gone, GONE_REASONS, type GoneReason, isForTheInsurer } from './gone.js';
export { FILE_ROLES, type FileRole, guessRole, mayBe } from './papers.js';
export { countOf, split, withCount } from './several.js';
export { type Belonging, belongingsOf, wouldHoldItself } from './together.js';
export { type CapWanted, capsAndHoods, type CapsAndHoods, type Holding, spareCapsMm } from './caps.js';
export { type Group, type Grouped, type Grouping, GROUPINGS, groupsBy } from './groups.js';
export { type Worth, worthOf, worthOfAll } from './worth.js';
export { inventoryBy, type InventoryGroup, inventoryTotal, type Listed, type Sum } from './inventory.js';
