import { air, HOURS_A_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import type { PackedDay, Span } from './reading.repository.js';
import { dayOf, dayStart, hourMeans, tellHours, type TellHour } from './packedDay.js';

type Day = Pick<PackedDay, 'count' | 'hours'>;
type Told = Pick<DeviceLog, 'days' | 'corrections'>;

/** All a device ever read, as far as an hour: its days packed as they are kept, and their means as columns, corrected. */
export type DeviceLog = {
  stamp: number;
  days: ReadonlyMap<string, Day>;
  corrections: readonly air.DatedCorrection[];
  latest: air.Reading | null;
  /** An hour's mean at its beginning. */
  hourly: air.AirLog;
};

/** The days in order, with some of them told anew. */
export function withDays(before: ReadonlyMap<string, Day>, told: readonly PackedDay[]): Map<string, Day> {
  const last = [...before.keys()].at(-1) ?? '';
  const days = new Map(before);
  for (const { day, count, hours } of told) days.set(day, { count, hours });
  // What comes after the last day stands in order already.
  return told.every((d) => d.day >= last) ? days : new Map([...days].sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** The first day that is not the same in both; null where all are. A day that was not told anew is the same record. */
function firstChanged(days: ReadonlyMap<string, Day>, before: ReadonlyMap<string, Day>): string | null {
  const old = before.entries();
  for (const [day, own] of days) {
    const [was, kept] = old.next().value ?? [];
    if (was !== day || kept !== own) return was !== undefined && was < day ? was : day;
  }
  const [gone] = old.next().value ?? [];
  return gone ?? null;
}

/** The means of every hour, corrected. What stood before the first day that changed is taken over from `before`. */
export function hourlyOf({ days, corrections }: Told, before?: Told & Pick<DeviceLog, 'hourly'>): air.AirLog {
  const kept = before && JSON.stringify(before.corrections) === JSON.stringify(corrections) ? before : null;
  const from = kept && firstChanged(days, kept.days);
  if (kept && from === null) return kept.hourly;
  const log = air.emptyLog(days.size * HOURS_A_DAY);
  const corrected = correcting(corrections);
  let n = 0;
  if (kept && from !== null) {
    n = air.firstFrom(kept.hourly.ms, dayStart(from));
    for (const column of ['ms', 'temperatureC', 'humidityPct'] as const) log[column].set(kept.hourly[column].subarray(0, n));
  }
  for (const [day, { hours }] of days) {
    if (from !== null && day < from) continue;
    const start = dayStart(day);
    hourMeans(hours, (hour, temperatureC, humidityPct) => {
      const ms = start + hour * MS_PER_HOUR;
      log.ms[n] = ms;
      log.temperatureC[n] = temperatureC;
      log.humidityPct[n] = corrected(humidityPct, ms + MS_PER_HOUR / 2);
      n += 1;
    });
  }
  return air.part(log, 0, n);
}

/** Humidities as they would have been without the error of their device, by the instant in ms since 1970. */
export function correcting(dated: readonly air.DatedCorrection[]): (humidityPct: number, ms: number) => number {
  if (dated.length === 0) return (humidityPct) => humidityPct;
  const over = air.correctionOver(dated);
  return (humidityPct, ms) => air.applyCorrection(humidityPct, over(ms));
}

export const correctedReading = (reading: air.Reading, dated: readonly air.DatedCorrection[]): air.Reading => ({
  ...reading,
  humidityPct: correcting(dated)(reading.humidityPct, air.instantMs(reading.at)),
});

/** Tells the hours of a span with their extremes, corrected. */
export function tellSpan({ days, corrections }: Told, { fromMs, toMs }: Span, tell: TellHour): void {
  const [first, last] = [dayOf(Math.max(0, fromMs)), dayOf(toMs)];
  const corrected = correcting(corrections);
  const within: TellHour = (at, count, minC, meanC, maxC, minPct, meanPct, maxPct) => {
    if (at < fromMs || at > toMs) return;
    const of = (pct: number) => corrected(pct, at);
    // The line of a correction rises, so the least stays the least and the greatest the greatest.
    tell(at, count, minC, meanC, maxC, of(minPct), of(meanPct), of(maxPct));
  };
  for (const [day, { hours }] of days) {
    if (day < first || day > last) continue;
    const asItIs = corrections.length === 0 && day > first && day < last;
    tellHours(day, hours, asItIs ? tell : within);
  }
}

/** How many readings there are, and since when. */
export function extentOf({ days }: Pick<DeviceLog, 'days'>): { readings: number; firstAt: string | null } {
  let readings = 0;
  for (const { count } of days.values()) readings += count;
  const [first] = days.keys();
  return { readings, firstAt: first ? new Date(dayStart(first)).toISOString() : null };
}
