import { air, type storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Db } from '../db/database.js';
import { DeviceRepository, type CalibrationRow } from './device.repository.js';
import { ALL_TIME, ReadingRepository, type Span } from './reading.repository.js';

const MS_PER_HOUR = 3_600_000;
/** The last hours of so many devices are kept at hand; a house has a handful. */
const MOST_KEPT = 40;

/** The corrections of a device over time. */
export const correctionsOf = (rows: readonly CalibrationRow[]): air.DatedCorrection[] =>
  rows.map((row) => ({ at: row.at.toISOString(), ...air.correctionOf(row) }));

function correctedPart(part: storage.Part, dated: readonly air.DatedCorrection[]): storage.Part {
  const line = air.correctionAt(dated, part.at);
  const { min, mean, max } = part.humidityPct;
  // The line rises, so the least stays the least and the greatest the greatest.
  return {
    ...part,
    humidityPct: { min: air.applyCorrection(min, line), mean: air.applyCorrection(mean, line), max: air.applyCorrection(max, line) },
  };
}

export const correctedReading = (reading: air.Reading, dated: readonly air.DatedCorrection[]): air.Reading => ({
  ...reading,
  humidityPct: air.applyCorrection(reading.humidityPct, air.correctionAt(dated, Date.parse(reading.at))),
});

type Kept = { stamp: number; hours: storage.Part[]; hourly: air.Reading[] };
const NOTHING: Kept = { stamp: 0, hours: [], hourly: [] };

/** The air of places over time, corrected: the readings of whatever device lay there then. Raw values stay as they are. */
@Injectable()
export class SeriesService {
  private readonly kept = new Map<string, Kept>();

  constructor(
    private readonly devices: DeviceRepository,
    private readonly readings: ReadingRepository,
  ) {}

  /** A place hour by hour; where two devices lie in it, both count. An hour is of the place a device lay in at its middle. */
  async hours(db: Db, placeId: string, span: Span): Promise<storage.Part[]> {
    const perStay = await Promise.all(
      (await this.staysWithin(db, placeId, span)).map(async ({ deviceId, fromMs, toMs }) => {
        const { hours } = await this.device(db, deviceId);
        return hours.filter((p) => p.at >= fromMs && p.at <= toMs);
      }),
    );
    return perStay.length === 1 ? perStay[0]! : perStay.flat().sort((a, b) => a.at - b.at);
  }

  /** The same as single readings, an hour's mean each: what the models walk along. */
  async hourly(db: Db, placeId: string, span: Span): Promise<air.Reading[]> {
    const stays = await this.staysWithin(db, placeId, span);
    const only = stays[0];
    if (only && stays.length === 1) return between((await this.device(db, only.deviceId)).hourly, only);
    return hourlyOf(await this.hours(db, placeId, span));
  }

  async deviceHourly(db: Db, deviceId: string, span: Span): Promise<air.Reading[]> {
    return between((await this.device(db, deviceId)).hourly, span);
  }

  /** Single readings of a place, for spans of days. */
  async single(db: Db, placeId: string, span: Span): Promise<storage.Part[]> {
    const perStay = await Promise.all(
      (await this.staysWithin(db, placeId, span)).map(async ({ deviceId, ...within }) => {
        const dated = correctionsOf(await this.devices.calibrationsOf(db, deviceId));
        return (await this.readings.readings(db, deviceId, within)).map((r) => toPart(correctedReading(r, dated)));
      }),
    );
    return perStay.flat().sort((a, b) => a.at - b.at);
  }

  /** The newest reading of a place, as its device said it and corrected. */
  async latest(db: Db, placeId: string): Promise<{ raw: air.Reading; corrected: air.Reading } | null> {
    const open = (await this.devices.staysIn(db, placeId)).filter((s) => s.until === null);
    const all = await Promise.all(open.map((s) => this.latestOf(db, s.deviceId)));
    return all.filter((l) => l !== null).sort((a, b) => b.raw.at.localeCompare(a.raw.at))[0] ?? null;
  }

  async latestOf(db: Db, deviceId: string): Promise<{ raw: air.Reading; corrected: air.Reading } | null> {
    const raw = await this.readings.latest(db, deviceId);
    if (!raw) return null;
    return { raw, corrected: correctedReading(raw, correctionsOf(await this.devices.calibrationsOf(db, deviceId))) };
  }

  /** Which device lay in a place during which part of a span. */
  private async staysWithin(db: Db, placeId: string, span: Span): Promise<({ deviceId: string } & Span)[]> {
    return (await this.devices.staysIn(db, placeId))
      .map(({ deviceId, since, until }) => ({
        deviceId,
        fromMs: Math.max(span.fromMs, since.getTime()),
        toMs: Math.min(span.toMs, until?.getTime() ?? Infinity),
      }))
      .filter((s) => s.toMs > s.fromMs);
  }

  /** Every hour of a device, corrected; kept until its stamp moves on. */
  private async device(db: Db, deviceId: string): Promise<Kept> {
    const device = await this.devices.find(db, deviceId);
    if (!device) return NOTHING;
    const kept = this.kept.get(deviceId);
    if (kept?.stamp === device.stamp) return kept;
    const dated = correctionsOf(await this.devices.calibrationsOf(db, deviceId));
    const raw = await this.readings.hours(db, deviceId, ALL_TIME);
    const hours = dated.length === 0 ? raw : raw.map((p) => correctedPart(p, dated));
    const fresh = { stamp: device.stamp, hours, hourly: hourlyOf(hours) };
    if (this.kept.size >= MOST_KEPT) this.kept.delete(this.kept.keys().next().value!);
    this.kept.set(deviceId, fresh);
    return fresh;
  }
}

/** The readings of a span. Instants of one shape sort as their text does, which is a hundred times quicker than to parse them. */
function between(log: readonly air.Reading[], { fromMs, toMs }: Span): air.Reading[] {
  const from = fromMs <= 0 ? '' : new Date(fromMs).toISOString();
  const to = toMs >= ALL_TIME.toMs ? '~' : new Date(toMs).toISOString();
  return log.filter((r) => r.at >= from && r.at <= to);
}

const toPart = ({ at, temperatureC, humidityPct }: air.Reading): storage.Part => ({
  at: Date.parse(at),
  count: 1,
  temperatureC: { min: temperatureC, mean: temperatureC, max: temperatureC },
  humidityPct: { min: humidityPct, mean: humidityPct, max: humidityPct },
});

/** An hour's mean as one reading; hours told twice are averaged. */
export function hourlyOf(parts: readonly storage.Part[]): air.Reading[] {
  const hourly: (air.Reading & { count: number })[] = [];
  for (const part of parts) {
    const at = new Date(Math.floor(part.at / MS_PER_HOUR) * MS_PER_HOUR).toISOString();
    const last = hourly.at(-1);
    if (last?.at === at) {
      const count = last.count + part.count;
      last.temperatureC = (last.temperatureC * last.count + part.temperatureC.mean * part.count) / count;
      last.humidityPct = (last.humidityPct * last.count + part.humidityPct.mean * part.count) / count;
      last.count = count;
    } else hourly.push({ at, temperatureC: part.temperatureC.mean, humidityPct: part.humidityPct.mean, count: part.count });
  }
  return hourly.map(({ at, temperatureC, humidityPct }) => ({ at, temperatureC, humidityPct }));
}
