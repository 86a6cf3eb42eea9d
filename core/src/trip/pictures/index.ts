export { apertureOfShare, neverUsed, type Tally } from './habits.js';
export { besideNoted, type FoundIs, type NotedOuting, type Proposal } from './noted.js';
export { clockIsOff, FEW_PICTURES, type FoundOuting, type OutingOptions, outingsFrom, type OutingsFound, PAUSE_HOURS, type SetAside, type UsedThing } from './outingsFrom.js'; // prettier-ignore
export { clockMs, type Picture, PLACE_STEP_DEGREES, type RoughPlace } from './picture.js';
export { type PicturesTold, tellPictures, withClocks } from './tellPictures.js';
export { type FileSays, type NamedThing, whichThing, type WhichThing } from './whichThing.js';
