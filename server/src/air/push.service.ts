import { airErrors, type Accepted } from '@bright-keeper/contract';
import { type air, sources } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { type Deed, problem } from '../http/index.js';
import { Clock, hashOfKey, Ids, Together } from '../platform/index.js';
import { TrailService } from '../trail/index.js';
import { DeviceRepository, type HeldDevice } from './device.repository.js';
import { keyShown } from './keyShown.js';
import { ReadingRepository } from './reading.repository.js';

/** No forecast reaches further. */
const FORECAST_AHEAD_MS = 15 * 86_400_000;
/** A pushed reading so much older than the last one means that the clock went back. */
const CLOCK_JUMP_MS = 5 * 60_000;

const PUSHED: Deed = { act: 'pushed', subject: 'readings' };
const FORETOLD: Deed = { act: 'pushed', subject: 'forecast' };

/** So many devices' packs are kept in one transaction. */
const PUSHES_AT_ONCE = 100;

/** What a device sent, in which of the formats, and what its address says of it. */
export type Pushed = { format: sources.PushFormatId; body: unknown; options: sources.PushOptions };

/** Whose words they are: of whoever has the key, or of the device they were taken in from. */
type Whose = { tokenHash: string } | { id: string };
type Push = { whose: Whose; came: sources.PushedReadings; at: Date };
type Stored = Accepted | 'unknown-device';

const keyOf = (whose: Whose): string => ('id' in whose ? whose.id : whose.tokenHash);

/** What devices say, whether they come with a key or are listened to: the good readings are kept, the rest is set aside with its reason. */
@Injectable()
export class PushService {
  private readonly pushes = new Together<Push, Stored>({
    work: (all) => this.storePushes(all),
    keyOf: ({ whose }) => keyOf(whose),
    most: PUSHES_AT_ONCE,
  });

  constructor(
    private readonly database: Database,
    private readonly repository: DeviceRepository,
    private readonly readings: ReadingRepository,
    private readonly trail: TrailService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** @throws ProblemError when no device has this key. */
  async push(authorization: string | undefined, { format, body, options }: Pushed): Promise<Accepted> {
    const at = this.clock.now();
    const came = sources.readPushed(format, body, at, options);
    const stored = await this.pushes.do({ whose: { tokenHash: hashOfKey(keyShown(authorization)) }, came, at });
    if (stored === 'unknown-device') throw problem(airErrors, 'bad-token');
    return stored;
  }

  /** What was taken in from a device, at an instant. @returns null where it was taken out of use meanwhile. */
  async takeIn(id: string, came: sources.PushedReadings, at: Date): Promise<Accepted | null> {
    const stored = await this.pushes.do({ whose: { id }, came, at });
    return stored === 'unknown-device' ? null : stored;
  }

  /** What a weather station expects; the last forecast replaces the one before. */
  async pushForecast(authorization: string | undefined, pack: sources.SenmlRecord[]): Promise<Accepted> {
    const now = this.clock.now();
    const { readings, setAside } = sources.readForecast(pack, now, FORECAST_AHEAD_MS);
    await this.database.transaction(async (db) => {
      const device = await this.repository.findByToken(db, hashOfKey(keyShown(authorization)));
      if (!device) throw problem(airErrors, 'bad-token');
      if (!device.outdoor) throw problem(airErrors, 'not-outdoors');
      await this.repository.set(db, device.id, { forecast: { issuedAt: now.toISOString(), readings } });
      await this.trail.byDevices(db, [device.id], FORETOLD);
    });
    return { accepted: readings.length, duplicates: 0, setAside };
  }

  /** What several devices said, each of them once, in one transaction. */
  private storePushes(pushes: readonly Push[]): Promise<Stored[]> {
    return this.database.transaction(async (db) => {
      const ofIds = pushes.flatMap(({ whose }) => ('id' in whose ? [whose.id] : []));
      const ofKeys = pushes.flatMap(({ whose }) => ('id' in whose ? [] : [whose.tokenHash]));
      const held = await this.repository.hold(db, { ids: ofIds, tokenHashes: ofKeys });
      const byId = new Map(held.map((device) => [device.id, device]));
      const byKey = new Map(held.map((device) => [device.tokenHash, device]));
      const known = pushes.flatMap((push) => {
        const device = 'id' in push.whose ? byId.get(push.whose.id) : byKey.get(push.whose.tokenHash);
        return device ? [{ push, device, deviceId: device.id, readings: push.came.readings, last: device.last }] : [];
      });
      const stored = new Map<Push, Stored>();
      if (known.length > 0) {
        for (const { push, device } of known) {
          if (device.last && push.came.readings.length === 1)
            await this.markClockJump(db, device.id, push.came.readings[0]!, this.readings.newestOf(device.last));
          await this.keepLastWord(db, device, push);
        }
        const byThemselves = known.filter(({ push }) => !('id' in push.whose)).map((k) => k.deviceId);
        const [added] = await Promise.all([this.readings.addAll(db, known), this.trail.byDevices(db, byThemselves, PUSHED)]);
        known.forEach(({ push }, i) => {
          stored.set(push, { ...added[i]!, setAside: push.came.setAside });
        });
      }
      return pushes.map((push) => stored.get(push) ?? 'unknown-device');
    });
  }

  private async keepLastWord(db: Db, { id, lastWord: before }: HeldDevice, { came, at }: Push): Promise<void> {
    const lastWord = sources.lastWordAfter(before, came, at);
    if (lastWord) await this.repository.set(db, id, { lastWord });
  }

  /** A device that says now what it should have said before: its clock has gone back, and that is marked. */
  private async markClockJump(db: Db, deviceId: string, told: air.Reading, before: air.Reading): Promise<void> {
    const backMs = Date.parse(before.at) - Date.parse(told.at);
    if (backMs <= CLOCK_JUMP_MS) return;
    const data = { kind: 'clock-jump', backMin: Math.round(backMs / 60_000) } as const;
    await this.repository.addEvent(db, { id: this.ids.next(), deviceId, at: this.clock.now(), data });
  }
}
