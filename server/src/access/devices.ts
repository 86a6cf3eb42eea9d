import type { PairedDevice } from '@bright-keeper/contract';
import { MS_PER_DAY, MS_PER_MINUTE } from '@bright-keeper/core';
import { randomBytes } from 'node:crypto';
import { hashOfKey, log } from '../platform/index.js';
import type { AccessFile, KeptDevice } from './kept.js';

/** 256 bits: nobody guesses it, so its hash needs no salt and no costs. */
const TOKEN_BYTES = 32;
/** What a device shows is changed so often. */
const ROTATE_MS = MS_PER_DAY;
/** What it showed before counts for so long: requests that were under way. */
const OVERLAP_MS = MS_PER_MINUTE;
/** That it was seen is written down so often at most: to bring it to disk keeps others waiting. */
const SEEN_MS = 5 * MS_PER_MINUTE;
/** So many answers with something new to show may be lost. */
const MOST_NEXT = 3;
/** The passphrase counts as just given for so long. */
const PROVED_MS = 10 * MS_PER_MINUTE;

const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url');
const ms = (iso: string): number => Date.parse(iso);

/** A device that came, and what it is given to show from now on, if anything. */
export type Came = { device: KeptDevice; token: string | null };

/** The devices that are let in: what they show is changed every day, kept as hashes, and ended when it turns up twice. */
export class Devices {
  /** What was given and not shown yet, while this program runs: requests that come together are given the same. */
  private readonly given = new Map<string, string>();

  constructor(
    private readonly file: AccessFile,
    private readonly ended: (id: string) => void,
  ) {}

  /** Until when a device is let in if it does not come again. */
  endsAtMs = (device: KeptDevice): number => ms(device.seenAt) + this.file.get().sessionDays * MS_PER_DAY;

  isProved = (device: KeptDevice, nowMs: number): boolean => this.provedUntilMs(device) > nowMs;
  provedUntilMs = ({ provedAt }: KeptDevice): number => (provedAt === null ? 0 : ms(provedAt) + PROVED_MS);

  all(nowMs: number): KeptDevice[] {
    return this.file.get().devices.filter((device) => this.endsAtMs(device) > nowMs);
  }

  /** Lets one in. @returns what it is to show. */
  add(device: Pick<KeptDevice, 'id' | 'keeperId' | 'name' | 'cameBy' | 'seenFrom'>, nowMs: number): string {
    const token = newToken();
    const at = new Date(nowMs).toISOString();
    const added: KeptDevice = {
      ...device,
      addedAt: at,
      seenAt: at,
      hash: hashOfKey(token),
      hashSince: at,
      nextHashes: [],
      lastHash: null,
      lastUntil: null,
      provedAt: device.cameBy === 'passphrase' ? at : null,
    };
    this.file.change(() => ({ devices: [...this.all(nowMs), added] }));
    return token;
  }

  /** Lets one go, at once. */
  remove(id: string): void {
    this.given.delete(id);
    this.keep((devices) => devices.filter((device) => device.id !== id));
    this.ended(id);
  }

  /** Lets all of one keeper go. @param but which stays. */
  removeOf(keeperId: string, but: string | null = null): void {
    const leaves = (device: KeptDevice) => device.keeperId === keeperId && device.id !== but;
    const leaving = this.file.get().devices.filter(leaves);
    this.keep((all) => all.filter((device) => !leaves(device)));
    for (const { id } of leaving) this.ended(id);
  }

  proved(id: string, nowMs: number): void {
    this.update(id, { provedAt: new Date(nowMs).toISOString() });
  }

  /** Who shows this, if anybody is let in by it. */
  came(token: string, from: string, nowMs: number): Came | null {
    this.file.refresh();
    const hash = hashOfKey(token);
    const device = this.all(nowMs).find((d) => d.hash === hash || d.lastHash === hash || d.nextHashes.includes(hash));
    if (!device) return null;
    if (device.lastHash === hash) return this.cameWithLast(device, nowMs);
    if (device.nextHashes.includes(hash)) this.takeUp(device, hash, nowMs);
    else this.seen(device, from, nowMs);
    const present = this.find(device.id);
    return { device: present, token: hash === present.hash ? this.nextFor(present, nowMs) : null };
  }

  /** Two have it: one of them took it from the other, and nobody knows which. */
  private cameWithLast(device: KeptDevice, nowMs: number): Came | null {
    if (device.lastUntil !== null && ms(device.lastUntil) > nowMs) return { device, token: null };
    log.warn({ device: device.id, name: device.name }, 'a device showed what it had shown before: it is let go, and has to come anew');
    this.tried(() => this.remove(device.id));
    return null;
  }

  private takeUp(device: KeptDevice, hash: string, nowMs: number): void {
    this.given.delete(device.id);
    const at = new Date(nowMs).toISOString();
    const lastUntil = new Date(nowMs + OVERLAP_MS).toISOString();
    // Of several it was given after one another it may yet show another one: the last to arrive is the one it keeps.
    const nextHashes = device.nextHashes.filter((next) => next !== hash);
    this.tried(() => this.update(device.id, { hash, hashSince: at, seenAt: at, nextHashes, lastHash: device.hash, lastUntil }));
  }

  private nextFor(device: KeptDevice, nowMs: number): string | null {
    if (nowMs - ms(device.hashSince) < ROTATE_MS) return null;
    const given = this.given.get(device.id);
    if (given !== undefined) return given;
    const token = newToken();
    if (!this.tried(() => this.update(device.id, { nextHashes: [...device.nextHashes, hashOfKey(token)].slice(-MOST_NEXT) }))) return null;
    this.given.set(device.id, token);
    return token;
  }

  private seen(device: KeptDevice, from: string, nowMs: number): void {
    if (nowMs - ms(device.seenAt) < SEEN_MS && device.seenFrom === from) return;
    this.tried(() => this.update(device.id, { seenAt: new Date(nowMs).toISOString(), seenFrom: from }));
  }

  /** What is only for later need not be kept for now to be answered: a full disk keeps nobody from reading. */
  private tried(work: () => void): boolean {
    try {
      work();
      return true;
    } catch (error) {
      log.warn({ error: (error as Error).message }, 'who may come in could not be written down');
      return false;
    }
  }

  private find(id: string): KeptDevice {
    return this.file.get().devices.find((device) => device.id === id)!;
  }

  private update(id: string, change: Partial<KeptDevice>): void {
    this.keep((devices) => devices.map((device) => (device.id === id ? { ...device, ...change } : device)));
  }

  private keep(change: (devices: readonly KeptDevice[]) => KeptDevice[]): void {
    this.file.change(({ devices }) => ({ devices: change(devices) }));
  }
}

/** As it is shown. @param keeper whose it is, where there are several. */
export const toPaired = (device: KeptDevice, endsAtMs: number, isThis: boolean, keeper: string | null): PairedDevice => ({
  id: device.id,
  name: device.name,
  cameBy: device.cameBy,
  addedAt: device.addedAt,
  seenAt: device.seenAt,
  seenFrom: device.seenFrom,
  endsAt: new Date(endsAtMs).toISOString(),
  isThis,
  keeper,
});
