export { asOneRequest } from './asking.js';
export { Kept, Said, type Written, writtenBy } from './changes.js';
export { bytes, instant } from './columns.js';
export { DatabaseModule, type Platform } from './database.module.js';
export { type Backing, Database, DatabaseRestarted, DataTaken, type Db, type Turn } from './database.js';
export {
  defineDocument,
  document,
  type DocumentColumn,
  type DocumentKind,
  keptDocument,
  readDocument,
  UnreadableDocument,
} from './document.js';
export { engineHere, inItsThread, overEngine } from './embedded/embedded.js';
export type { Engine } from './embedded/engine.js';
export { causes, isLost, TransactionUndone } from './lost.js';
export { postgres } from './postgres.js';
export { MachineDocument } from './machineDocument.js';
