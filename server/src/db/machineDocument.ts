import { join } from 'node:path';
import { PrivateFile, type PrivateFileOptions } from '../platform/index.js';
import { type DocumentKind, keptDocument, readDocument } from './document.js';

type Options<T> = Pick<PrivateFileOptions<T>, 'none' | 'unreadable' | 'refusal'> & {
  /** Where it lies in the data folder. */
  at: readonly [folder: string, file: string];
  kind: DocumentKind<T>;
};

/** A document about this machine, which lies beside the household in a private file of the data folder; in memory without one. */
export class MachineDocument<T extends object> extends PrivateFile<T> {
  constructor(dataDir: string | null, { at, kind, ...rest }: Options<T>) {
    super({
      ...rest,
      path: dataDir === null ? null : join(dataDir, ...at),
      read: (kept) => readDocument(kind, kept),
      keep: (value) => keptDocument(kind, value),
    });
  }
}
