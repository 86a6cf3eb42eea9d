import type { air, storage } from '@bright-keeper/core';

/** A reading inside its UTC day: second of the day, degC, % RH. */
export type Moment = { second: number; temperatureC: number; humidityPct: number };

const READING_BYTES = 8;
const HOUR_BYTES = 14;
const HOURS = 24;
/** A day's hours, packed. */
export const DAY_BYTES = HOURS * HOUR_BYTES;
const MS_PER_DAY = 86_400_000;
const MS_PER_HOUR = 3_600_000;
/** Hundredths of a degree and of a percent: finer than any hygrometer reads. */
const SCALE = 100;

const scaled = (value: number): number => Math.round(value * SCALE);

export const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
export const dayStart = (day: string): number => Date.parse(`${day}T00:00:00Z`);
export const momentOf = ({ at, temperatureC, humidityPct }: air.Reading): Moment => ({
  second: Math.floor((Date.parse(at) % MS_PER_DAY) / 1000),
  temperatureC,
  humidityPct,
});

/** Little-endian: second u32, temperature i16, humidity u16. */
export function packReadings(moments: readonly Moment[]): Uint8Array {
  const view = new DataView(new ArrayBuffer(moments.length * READING_BYTES));
  moments.forEach(({ second, temperatureC, humidityPct }, i) => {
    view.setUint32(i * READING_BYTES, second, true);
    view.setInt16(i * READING_BYTES + 4, scaled(temperatureC), true);
    view.setUint16(i * READING_BYTES + 6, scaled(humidityPct), true);
  });
  return new Uint8Array(view.buffer);
}

const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

export function unpackReadings(bytes: Uint8Array): Moment[] {
  const view = viewOf(bytes);
  return Array.from({ length: bytes.byteLength / READING_BYTES }, (_, i) => ({
    second: view.getUint32(i * READING_BYTES, true),
    temperatureC: view.getInt16(i * READING_BYTES + 4, true) / SCALE,
    humidityPct: view.getUint16(i * READING_BYTES + 6, true) / SCALE,
  }));
}

/** The day's hours: count, then least, mean and greatest of temperature and humidity. */
export function packHours(moments: readonly Moment[]): Uint8Array {
  const view = new DataView(new ArrayBuffer(HOURS * HOUR_BYTES));
  for (let hour = 0; hour < HOURS; hour++) {
    const own = moments.filter((m) => Math.floor(m.second / 3600) === hour);
    if (own.length === 0) continue;
    view.setUint16(hour * HOUR_BYTES, Math.min(own.length, 0xffff), true);
    (['temperatureC', 'humidityPct'] as const).forEach((quantity, q) => {
      const values = own.map((m) => m[quantity]);
      const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
      [Math.min(...values), mean, Math.max(...values)].forEach((value, k) =>
        view.setInt16(hour * HOUR_BYTES + 2 + q * 6 + k * 2, scaled(value), true),
      );
    });
  }
  return new Uint8Array(view.buffer);
}

/** The hours of a packed day that hold readings, each at its middle. */
export function unpackHours(day: string, bytes: Uint8Array): storage.Part[] {
  const view = viewOf(bytes);
  const start = dayStart(day);
  const parts: storage.Part[] = [];
  for (let hour = 0; hour < HOURS; hour++) {
    const count = view.getUint16(hour * HOUR_BYTES, true);
    if (count === 0) continue;
    const value = (k: number) => view.getInt16(hour * HOUR_BYTES + 2 + k * 2, true) / SCALE;
    parts.push({
      at: start + (hour + 0.5) * MS_PER_HOUR,
      count,
      temperatureC: { min: value(0), mean: value(1), max: value(2) },
      humidityPct: { min: value(3), mean: value(4), max: value(5) },
    });
  }
  return parts;
}

/** The means of the hours of a packed day that hold readings. */
export function hourMeans(bytes: Uint8Array, tell: (hour: number, temperatureC: number, humidityPct: number) => void): void {
  const view = viewOf(bytes);
  for (let hour = 0; hour < HOURS; hour++) {
    const at = hour * HOUR_BYTES;
    if (view.getUint16(at, true) === 0) continue;
    tell(hour, view.getInt16(at + 4, true) / SCALE, view.getInt16(at + 10, true) / SCALE);
  }
}

/** Two tellings of a day as one: of two readings in the same second the one that was there first stays. */
export function mergeMoments(
  kept: readonly Moment[],
  incoming: readonly Moment[],
): { merged: Moment[]; fresh: number; duplicates: number } {
  const bySecond = new Map(kept.map((m) => [m.second, m]));
  let fresh = 0;
  for (const moment of incoming) {
    if (bySecond.has(moment.second)) continue;
    bySecond.set(moment.second, moment);
    fresh += 1;
  }
  const merged = [...bySecond.values()].sort((a, b) => a.second - b.second);
  return { merged, fresh, duplicates: incoming.length - fresh };
}
