import {
  airErrors,
  type Accepted,
  type Calibration,
  type CalibrationInput,
  type Device,
  type DeviceInput,
  type DeviceToken,
  type DeviceUpdate,
  type HandReading,
  type Latest,
} from '@bright-keeper/contract';
import { air, schedule, sources, storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { randomBytes } from 'node:crypto';
import { Kept, Database, type Db } from '../db/index.js';
import { type Deed, problem, toldFor } from '../http/index.js';
import { Clock, hashOfKey, Ids, Together } from '../platform/index.js';
import { PlaceService } from '../places/index.js';
import { places, trail, climateEvents } from '../tables/index.js';
import { TrailService } from '../trail/index.js';
import { DeviceRepository, type CalibrationRow, type EventRow } from './device.repository.js';
import { ReadingRepository } from './reading.repository.js';
import { extentOf } from './deviceLog.js';
import type { KnownDevice } from './houseAir.js';
import { SeriesService } from './series.service.js';

const TOKEN_BYTES = 24;
/** No forecast reaches further. */
const FORECAST_AHEAD_MS = 15 * 86_400_000;
/** A pushed reading so much older than the last one means that the clock went back. */
const CLOCK_JUMP_MS = 5 * 60_000;
/** So many jumps of a clock are told, the newest. */
const MOST_JUMPS = 20;

const PUSHED: Deed = { act: 'pushed', subject: 'readings' };
const FORETOLD: Deed = { act: 'pushed', subject: 'forecast' };

/** So many devices' packs are kept in one transaction. */
const PUSHES_AT_ONCE = 100;

/** What a device sent, in which of the formats, and what its address says of it. */
export type Pushed = { format: sources.PushFormatId; body: unknown; options: sources.PushOptions };

/** A pack as it came with its key. */
type Push = { tokenHash: string } & sources.PushedReadings;
type Stored = Accepted | 'unknown-key';

/** @throws ProblemError where there is no key at all. */
function tokenOf(authorization: string | undefined): string {
  const token = /^Bearer\s+(\S+)$/i.exec(authorization ?? '')?.[1];
  if (!token) throw problem(airErrors, 'bad-token');
  return token;
}

export const latestOf = (found: { raw: air.Reading; corrected: air.Reading } | null): Latest | null =>
  found && {
    ...found.corrected,
    rawHumidityPct: found.raw.humidityPct,
    dewPointC: air.dewPointC(found.corrected.temperatureC, Math.max(0.1, found.corrected.humidityPct)),
  };

const toCalibration = (row: CalibrationRow): Calibration => ({
  id: row.id,
  at: row.at.toISOString(),
  points: row.points,
  note: row.note,
  correction: air.correctionOf(row),
});

/** What a hygrometer says and is, without who came with its key. */
type Heard = Omit<Device, 'keyUsedAt'>;

/** The hygrometers and weather stations, their salt tests, and the readings they push. */
@Injectable()
export class DeviceService {
  /** What is told of devices and stands in other tables. */
  private readonly around = new Kept<{ placeNames: Map<string, string>; jumps: Map<string, EventRow[]> }>();
  private readonly keyUse = new Kept<Map<string, Date>>();
  private readonly pushes = new Together<Push, Stored>({
    work: (all) => this.storePushes(all),
    keyOf: (push) => push.tokenHash,
    most: PUSHES_AT_ONCE,
  });

  constructor(
    private readonly database: Database,
    private readonly repository: DeviceRepository,
    private readonly readings: ReadingRepository,
    private readonly series: SeriesService,
    private readonly places: PlaceService,
    private readonly trail: TrailService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async all(db: Db = this.database.db): Promise<Device[]> {
    const views = await this.views(db);
    return (await this.series.air(db)).inUse().map((d) => views(d));
  }

  /** Those in use, as duties ask for them. */
  async heard(db: Db): Promise<Heard[]> {
    const heard = await this.heardOf(db);
    return (await this.series.air(db)).inUse().map((d) => heard(d));
  }

  /** From when the hours that the station foretells mean dew on a bare front tonight, an instant; null where they mean none. */
  async dewFrom(db: Db, timeZone: string): Promise<string | null> {
    const nowMs = this.clock.now().getTime();
    const forecast = (await this.series.air(db)).foretold(nowMs);
    const isNight = (ms: number) => schedule.isNightHour(schedule.localHour(new Date(ms), timeZone));
    const dew = forecast && storage.dewAhead(forecast.readings, storage.BARE_UNDER_THE_SKY, nowMs, isNight);
    return dew && new Date(dew.fromMs).toISOString();
  }

  async get(id: string): Promise<Device> {
    return this.view(this.database.db, id);
  }

  add({ placeId, ...input }: DeviceInput): Promise<Device> {
    return this.database.transaction(async (db) => {
      if (placeId) await this.places.get(placeId, db);
      const id = this.ids.next();
      await this.repository.insert(db, { ...input, name: input.name.trim(), id, createdAt: this.clock.now() });
      if (placeId) await this.repository.place(db, this.ids.next(), id, placeId, this.clock.now());
      return this.view(db, id);
    });
  }

  update(id: string, { version, placeId, ...input }: DeviceUpdate): Promise<Device> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      if (placeId) await this.places.get(placeId, db);
      await this.repository.versioned.update(db, id, version, { ...input, name: input.name.trim() }, () => this.view(db, id));
      const before = await this.repository.placeOf(db, id);
      if ((before?.id ?? null) !== placeId) {
        await this.repository.place(db, this.ids.next(), id, placeId, this.clock.now());
        await this.repository.touch(db, id);
      }
      return this.view(db, id);
    });
  }

  /** Takes it out of use; what it read stays. */
  archive(id: string, version: number): Promise<void> {
    return this.database.transaction(async (db) => {
      const change = { archivedAt: this.clock.now(), tokenHash: null };
      await this.repository.versioned.update(db, id, version, change, () => this.view(db, id));
      await this.repository.place(db, this.ids.next(), id, null, this.clock.now());
    });
  }

  /** Makes a new key; the one before it stops working. */
  newToken(id: string): Promise<DeviceToken> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      const token = randomBytes(TOKEN_BYTES).toString('base64url');
      await this.repository.set(db, id, { tokenHash: hashOfKey(token) });
      return { token };
    });
  }

  /** Takes its key away: whatever has it can push nothing any more. */
  async revokeToken(id: string): Promise<void> {
    await this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      await this.repository.set(db, id, { tokenHash: null });
    });
  }

  calibrate(id: string, { at: told, points, note }: CalibrationInput): Promise<Device> {
    const at = toldFor(told, this.clock.now());
    return this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      await this.repository.addCalibration(db, { id: this.ids.next(), deviceId: id, at, points, note });
      await this.repository.touch(db, id);
      return this.view(db, id);
    });
  }

  /** A reading typed by hand. */
  addByHand(id: string, { at, temperatureC, humidityPct }: HandReading): Promise<Accepted> {
    return this.store(id, [{ at: toldFor(at, this.clock.now()).toISOString(), temperatureC, humidityPct }]);
  }

  /** A whole log at once, as it was read elsewhere. */
  async addLog(id: string, readings: readonly air.Reading[]): Promise<Device> {
    await this.store(id, readings);
    return this.get(id);
  }

  /** What a device pushes: the good readings are kept, the rest is set aside with its reason. @throws ProblemError when no device has this key. */
  async push(authorization: string | undefined, { format, body, options }: Pushed): Promise<Accepted> {
    const read = sources.readPushed(format, body, this.clock.now(), options);
    const stored = await this.pushes.do({ tokenHash: hashOfKey(tokenOf(authorization)), ...read });
    if (stored === 'unknown-key') throw problem(airErrors, 'bad-token');
    return stored;
  }

  /** What a weather station expects; the last forecast replaces the one before. */
  async pushForecast(authorization: string | undefined, pack: sources.SenmlRecord[]): Promise<Accepted> {
    const now = this.clock.now();
    const { readings, setAside } = sources.readForecast(pack, now, FORECAST_AHEAD_MS);
    await this.database.transaction(async (db) => {
      const device = await this.repository.findByToken(db, hashOfKey(tokenOf(authorization)));
      if (!device) throw problem(airErrors, 'bad-token');
      if (!device.outdoor) throw problem(airErrors, 'not-outdoors');
      await this.repository.set(db, device.id, { forecast: { issuedAt: now.toISOString(), readings } });
      await this.trail.byDevices(db, [device.id], FORETOLD);
    });
    return { accepted: readings.length, duplicates: 0, setAside };
  }

  /** Packs of several devices, one of each, in one transaction. */
  private storePushes(pushes: readonly Push[]): Promise<Stored[]> {
    return this.database.transaction(async (db) => {
      const rows = await this.repository.holdByTokens(
        db,
        pushes.map((p) => p.tokenHash),
      );
      const deviceOf = new Map(rows.map((row) => [row.tokenHash, row]));
      const known = pushes.flatMap((push) => {
        const device = deviceOf.get(push.tokenHash);
        return device ? [{ push, deviceId: device.id, readings: push.readings, last: device.last }] : [];
      });
      const stored = new Map<Push, Stored>();
      if (known.length > 0) {
        for (const { deviceId, readings, last } of known)
          if (last && readings.length === 1) await this.markClockJump(db, deviceId, readings[0]!, this.readings.newestOf(last));
        const deviceIds = known.map((k) => k.deviceId);
        const [added] = await Promise.all([this.readings.addAll(db, known), this.trail.byDevices(db, deviceIds, PUSHED)]);
        known.forEach(({ push }, i) => {
          stored.set(push, { ...added[i]!, setAside: push.setAside });
        });
      }
      return pushes.map((push) => stored.get(push) ?? 'unknown-key');
    });
  }

  private store(id: string, readings: readonly air.Reading[]): Promise<Accepted> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      return { ...(await this.readings.add(db, id, readings)), setAside: [] };
    });
  }

  /** A device that says now what it should have said before: its clock has gone back, and that is marked. */
  private async markClockJump(db: Db, deviceId: string, told: air.Reading, before: air.Reading): Promise<void> {
    const backMs = Date.parse(before.at) - Date.parse(told.at);
    if (backMs <= CLOCK_JUMP_MS) return;
    const data = { kind: 'clock-jump', backMin: Math.round(backMs / 60_000) } as const;
    await this.repository.addEvent(db, { id: this.ids.next(), deviceId, at: this.clock.now(), data });
  }

  private async view(db: Db, id: string): Promise<Device> {
    await this.repository.versioned.find(db, id);
    const views = await this.views(db);
    return views((await this.series.air(db)).devices.get(id)!);
  }

  /** What a page shows of a device. */
  private async views(db: Db): Promise<(device: KnownDevice) => Device> {
    const [heard, keyUse] = await Promise.all([
      this.heardOf(db),
      this.keyUse.get(this.database.stampFor(db, [trail]), () => this.trail.lastOfDevices(db)),
    ]);
    return (device) => ({ ...heard(device), keyUsedAt: keyUse.get(device.row.id)?.toISOString() ?? null });
  }

  /** The same but for when its key was used: asked for all at once, so that many cost what one does. */
  private async heardOf(db: Db): Promise<(device: KnownDevice) => Heard> {
    const house = await this.series.air(db);
    const { placeNames, jumps } = await this.around.get(this.database.stampFor(db, [places, climateEvents]), async () => ({
      placeNames: await this.places.names(db),
      jumps: await this.repository.clockJumps(db),
    }));
    const nowMs = this.clock.now().getTime();
    return ({ row, calibrations, placeId, log }) => {
      const { id, version, name, source, outdoor, everyMinutes, note, tokenHash } = row;
      const latest = latestOf(house.latestOf(id));
      return {
        id,
        version,
        name,
        source,
        outdoor,
        everyMinutes,
        note,
        placeId,
        placeName: placeId && (placeNames.get(placeId) ?? null),
        latest,
        ...extentOf(log),
        silent: source === 'push' && (!latest || storage.isSilent(nowMs - air.instantMs(latest.at), everyMinutes)),
        calibrations: calibrations.map(toCalibration).reverse(),
        driftPctPerYear: air.driftPctPerYear(log.corrections),
        addedAt: row.createdAt.toISOString(),
        hasToken: tokenHash !== null,
        clockJumps: (jumps.get(id) ?? [])
          .slice(0, MOST_JUMPS)
          .flatMap(({ at, data }) => (data.kind === 'clock-jump' ? [{ at: at.toISOString(), backMin: data.backMin }] : [])),
      };
    };
  }
}
