import {
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
import { toldFor } from '../http/index.js';
import { Clock, hashOfKey, Ids } from '../platform/index.js';
import { PlaceService } from '../places/index.js';
import { places, trail, climateEvents } from '../tables/index.js';
import { TrailService } from '../trail/index.js';
import { DeviceRepository, type CalibrationRow, type EventRow } from './device.repository.js';
import { ReadingRepository } from './reading.repository.js';
import { extentOf } from './deviceLog.js';
import type { KnownDevice } from './houseAir.js';
import { IntakeFiles } from './intake/intakeFiles.js';
import { IntakeStates } from './intakeStates.js';
import { SeriesService } from './series.service.js';

const TOKEN_BYTES = 24;
/** So many jumps of a clock are told, the newest. */
const MOST_JUMPS = 20;

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
  constructor(
    private readonly database: Database,
    private readonly repository: DeviceRepository,
    private readonly readings: ReadingRepository,
    private readonly series: SeriesService,
    private readonly places: PlaceService,
    private readonly trail: TrailService,
    private readonly intakes: IntakeStates,
    private readonly files: IntakeFiles,
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
    this.files.name(input.intake);
    return this.database.transaction(async (db) => {
      if (placeId) await this.places.get(placeId, db);
      const id = this.ids.next();
      await this.repository.insert(db, { ...input, name: input.name.trim(), id, createdAt: this.clock.now() });
      if (placeId) await this.repository.place(db, this.ids.next(), id, placeId, this.clock.now());
      return this.view(db, id);
    });
  }

  update(id: string, { version, placeId, ...input }: DeviceUpdate): Promise<Device> {
    this.files.name(input.intake);
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

  private store(id: string, readings: readonly air.Reading[]): Promise<Accepted> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      return { ...(await this.readings.add(db, id, readings)), setAside: [] };
    });
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
      const { id, version, name, source, outdoor, everyMinutes, note, intake, lastWord, tokenHash } = row;
      const latest = latestOf(house.latestOf(id));
      return {
        id,
        version,
        name,
        source,
        outdoor,
        everyMinutes,
        note,
        intake,
        intakeState: intake && this.intakes.of(id),
        lastWord,
        placeId,
        placeName: placeId && (placeNames.get(placeId) ?? null),
        latest,
        ...extentOf(log),
        silent: sources.WAYS[source].isSteady && (!latest || storage.isSilent(nowMs - air.instantMs(latest.at), everyMinutes)),
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
