import {
  accessErrors,
  type Access,
  type CodeFor,
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
import { type Asker, roleOf } from './asker.js';
import { type Came, Devices, toPaired } from './devices.js';
import { AccessFile, type KeptKeeper } from './kept.js';
import { Keepers } from './keepers.js';
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
  readonly keepers: Keepers;
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
    this.keepers = new Keepers(this.file, this.devices);
    this.network = new Network(options, clock);
  }

  get(asker: Asker): Access {
    this.file.refresh();
    const nowMs = this.nowMs();
    const { sessionDays, open, unencrypted } = this.file.get();
    const isOwner = roleOf(asker) === 'owner';
    const all = this.devices.all(nowMs);
    const own = all.find(({ id }) => id === asker.device);
    // Whose phone is where is told to owners, and of one's own.
    const devices = isOwner ? all : all.filter(({ keeperId }) => keeperId === asker.keeper?.id);
    const nameOf = (id: string) => (this.keepers.areSeveral() ? (this.keepers.find(id)?.name ?? null) : null);
    return {
      isIn: true,
      from: asker.from,
      hasPassphrase: this.hasPassphrase(this.keeperOf(asker)),
      keepers: this.keepers.seenBy(asker.keeper?.id ?? null, nowMs),
      mayLetIn: isOwner,
      sessionDays,
      network: { open, ...this.network.state() },
      devices: devices.map((device) =>
        toPaired(device, this.devices.endsAtMs(device), device.id === asker.device, nameOf(device.keeperId)),
      ),
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
    if (this.file.get().open && this.isAnybodyLetIn()) await this.network.open();
  }

  /** Whether there is a passphrase of any owner: without one nobody is let in from the network. */
  private isAnybodyLetIn(): boolean {
    return this.keepers.all().some((keeper) => keeper.role === 'owner' && this.hasPassphrase(keeper));
  }
  private hasPassphrase = (keeper: KeptKeeper | null): boolean => keeper !== null && keeper.passphrase !== null;

  /** Who asks, as kept; at the machine, unless somebody there has said who they are, its first owner. */
  private keeperOf({ keeper }: Pick<Asker, 'keeper'>): KeptKeeper | null {
    return keeper ? this.keepers.find(keeper.id) : this.keepers.firstOwner();
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

  /** One's own passphrase. @throws ProblemError 403 where there is one and it was not just given. */
  async setPassphrase({ passphrase, endOthers }: NewPassphrase, asker: Asker): Promise<Access> {
    const own = this.keeperOf(asker);
    if (this.hasPassphrase(own) && !asker.isProved) throw problem(accessErrors, 'owner-only');
    const hash = await hashOfPassphrase(passphrase);
    this.keepers.setPassphrase(own?.id ?? null, hash);
    if (endOthers && own) this.devices.removeOf(own.id, asker.device);
    return this.get(asker);
  }

  /** @throws ProblemError 409 where there is no passphrase, or no network to open. */
  async setNetwork({ open, sessionDays }: NetworkUpdate, asker: Asker): Promise<Access> {
    if (open && !this.network.isPossible) throw problem(accessErrors, 'no-network-here');
    if (open && !this.isAnybodyLetIn()) throw problem(accessErrors, 'no-passphrase-set');
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

  /** A code that lets one device of a keeper in. @throws ProblemError 404, or 409 where no owner has a passphrase. */
  newCode({ keeperId }: CodeFor, asker: Asker): PairingCode {
    if (!this.isAnybodyLetIn()) throw problem(accessErrors, 'no-passphrase-set');
    const keeper = keeperId === undefined ? this.keeperOf(asker) : this.keepers.find(keeperId);
    if (!keeper) throw problem(accessErrors, 'no-such-keeper');
    return this.codes.make(keeper.id, this.nowMs());
  }

  pair({ code, name }: Pairing, { source }: Asker): LetIn {
    const keeperId = this.codes.takes(code, this.nowMs());
    // Whoever was removed meanwhile is let in by no code that was made before.
    if (keeperId === null || !this.keepers.find(keeperId)) {
      log.warn({ from: source }, 'a wrong code for pairing');
      throw problem(accessErrors, 'wrong-code');
    }
    return this.letIn(keeperId, name, 'code', source);
  }

  async signIn({ passphrase, name, keeper: who = '' }: SignIn, { source }: Asker): Promise<LetIn> {
    this.file.refresh();
    const keeper = this.keepers.named(who);
    await this.check(keeper, passphrase, source);
    return this.letIn(keeper!.id, name, 'passphrase', source);
  }

  /** The passphrase once more, on a device that is in: for what only an owner may do. */
  async prove(passphrase: string, asker: Asker): Promise<Access> {
    this.file.refresh();
    await this.check(this.keeperOf(asker), passphrase, asker.source);
    if (asker.device !== null) this.devices.proved(asker.device, this.nowMs());
    return this.get(asker);
  }

  /** Lets a device go, at once: one's own, or any as an owner. @param answer what is still to be answered, even to that device. @throws ProblemError 404, 403 */
  letGo(id: string, asker: Asker, answer: Response): void {
    const device = this.devices.all(this.nowMs()).find((one) => one.id === id);
    if (!device) throw problem(accessErrors, 'device-not-let-in');
    if (roleOf(asker) !== 'owner' && device.keeperId !== asker.keeper?.id) throw problem(accessErrors, 'not-yours');
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

  /** Takes as long whether there is such a keeper or not. */
  private async check(keeper: KeptKeeper | null, passphrase: string, source: string): Promise<void> {
    if (await isPassphrase(keeper?.passphrase ?? null, passphrase)) return;
    log.warn({ from: source }, 'a wrong passphrase');
    throw problem(accessErrors, this.keepers.areSeveral() ? 'wrong-name-or-passphrase' : 'wrong-passphrase');
  }

  private letIn(keeperId: string, name: string, cameBy: 'code' | 'passphrase', seenFrom: string): LetIn {
    const nowMs = this.nowMs();
    if (this.devices.all(nowMs).length >= LIMITS.access.devices) throw problem(accessErrors, 'too-many-devices');
    const id = this.ids.next();
    return { id, token: this.devices.add({ id, keeperId, name: name.trim(), cameBy, seenFrom }, nowMs) };
  }

  private nowMs(): number {
    return this.clock.now().getTime();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.network.close();
  }
}
