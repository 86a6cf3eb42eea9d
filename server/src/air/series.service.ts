import { air } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Kept, Database, type Db } from '../db/index.js';
import { grouped } from '../platform/index.js';
import { calibrations, devices, deviceStays, readingDays } from '../tables/index.js';
import { DeviceRepository, type CalibrationRow, type DeviceRow } from './device.repository.js';
import { correcting, hourlyOf, withDays, type DeviceLog } from './deviceLog.js';
import { HouseAir } from './houseAir.js';
import type { TellHour } from './packedDay.js';
import { ReadingRepository, type Span } from './reading.repository.js';

/** The corrections of a device over time. */
const correctionsOf = (rows: readonly CalibrationRow[]): air.DatedCorrection[] =>
  rows.map((row) => ({ at: row.at.toISOString(), ...air.correctionOf(row) }));

/** Keeps the air of the household at hand: four questions to the database when something moved, and none otherwise. */
@Injectable()
export class SeriesService {
  private readonly house = new Kept<HouseAir>();
  private logs = new Map<string, DeviceLog>();
  private upsets = 0;

  constructor(
    private readonly database: Database,
    private readonly devices: DeviceRepository,
    private readonly readings: ReadingRepository,
  ) {}

  /** The air as it is known now. */
  air(db: Db): Promise<HouseAir> {
    return this.house.get(this.database.stampFor(db, [devices, deviceStays, calibrations, readingDays]), () => this.load(db));
  }

  /** Tells the single readings of a place, for spans of days, device after device. */
  async tellSingle(db: Db, placeId: string, span: Span, tell: TellHour): Promise<void> {
    const house = await this.air(db);
    for (const { deviceId, ...within } of house.staysWithin(placeId, span)) {
      const { corrections } = house.devices.get(deviceId)!.log;
      const corrected = correcting(corrections);
      await this.readings.tell(db, deviceId, within, (ms, c, rawPct) => {
        const pct = corrected(rawPct, ms);
        tell(ms, 1, c, c, c, pct, pct, pct);
      });
    }
  }

  private async load(db: Db): Promise<HouseAir> {
    const { upsets } = this.database.changes;
    // What was read and then taken back is forgotten.
    if (upsets !== this.upsets) this.logs = new Map();
    this.upsets = upsets;
    // Others may begin to load meanwhile and forget what this one goes by.
    const known = this.logs;
    const [rows, stays, tests] = await Promise.all([this.devices.everyOne(db), this.devices.stays(db), this.devices.calibrations(db)]);
    const logs = await this.logsOf(
      db,
      rows,
      grouped(tests, (c) => c.deviceId),
      known,
    );
    if (this.upsets === upsets) this.logs = logs;
    return new HouseAir(rows, stays, tests, logs);
  }

  /** The log of every device: those that stand still as they are, the others with the days that changed told anew. */
  private async logsOf(
    db: Db,
    rows: readonly DeviceRow[],
    tests: ReadonlyMap<string, CalibrationRow[]>,
    known: ReadonlyMap<string, DeviceLog>,
  ): Promise<Map<string, DeviceLog>> {
    const stale = rows.filter((row) => known.get(row.id)?.stamp !== row.stamp);
    if (stale.length === 0) return new Map(rows.map(({ id }) => [id, known.get(id)!]));
    const ids = stale.map((row) => row.id);
    const [daysOf, latest] = await Promise.all([this.daysOf(db, stale, known), this.readings.latestOf(db, ids)]);
    return new Map(
      rows.map(({ id, stamp }): [string, DeviceLog] => {
        const days = daysOf.get(id);
        if (!days) return [id, known.get(id)!];
        const corrections = correctionsOf(tests.get(id) ?? []);
        const hourly = hourlyOf({ days, corrections }, known.get(id));
        return [id, { stamp, days, corrections, latest: latest.get(id) ?? null, hourly }];
      }),
    );
  }

  private async daysOf(
    db: Db,
    stale: readonly DeviceRow[],
    known: ReadonlyMap<string, DeviceLog>,
  ): Promise<Map<string, DeviceLog['days']>> {
    const changed = new Map(
      stale.map(({ id, stamp }) => {
        const before = known.get(id);
        return [id, before ? this.devices.daysChanged(id, before.stamp, stamp) : null] as const;
      }),
    );
    const whole = stale.filter((d) => changed.get(d.id) === null).map((d) => d.id);
    const moved = stale.filter((d) => (changed.get(d.id)?.length ?? 0) > 0).map((d) => d.id);
    const days = [...new Set(moved.flatMap((id) => changed.get(id)!))];
    const [all, some] = await Promise.all([
      whole.length > 0 ? this.readings.packedDays(db, whole) : [],
      moved.length > 0 ? this.readings.packedDays(db, moved, days) : [],
    ]);
    const told = grouped([...all, ...some], (d) => d.deviceId);
    return new Map(stale.map(({ id }) => [id, withDays(changed.get(id) === null ? new Map() : known.get(id)!.days, told.get(id) ?? [])]));
  }
}
