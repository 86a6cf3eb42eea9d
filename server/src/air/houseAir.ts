import { air, type storage, MS_PER_HOUR } from '@bright-keeper/core';
import { grouped } from '../platform/index.js';
import type { CalibrationRow, DeviceRow, DeviceStay } from './device.repository.js';
import { correctedReading, tellSpan, type DeviceLog } from './deviceLog.js';
import type { TellHour } from './packedDay.js';
import type { Span } from './reading.repository.js';

export type KnownDevice = { row: DeviceRow; calibrations: CalibrationRow[]; placeId: string | null; log: DeviceLog };
export type Latest = { raw: air.Reading; corrected: air.Reading };
type Within = { log: DeviceLog } & Span;

/** The air of the whole household as it is known now: of each place, what the devices that lay in it read, corrected. */
export class HouseAir {
  readonly devices: ReadonlyMap<string, KnownDevice>;
  private readonly staysIn: ReadonlyMap<string, DeviceStay[]>;

  constructor(
    rows: readonly DeviceRow[],
    stays: readonly DeviceStay[],
    calibrations: readonly CalibrationRow[],
    logs: ReadonlyMap<string, DeviceLog>,
  ) {
    this.staysIn = grouped(stays, (s) => s.placeId);
    const calibrationsOf = grouped(calibrations, (c) => c.deviceId);
    const placeOf = new Map(stays.filter((s) => s.until === null).map((s) => [s.deviceId, s.placeId]));
    this.devices = new Map(
      rows.map((row) => [
        row.id,
        { row, calibrations: calibrationsOf.get(row.id) ?? [], placeId: placeOf.get(row.id) ?? null, log: logs.get(row.id)! },
      ]),
    );
  }

  /** Those in use, in the order they came. */
  inUse(): KnownDevice[] {
    return [...this.devices.values()].filter((d) => d.row.archivedAt === null);
  }

  /** The weather station, where there is one. */
  station(): KnownDevice | null {
    return this.inUse().find((d) => d.row.outdoor) ?? null;
  }

  /** Tells a place hour by hour, device after device: where two lie in it, both count. An hour is of the place its device lay in at its middle. */
  tellHours(placeId: string, span: Span, tell: TellHour): void {
    for (const { log, ...own } of this.within(placeId, span)) tellSpan(log, own, tell);
  }

  /** The same as records, in order. */
  hours(placeId: string, span: Span): storage.Part[] {
    const parts: storage.Part[] = [];
    this.tellHours(placeId, span, (at, count, minC, meanC, maxC, minPct, meanPct, maxPct) =>
      parts.push({
        at,
        count,
        temperatureC: { min: minC, mean: meanC, max: maxC },
        humidityPct: { min: minPct, mean: meanPct, max: maxPct },
      }),
    );
    return parts.sort((a, b) => a.at - b.at);
  }

  /** The same as columns, an hour's mean each: what the models walk along. */
  hourly(placeId: string, span: Span): air.AirLog {
    const stays = this.within(placeId, span);
    const [only] = stays;
    if (!only) return air.emptyLog(0);
    if (stays.length === 1) return air.between(only.log.hourly, only.fromMs, only.toMs);
    return meansOf(this.hours(placeId, span));
  }

  /** The newest reading of a place, as its device said it and corrected. */
  latest(placeId: string): Latest | null {
    const open = (this.staysIn.get(placeId) ?? []).filter((s) => s.until === null);
    const all = open.map((s) => this.latestOf(s.deviceId)).filter((l) => l !== null);
    return all.sort((a, b) => b.raw.at.localeCompare(a.raw.at))[0] ?? null;
  }

  latestOf(deviceId: string): Latest | null {
    const log = this.devices.get(deviceId)?.log;
    return log?.latest ? { raw: log.latest, corrected: correctedReading(log.latest, log.corrections) } : null;
  }

  /** Which device lay in a place during which part of a span. */
  staysWithin(placeId: string, span: Span): ({ deviceId: string } & Span)[] {
    return (this.staysIn.get(placeId) ?? [])
      .map(({ deviceId, since, until }) => ({
        deviceId,
        fromMs: Math.max(span.fromMs, since.getTime()),
        toMs: Math.min(span.toMs, until?.getTime() ?? Infinity),
      }))
      .filter((s) => s.toMs > s.fromMs);
  }

  private within(placeId: string, span: Span): Within[] {
    return this.staysWithin(placeId, span).map(({ deviceId, ...own }) => ({ log: this.devices.get(deviceId)!.log, ...own }));
  }
}

/** An hour's mean as one reading; hours told twice are averaged. */
export function meansOf(parts: readonly storage.Part[]): air.AirLog {
  const log = air.emptyLog(parts.length);
  const { ms, temperatureC, humidityPct } = log;
  let n = 0;
  let held = 0;
  for (const part of parts) {
    const at = Math.floor(part.at / MS_PER_HOUR) * MS_PER_HOUR;
    if (n > 0 && ms[n - 1] === at) {
      const count = held + part.count;
      temperatureC[n - 1] = (temperatureC[n - 1]! * held + part.temperatureC.mean * part.count) / count;
      humidityPct[n - 1] = (humidityPct[n - 1]! * held + part.humidityPct.mean * part.count) / count;
      held = count;
      continue;
    }
    ms[n] = at;
    temperatureC[n] = part.temperatureC.mean;
    humidityPct[n] = part.humidityPct.mean;
    held = part.count;
    n += 1;
  }
  return air.part(log, 0, n);
}
