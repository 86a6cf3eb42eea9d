import type { Forecast } from '@bright-keeper/contract';
import { air, type storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
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
  private readonly together = new Map<string, air.AirLog>();

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

  /** What that station foretells; null where there is none, or none of today: an older one says little of single hours. */
  foretold(nowMs: number): Forecast | null {
    const forecast = this.station()?.row.forecast ?? null;
    return forecast && nowMs - Date.parse(forecast.issuedAt) <= MS_PER_DAY ? forecast : null;
  }

  /**
   * Tells a place hour by hour. An hour is of the place its device lay in at its middle; where several lay in it, its mean
   * is that of all while they agree and of the wetter where they do not, and its extremes are of all.
   */
  tellHours(placeId: string, span: Span, tell: TellHour): void {
    const stays = this.within(placeId, span);
    if (!areTogether(stays)) return stays.forEach(({ log, ...own }) => tellSpan(log, own, tell));
    const means = this.hourly(placeId, span);
    const extremes = new Map<number, { count: number; c: Extremes; pct: Extremes }>();
    for (const { log, ...own } of stays)
      tellSpan(log, own, (at, count, minC, _c, maxC, minPct, _pct, maxPct) => {
        const before = extremes.get(hourOf(at));
        extremes.set(hourOf(at), {
          count: (before?.count ?? 0) + count,
          c: wider(before?.c, [minC, maxC]),
          pct: wider(before?.pct, [minPct, maxPct]),
        });
      });
    for (let i = 0; i < means.length; i++) {
      const hour = extremes.get(means.ms[i]!);
      if (!hour) continue;
      const { count, c, pct } = hour;
      tell(means.ms[i]!, count, c[0], means.temperatureC[i]!, c[1], pct[0], means.humidityPct[i]!, pct[1]);
    }
  }

  /** Did several devices lie in it at one time? */
  hasSeveral(placeId: string, span: Span): boolean {
    return areTogether(this.within(placeId, span));
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

  /** The same as columns, an hour's mean each: what the models walk along. Where devices disagree the careful one counts. */
  hourly(placeId: string, span: Span, careful: air.Careful = 'wetter'): air.AirLog {
    const stays = this.within(placeId, span);
    const [only] = stays;
    if (!only) return air.emptyLog(0);
    if (stays.length === 1) return air.between(only.log.hourly, only.fromMs, only.toMs);
    return air.between(this.ofSeveral(placeId, careful), span.fromMs, span.toMs);
  }

  /** All that several devices ever told of a place, put together once. */
  private ofSeveral(placeId: string, careful: air.Careful): air.AirLog {
    const key = `${careful}/${placeId}`;
    const known = this.together.get(key);
    if (known) return known;
    const stays = this.within(placeId, { fromMs: -Infinity, toMs: Infinity });
    const told = air.sameAir(
      stays.map(({ log, fromMs, toMs }) => air.between(log.hourly, fromMs, toMs)),
      careful,
    );
    this.together.set(key, told);
    return told;
  }

  /** Two of the devices that lie in a place now and disagree; null where none do. */
  apart(placeId: string, nowMs: number): storage.Disagreement | null {
    const instruments = this.openIn(placeId).map(({ deviceId: id, since }) => ({
      id,
      log: air.between(this.devices.get(id)!.log.hourly, since.getTime(), nowMs),
    }));
    const apart = instruments.length > 1 ? air.apartNow(instruments, nowMs) : null;
    return apart && { ...apart, wetter: this.told(apart.wetter), drier: this.told(apart.drier) };
  }

  private told({ id: deviceId, ...said }: air.Said): storage.ToldBy {
    const { row, calibrations } = this.devices.get(deviceId)!;
    const tests = calibrations.map((c) => c.at.toISOString()).sort();
    return { deviceId, name: row.name, ...said, testedAt: tests.at(-1) ?? null };
  }

  /** The newest reading of a place, as its device said it and corrected; the wetter of two that were taken within an hour and disagree. */
  latest(placeId: string): Latest | null {
    const all = this.openIn(placeId)
      .map((s) => this.latestOf(s.deviceId))
      .filter((l) => l !== null)
      .sort((a, b) => b.raw.at.localeCompare(a.raw.at));
    const [newest] = all;
    if (!newest) return null;
    const pct = (l: Latest) => l.corrected.humidityPct;
    const wetter = all
      .filter((l) => air.instantMs(newest.raw.at) - air.instantMs(l.raw.at) <= MS_PER_HOUR)
      .reduce((a, b) => (pct(b) > pct(a) ? b : a));
    return pct(wetter) - pct(newest) > air.APART_PCT ? wetter : newest;
  }

  private openIn(placeId: string): DeviceStay[] {
    return (this.staysIn.get(placeId) ?? []).filter((s) => s.until === null);
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

const hourOf = (ms: number): number => Math.floor(ms / MS_PER_HOUR) * MS_PER_HOUR;
type Extremes = readonly [least: number, most: number];
const wider = (before: Extremes | undefined, [least, most]: Extremes): Extremes =>
  before ? [Math.min(before[0], least), Math.max(before[1], most)] : [least, most];

/** Do any two of these overlap? */
function areTogether(stays: readonly Span[]): boolean {
  const inOrder = stays.toSorted((a, b) => a.fromMs - b.fromMs);
  let latest = -Infinity;
  for (const { fromMs, toMs } of inOrder) {
    if (fromMs < latest) return true;
    latest = Math.max(latest, toMs);
  }
  return false;
}
