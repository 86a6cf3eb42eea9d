import { record } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { createHash, createPrivateKey, createPublicKey, generateKeyPairSync, type KeyObject, sign } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DataFolder } from '../platform/index.js';
import { writeWhole } from '../wake/index.js';

/**
 * The household's own key for reports (Ed25519, RFC 8032): made at the first one, in a file of the data folder that nobody
 * else reads. Like who may come in it is about this machine: no export and no backup carries it, so that a copy of the
 * household in other hands signs nothing in its name. Without a folder it is kept in memory.
 */
@Injectable()
export class ReportKey {
  private kept: KeyObject | null = null;

  constructor(private readonly folder: DataFolder) {}

  /** @throws Error where the key cannot be read: another one in its place would make every earlier report a stranger's. */
  sign(report: record.ConditionReport): record.SignedReport {
    const key = this.key();
    const value = sign(null, Buffer.from(record.signedText(report), 'utf8'), key).toString('base64url');
    return { report, signature: { algorithm: 'Ed25519', publicKey: publicOf(key), value } };
  }

  /** The public key, and the SHA-256 of its bytes by which one tells it to another. */
  public(): { publicKey: string; fingerprint: string } {
    const publicKey = publicOf(this.key());
    return { publicKey, fingerprint: createHash('sha256').update(Buffer.from(publicKey, 'base64url')).digest('hex') };
  }

  private key(): KeyObject {
    this.kept ??= this.folder.path === null ? made() : keyIn(this.folder.path);
    return this.kept;
  }
}

const made = (): KeyObject => generateKeyPairSync('ed25519').privateKey;
const publicOf = (key: KeyObject): string => createPublicKey(key).export({ format: 'jwk' }).x!;

function keyIn(folder: string): KeyObject {
  const file = join(folder, 'reports', 'key.pem');
  if (existsSync(file)) return createPrivateKey(readFileSync(file, 'utf8'));
  const key = made();
  writeWhole(file, key.export({ type: 'pkcs8', format: 'pem' }) as string);
  return key;
}
