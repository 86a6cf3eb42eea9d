export { copyTree } from './copyTree.js';
export { type Asked, DatabaseStopped, type Exchange, type KeptEngine, type Told } from './keeper.js';
export { answeringFor, Claim, DirectoryInUse, LOCK_FILE, proofOf } from './lock.js';
export { privateDirectory } from './privateFiles.js';
export { syncPath } from './syncPath.js';
export { beginFromTemplate } from './template.js';
export { claim, type Claimed, wake, type Waking } from './wake.js';
export { writeWhole } from './writeWhole.js';
