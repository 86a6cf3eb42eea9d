import { airErrors } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import Joi from 'joi';
import { randomBytes } from 'node:crypto';
import { defineDocument, MachineDocument } from '../../db/index.js';
import { problem } from '../../http/index.js';
import { DataFolder, hashOfKey } from '../../platform/index.js';

type KeptKey = { hash: string | null };
const KEY = defineDocument<KeptKey>({
  name: 'metrics-key',
  version: 1,
  schema: Joi.object({ hash: Joi.string().hex().length(64).required().allow(null) }),
  upgrades: {},
});
const KEY_BYTES = 24;

/** The key by which another program on the network reads what the hygrometers say: only its hash is kept, on this machine. */
@Injectable()
export class MetricsKey {
  private readonly file: MachineDocument<KeptKey>;

  constructor({ path }: DataFolder) {
    this.file = new MachineDocument(path, {
      at: ['air', 'metrics.json'],
      kind: KEY,
      none: { hash: null },
      unreadable: 'the key by which hygrometers are read cannot be read: none opens anything',
      refusal: () => problem(airErrors, 'metrics-key-unreadable'),
    });
  }

  get isMade(): boolean {
    this.file.refresh();
    return this.file.get().hash !== null;
  }

  /** Makes a new key; the one before it opens nothing any more. */
  make(): string {
    const key = randomBytes(KEY_BYTES).toString('base64url');
    this.file.change(() => ({ hash: hashOfKey(key) }));
    return key;
  }

  revoke(): void {
    this.file.change(() => ({ hash: null }));
  }

  isKey(key: string): boolean {
    this.file.refresh();
    const { hash } = this.file.get();
    return hash !== null && hash === hashOfKey(key);
  }
}
