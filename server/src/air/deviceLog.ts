import { air, type storage } from '@bright-keeper/core';
import type { PackedDay, Span } from './reading.repository.js';
import { dayOf, dayStart, hourMeans, unpackHours } from './packedDay.js';

const MS_PER_HOUR = 3_600_000;
const HOURS_A_DAY = 24;

type Day = Pick<PackedDay, 'count' | 'hours'>;

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

/** The means of every hour, corrected. */
export function hourlyOf(days: ReadonlyMap<string, Day>, corrections: readonly air.DatedCorrection[]): air.AirLog {
  const log = air.emptyLog(days.size * HOURS_A_DAY);
  let n = 0;
  for (const [day, { hours }] of days) {
    const start = dayStart(day);
    hourMeans(hours, (hour, temperatureC, humidityPct) => {
      const ms = start + hour * MS_PER_HOUR;
      log.ms[n] = ms;
      log.temperatureC[n] = temperatureC;
      log.humidityPct[n] = corrected(humidityPct, ms + MS_PER_HOUR / 2, corrections);
      n += 1;
    });
  }
  return air.part(log, 0, n);
}

const corrected = (humidityPct: number, ms: number, dated: readonly air.DatedCorrection[]): number =>
  dated.length === 0 ? humidityPct : air.applyCorrection(humidityPct, air.correctionAt(dated, ms));

export const correctedReading = (reading: air.Reading, dated: readonly air.DatedCorrection[]): air.Reading => ({
  ...reading,
  humidityPct: corrected(reading.humidityPct, air.instantMs(reading.at), dated),
});

/** The hours of a span with their extremes, corrected; each at its middle. */
export function partsOf({ days, corrections }: Pick<DeviceLog, 'days' | 'corrections'>, { fromMs, toMs }: Span): storage.Part[] {
  const [first, last] = [dayOf(Math.max(0, fromMs)), dayOf(toMs)];
  const parts: storage.Part[] = [];
  for (const [day, { hours }] of days) {
    if (day < first || day > last) continue;
    for (const part of unpackHours(day, hours)) {
      if (part.at < fromMs || part.at > toMs) continue;
      const of = (pct: number) => corrected(pct, part.at, corrections);
      const { min, mean, max } = part.humidityPct;
      // The line rises, so the least stays the least and the greatest the greatest.
      parts.push(corrections.length === 0 ? part : { ...part, humidityPct: { min: of(min), mean: of(mean), max: of(max) } });
    }
  }
  return parts;
}

/** How many readings there are, and since when. */
export function extentOf({ days }: Pick<DeviceLog, 'days'>): { readings: number; firstAt: string | null } {
  let readings = 0;
  for (const { count } of days.values()) readings += count;
  const [first] = days.keys();
  return { readings, firstAt: first ? new Date(dayStart(first)).toISOString() : null };
}
