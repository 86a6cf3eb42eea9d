import {
  accessErrors,
  type Access,
  type NetworkUpdate,
  type NewPassphrase,
  type Pairing,
  type PairingCode,
  type SignIn,
  type UnencryptedKey,
} from '@bright-keeper/contract';
import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { Response } from 'express';
import { problem } from '../http/index.js';
import { LIMITS } from '../limits.js';
import { Clock, DataFolder, hashOfKey, Ids, log } from '../platform/index.js';
import type { Asker } from './asker.js';
import { type Came, Devices, toPaired } from './devices.js';
import { AccessFile } from './kept.js';
import { Network } from './network.js';
import { NETWORK_OPTIONS, type NetworkOptions } from './options.js';
import { PairingCodes } from './pairingCode.js';
import { hashOfPassphrase, isPassphrase } from './passphrase.js';

/** One that was let in, and what it is to show. */
export type LetIn = { id: string; token: string };

/** Who may come in from the network, and whether it is answered. */
@Injectable()
export class AccessService implements BeforeApplicationShutdown {
  readonly network: Network;
  private readonly file: AccessFile;
  private readonly devices: Devices;
  private readonly codes = new PairingCodes();
  /** What is being answered to each device: it is cut off when the device is let go. */
  private readonly answers = new Map<string, Set<Response>>();

  constructor(
    private readonly clock: Clock,
    private readonly ids: Ids,
    folder: DataFolder,
    @Inject(NETWORK_OPTIONS) options: NetworkOptions | null,
  ) {
    this.file = new AccessFile(folder.path);
    this.devices = new Devices(this.file, (id) => this.cutOff(id));
    this.network = new Network(options, clock);
  }

  get(asker: Asker): Access {
    this.file.refresh();
    const nowMs = this.nowMs();
    const { passphrase, sessionDays, open, unencrypted } = this.file.get();
    const devices = this.devices.all(nowMs);
    const own = devices.find(({ id }) => id === asker.device);
    return {
      isIn: true,
      from: asker.from,
      hasPassphrase: passphrase !== null,
      sessionDays,
      network: { open, ...this.network.state() },
      devices: devices.map((device) => toPaired(device, this.devices.endsAtMs(device), device.id === asker.device)),
      codeUntil: this.codes.until(nowMs),
      unencrypted: unencrypted.map(({ id }) => id),
      provedUntil: own && this.devices.isProved(own, nowMs) ? new Date(this.devices.provedUntilMs(own)).toISOString() : null,
    };
  }

  get sessionDays(): number {
    return this.file.get().sessionDays;
  }

  /** Opens the network where that is wanted from the last time. */
  async resume(): Promise<void> {
    const { open, passphrase } = this.file.get();
    if (open && passphrase !== null) await this.network.open();
  }

  /** Who shows this, if anybody is let in by it. */
  came(token: string, source: string): Came | null {
    return this.devices.came(token, source, this.nowMs());
  }

  isProved = ({ device }: Came): boolean => this.devices.isProved(device, this.nowMs());

  /** What is being answered to a device ends when it is let go. */
  answering(id: string, response: Response): void {
    const answers = this.answers.get(id) ?? new Set();
    this.answers.set(id, answers.add(response));
    response.once('close', () => {
      answers.delete(response);
      if (answers.size === 0 && this.answers.get(id) === answers) this.answers.delete(id);
    });
  }

  private cutOff(id: string): void {
    for (const response of this.answers.get(id) ?? []) response.destroy();
  }

  async setPassphrase({ passphrase, endOthers }: NewPassphrase, asker: Asker): Promise<Access> {
    const hash = await hashOfPassphrase(passphrase);
    this.file.change(() => ({ passphrase: hash }));
    if (endOthers) this.devices.removeOthers(asker.device);
    return this.get(asker);
  }

  /** @throws ProblemError 409 where there is no passphrase, or no network to open. */
  async setNetwork({ open, sessionDays }: NetworkUpdate, asker: Asker): Promise<Access> {
    if (open && !this.network.isPossible) throw problem(accessErrors, 'no-network-here');
    if (open && this.file.get().passphrase === null) throw problem(accessErrors, 'no-passphrase-set');
    const was = this.file.get().open;
    // It is said to be open only once it answers, to whoever asks meanwhile.
    if (open) await this.network.open();
    try {
      this.file.change(() => ({ open, sessionDays }));
    } catch (error) {
      if (!was) void this.network.close();
      throw error;
    }
    // Whoever closes it over the network is answered first.
    if (!open) void this.network.close();
    return this.get(asker);
  }

  /** A code that lets one device in. */
  newCode(): PairingCode {
    if (this.file.get().passphrase === null) throw problem(accessErrors, 'no-passphrase-set');
    return this.codes.make(this.nowMs());
  }

  pair({ code, name }: Pairing, { source }: Asker): LetIn {
    if (!this.codes.takes(code, this.nowMs())) {
      log.warn({ from: source }, 'a wrong code for pairing');
      throw problem(accessErrors, 'wrong-code');
    }
    return this.letIn(name, 'code', source);
  }

  async signIn({ passphrase, name }: SignIn, { source }: Asker): Promise<LetIn> {
    await this.check(passphrase, source);
    return this.letIn(name, 'passphrase', source);
  }

  /** The passphrase once more, on a device that is in: for what only an owner may do. */
  async prove(passphrase: string, asker: Asker): Promise<Access> {
    await this.check(passphrase, asker.source);
    if (asker.device !== null) this.devices.proved(asker.device, this.nowMs());
    return this.get(asker);
  }

  /** Lets a device go, at once. @param answer what is still to be answered, even to that device. @throws ProblemError 404 */
  letGo(id: string, answer: Response): void {
    if (!this.devices.all(this.nowMs()).some((device) => device.id === id)) throw problem(accessErrors, 'device-not-let-in');
    this.answers.get(id)?.delete(answer);
    this.devices.remove(id);
  }

  /** Lets a key come unencrypted, or no more; a new key of the same has to be let anew. */
  setUnencrypted({ id, key }: UnencryptedKey, asker: Asker): Access {
    const others = this.file.get().unencrypted.filter((one) => one.id !== id);
    if (others.length >= LIMITS.access.unencryptedKeys) throw problem(accessErrors, 'too-many-keys');
    this.file.change(() => ({ unencrypted: key === null ? others : [...others, { id, hash: hashOfKey(key) }] }));
    return this.get(asker);
  }

  mayComeUnencrypted(key: string): boolean {
    this.file.refresh();
    const hash = hashOfKey(key);
    return this.file.get().unencrypted.some((one) => one.hash === hash);
  }

  private async check(passphrase: string, source: string): Promise<void> {
    this.file.refresh();
    if (await isPassphrase(this.file.get().passphrase, passphrase)) return;
    log.warn({ from: source }, 'a wrong passphrase');
    throw problem(accessErrors, 'wrong-passphrase');
  }

  private letIn(name: string, cameBy: 'code' | 'passphrase', seenFrom: string): LetIn {
    const nowMs = this.nowMs();
    if (this.devices.all(nowMs).length >= LIMITS.access.devices) throw problem(accessErrors, 'too-many-devices');
    const id = this.ids.next();
    return { id, token: this.devices.add({ id, name: name.trim(), cameBy, seenFrom }, nowMs) };
  }

  private nowMs(): number {
    return this.clock.now().getTime();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.network.close();
  }
}
