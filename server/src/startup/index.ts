export { bringUpToDate, goBack, goThrough, lastStep, type Step, steps } from './migrate.js';
export { type Opening, openInMemory, openOnFiles, openOnServer, openWaking, placeForCopy } from './open.js';
export { rewriteOldDocuments } from './rewriteDocuments.js';
