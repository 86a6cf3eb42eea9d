import { type air, MS_PER_DAY, MS_PER_HOUR, S_PER_HOUR } from '@bright-keeper/core';

/**
 * Readings inside a UTC day as columns: seconds of the day, ascending and each once, with hundredths of a degree and
 * of a percent beside them.
 */
export type DayColumns = { length: number; second: Uint32Array; temperature: Int16Array; humidity: Uint16Array };

/** A reading, packed. */
export const READING_BYTES = 8;
const HOUR_BYTES = 14;
const HOURS = 24;
/** A day's hours, packed. */
export const DAY_BYTES = HOURS * HOUR_BYTES;
/** Hundredths of a degree and of a percent: finer than any hygrometer reads. */
export const SCALE = 100;

export const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
export const dayStart = (day: string): number => Date.parse(`${day}T00:00:00Z`);

export const emptyDay = (length: number): DayColumns => ({
  length,
  second: new Uint32Array(length),
  temperature: new Int16Array(length),
  humidity: new Uint16Array(length),
});

/** Only as many of its readings. */
const cut = ({ second, temperature, humidity }: DayColumns, length: number): DayColumns => ({
  length,
  second: second.subarray(0, length),
  temperature: temperature.subarray(0, length),
  humidity: humidity.subarray(0, length),
});

function copyReading(from: DayColumns, i: number, to: DayColumns, k: number): void {
  to.second[k] = from.second[i]!;
  to.temperature[k] = from.temperature[i]!;
  to.humidity[k] = from.humidity[i]!;
}

const isInOrder = ({ length, second }: DayColumns): boolean => {
  for (let i = 1; i < length; i++) if (second[i]! <= second[i - 1]!) return false;
  return true;
};

/** The days of a log, each in order; of two readings in the same second the one that was told first stays. */
export function daysOf({ length, ms, temperatureC, humidityPct }: air.AirLog): Map<string, DayColumns> {
  const places = new Map<number, number[]>();
  let [dayNumber, own]: [number, number[]] = [NaN, []];
  for (let i = 0; i < length; i++) {
    const on = Math.floor(ms[i]! / MS_PER_DAY);
    if (on !== dayNumber) {
      own = places.get(on) ?? [];
      places.set(on, own);
      dayNumber = on;
    }
    own.push(i);
  }
  const days = new Map<string, DayColumns>();
  for (const [on, indices] of [...places].sort(([a], [b]) => a - b)) {
    const day = emptyDay(indices.length);
    for (const [k, i] of indices.entries()) {
      day.second[k] = Math.floor((ms[i]! - on * MS_PER_DAY) / 1000);
      day.temperature[k] = Math.round(temperatureC[i]! * SCALE);
      day.humidity[k] = Math.round(humidityPct[i]! * SCALE);
    }
    days.set(dayOf(on * MS_PER_DAY), isInOrder(day) ? day : inOrder(day));
  }
  return days;
}

function inOrder(day: DayColumns): DayColumns {
  const order = Array.from({ length: day.length }, (_, i) => i).sort((a, b) => day.second[a]! - day.second[b]! || a - b);
  const sorted = emptyDay(day.length);
  let n = 0;
  for (const i of order) {
    if (n > 0 && sorted.second[n - 1] === day.second[i]) continue;
    copyReading(day, i, sorted, n);
    n += 1;
  }
  return cut(sorted, n);
}

/** Little-endian: second u32, temperature i16, humidity u16. */
export function packReadings({ length, second, temperature, humidity }: DayColumns): Uint8Array {
  const view = new DataView(new ArrayBuffer(length * READING_BYTES));
  for (let i = 0; i < length; i++) {
    view.setUint32(i * READING_BYTES, second[i]!, true);
    view.setInt16(i * READING_BYTES + 4, temperature[i]!, true);
    view.setUint16(i * READING_BYTES + 6, humidity[i]!, true);
  }
  return new Uint8Array(view.buffer);
}

const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

export function unpackReadings(bytes: Uint8Array): DayColumns {
  const view = viewOf(bytes);
  const day = emptyDay(bytes.byteLength / READING_BYTES);
  for (let i = 0; i < day.length; i++) {
    day.second[i] = view.getUint32(i * READING_BYTES, true);
    day.temperature[i] = view.getInt16(i * READING_BYTES + 4, true);
    day.humidity[i] = view.getUint16(i * READING_BYTES + 6, true);
  }
  return day;
}

/** The newest of packed readings, packed. */
export const lastOf = (bytes: Uint8Array): Uint8Array => bytes.subarray(bytes.byteLength - READING_BYTES);

/** The day's hours: count, then least, mean and greatest of temperature and humidity. */
export function packHours({ length, second, temperature, humidity }: DayColumns): Uint8Array {
  const view = new DataView(new ArrayBuffer(DAY_BYTES));
  for (let from = 0; from < length;) {
    const hour = Math.floor(second[from]! / S_PER_HOUR);
    const until = (hour + 1) * S_PER_HOUR;
    let to = from;
    while (to < length && second[to]! < until) to += 1;
    view.setUint16(hour * HOUR_BYTES, Math.min(to - from, 0xffff), true);
    packExtremes(view, hour * HOUR_BYTES + 2, temperature, from, to);
    packExtremes(view, hour * HOUR_BYTES + 8, humidity, from, to);
    from = to;
  }
  return new Uint8Array(view.buffer);
}

function packExtremes(view: DataView, at: number, values: Int16Array | Uint16Array, from: number, to: number): void {
  let [min, max, sum] = [values[from]!, values[from]!, 0];
  for (let i = from; i < to; i++) {
    const value = values[i]!;
    sum += value;
    if (value < min) min = value;
    if (value > max) max = value;
  }
  view.setInt16(at, min, true);
  view.setInt16(at + 2, Math.round(sum / (to - from)), true);
  view.setInt16(at + 4, max, true);
}

/** An hour of a log: its middle in ms since 1970, how many readings, then least, mean and greatest in °C and in % RH. */
export type TellHour = (
  at: number,
  count: number,
  minC: number,
  meanC: number,
  maxC: number,
  minPct: number,
  meanPct: number,
  maxPct: number,
) => void;

/** Tells the hours of a packed day that hold readings. */
export function tellHours(day: string, bytes: Uint8Array, tell: TellHour): void {
  const view = viewOf(bytes);
  const firstMiddle = dayStart(day) + MS_PER_HOUR / 2;
  for (let hour = 0; hour < HOURS; hour++) {
    const own = hour * HOUR_BYTES;
    const count = view.getUint16(own, true);
    if (count === 0) continue;
    tell(
      firstMiddle + hour * MS_PER_HOUR,
      count,
      view.getInt16(own + 2, true) / SCALE,
      view.getInt16(own + 4, true) / SCALE,
      view.getInt16(own + 6, true) / SCALE,
      view.getInt16(own + 8, true) / SCALE,
      view.getInt16(own + 10, true) / SCALE,
      view.getInt16(own + 12, true) / SCALE,
    );
  }
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
export function mergeDays(kept: DayColumns, incoming: DayColumns): { merged: DayColumns; fresh: number } {
  if (kept.length === 0) return { merged: incoming, fresh: incoming.length };
  const merged = emptyDay(kept.length + incoming.length);
  let [i, k, n] = [0, 0, 0];
  while (i < kept.length || k < incoming.length) {
    const theirs = k < incoming.length ? incoming.second[k]! : Infinity;
    const ours = i < kept.length ? kept.second[i]! : Infinity;
    if (ours <= theirs) copyReading(kept, i++, merged, n++);
    else copyReading(incoming, k, merged, n++);
    if (theirs <= ours) k += 1;
  }
  return { merged: cut(merged, n), fresh: n - kept.length };
}
