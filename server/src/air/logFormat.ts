import type { DateOrder, LogFault, LogFormat } from '@bright-keeper/contract';
import { air, schedule } from '@bright-keeper/core';
import { guessDelimiter, csvRows } from '../csv/index.js';

/** What a heading is called in logs of many makers and languages. */
const NAMES = {
  date: /date|datum|fecha|timestamp|time|zeit|uhrzeit|hora|tid|at$/i,
  timeOnly: /^(time|zeit|uhrzeit|hora|heure|tid)\b/i,
  temperature: /temp|°c|°f|celsius|fahrenheit/i,
  humidity: /hum|feuchte|rh|%|humedad|luft/i,
  dewPoint: /dew|tau|rocio|rosée/i,
} as const;

const SAMPLE_ROWS = 40;

const NUMBER = /^-?\d+([.,]\d+)?$/;
const isNumeric = (cells: readonly string[]): boolean => cells.length > 0 && cells.every((c) => NUMBER.test(c.trim()));

function guessDateOrder(cells: readonly string[]): DateOrder {
  const first = cells[0]?.trim() ?? '';
  if (/^\d{13}$/.test(first)) return 'unix-ms';
  if (/^\d{9,11}(\.\d+)?$/.test(first)) return 'unix-s';
  if (/^\d{4}\D/.test(first)) return 'iso';
  const parts = cells.map((c) => c.trim().split(/\D+/).map(Number));
  // A first number beyond 12 is a day; a second one beyond 12 makes the first a month; a dot is the habit of day first.
  if (parts.some(([a]) => (a ?? 0) > 12)) return 'dmy';
  if (parts.some(([, b]) => (b ?? 0) > 12)) return 'mdy';
  return first.includes('/') ? 'mdy' : 'dmy';
}

/** How a log is to be read, guessed from its first rows; null when no time, temperature and humidity can be told apart. */
export function guessFormat(text: string, timeZone: string): LogFormat | null {
  const delimiter = guessDelimiter(text);
  const [headings, ...rows] = csvRows(text, delimiter)
    .slice(0, SAMPLE_ROWS)
    .flatMap(({ cells }) => (cells ? [cells] : []));
  if (!headings || rows.length === 0 || headings.length < 2) return null;
  const column = (i: number) => rows.map((r) => (r[i] ?? '').trim()).filter(Boolean);
  const find = (name: RegExp, not?: RegExp, taken: readonly number[] = []) =>
    headings.findIndex((h, i) => !taken.includes(i) && name.test(h) && !not?.test(h));
  const date = find(NAMES.date, /temp|hum/i);
  if (date < 0) return null;
  const apart = /^\d{1,4}\D\d{1,2}\D\d{1,4}$/.test(column(date)[0] ?? '');
  const time = apart ? find(NAMES.timeOnly, undefined, [date]) : -1;
  const temperature = find(NAMES.temperature, NAMES.dewPoint, [date, time]);
  const humidity = find(NAMES.humidity, NAMES.dewPoint, [date, time, temperature]);
  if (temperature < 0 || humidity < 0) return null;
  const numbers = [...column(temperature), ...column(humidity)];
  const decimal = numbers.some((n) => /\d,\d/.test(n)) ? ',' : '.';
  const value = (cell: string) => Number(cell.replace(',', '.'));
  const temperatures = column(temperature).map(value);
  const fahrenheit = /°?\s?f\b|fahrenheit/i.test(headings[temperature]!) || temperatures.every((t) => t > 50);
  const fraction =
    isNumeric(column(humidity)) &&
    column(humidity)
      .map(value)
      .every((h) => h <= 1);
  return {
    delimiter,
    decimal,
    dateOrder: guessDateOrder(column(date)),
    date: headings[date]!,
    time: time >= 0 ? headings[time]! : null,
    temperature: headings[temperature]!,
    humidity: headings[humidity]!,
    temperatureUnit: fahrenheit ? 'F' : 'C',
    humidityUnit: fraction ? 'fraction' : 'pct',
    timeZone,
  };
}

const CLOCK = /(\d{1,2}):(\d{2})(?::(\d{2}))?(?:\.\d+)?\s*([ap]m)?/i;
const OFFSET = /(?:T|\s|\d)(Z|[+-]\d{2}:?\d{2})$/;

/** The day that was read last, as a number of its digits, and when it began. */
let lastDay = { day: NaN, ms: NaN };
function dayMs(year: number, month: number, day: number): number {
  const number = (year * 100 + month) * 100 + day;
  if (number !== lastDay.day) {
    const ms = Date.UTC(year, month - 1, day);
    // A day its month does not have would be read as one of the next.
    lastDay = { day: number, ms: month >= 1 && month <= 12 && new Date(ms).getUTCDate() === day ? ms : NaN };
  }
  return lastDay.ms;
}

/**
 * The usual shapes by their digits, ten times as fast as by rules: `2026-03-01 10:20`, `2026-03-01T10:20:30`,
 * `01.03.2026 10:20:30`. The time as if it were UTC; NaN for every other shape.
 */
function usualLocal(text: string, order: DateOrder): number {
  const { length } = text;
  if (length !== 16 && length !== 19) return NaN;
  const begins = order === 'iso' ? dayMs(air.fourDigits(text, 0), air.twoDigits(text, 5), air.twoDigits(text, 8)) : dayFirstMs(text, order);
  const [hours, minutes] = [air.twoDigits(text, 11), air.twoDigits(text, 14)];
  const seconds = length === 19 && text[16] === ':' ? air.twoDigits(text, 17) : length === 16 ? 0 : NaN;
  const apart = text[13] === ':' && (text[10] === ' ' || text[10] === 'T');
  return apart && hours < 24 && minutes < 60 && seconds < 60 ? begins + ((hours * 60 + minutes) * 60 + seconds) * 1000 : NaN;
}
const dayFirstMs = (text: string, order: DateOrder): number =>
  order === 'dmy'
    ? dayMs(air.fourDigits(text, 6), air.twoDigits(text, 3), air.twoDigits(text, 0))
    : dayMs(air.fourDigits(text, 6), air.twoDigits(text, 0), air.twoDigits(text, 3));

const ISO_INSTANT = 24;
/** No zone is further from UTC. */
const MOST_OFFSET_MIN = 14 * 60;

/** An instant in ms from the text of a log; NaN when it is none. */
export function instantFrom(text: string, { dateOrder, timeZone }: Pick<LogFormat, 'dateOrder' | 'timeZone'>): number {
  if (dateOrder === 'iso' && text.length === ISO_INSTANT && text.endsWith('Z')) {
    const instant = air.instantMs(text);
    if (!Number.isNaN(instant)) return instant;
  }
  if (dateOrder === 'iso' || dateOrder === 'dmy' || dateOrder === 'mdy') {
    const local = usualLocal(text, dateOrder);
    if (!Number.isNaN(local)) return schedule.zonedToUtc(local, timeZone);
  }
  const trimmed = text.trim();
  if (dateOrder === 'unix-s' || dateOrder === 'unix-ms')
    return trimmed === '' ? NaN : Number(trimmed) * (dateOrder === 'unix-s' ? 1000 : 1);
  const numbers = /^(\d{1,4})\D(\d{1,2})\D(\d{1,4})/.exec(trimmed);
  if (!numbers) return NaN;
  const [a, b, c] = [Number(numbers[1]), Number(numbers[2]), Number(numbers[3])];
  const [year, month, day] = dateOrder === 'iso' ? [a, b, c] : dateOrder === 'dmy' ? [c, b, a] : [c, a, b];
  const clock = CLOCK.exec(trimmed.slice(numbers[0].length));
  let hour = Number(clock?.[1] ?? 0);
  if (clock?.[4]) hour = (hour % 12) + (clock[4].toLowerCase() === 'pm' ? 12 : 0);
  const [minute, second] = [Number(clock?.[2] ?? 0), Number(clock?.[3] ?? 0)];
  // What is out of range would roll over into another hour or day.
  if (hour > 23 || minute > 59 || second > 59) return NaN;
  const local = dayMs(year < 100 ? 2000 + year : year, month, day) + ((hour * 60 + minute) * 60 + second) * 1000;
  if (Number.isNaN(local)) return NaN;
  const offset = OFFSET.exec(trimmed)?.[1];
  if (!offset) return schedule.zonedToUtc(local, timeZone);
  if (offset === 'Z') return local;
  const [hours, rest] = [Number(offset.slice(1, 3)), Number(offset.slice(-2))];
  const minutes = hours * 60 + rest;
  if (rest > 59 || minutes > MOST_OFFSET_MIN) return NaN;
  return local - (offset.startsWith('-') ? -1 : 1) * minutes * 60_000;
}

/** What a row says; one is used for all rows of a log. */
export type Row = { ms: number; temperatureC: number; humidityPct: number };
/** Reads the cells of a row into `row`; what is wrong with them, null where nothing is. */
export type RowReader = (cells: readonly string[], row: Row) => LogFault | null;

/** Reads the rows of a log by its format. @throws RangeError when a column is not among the headings. */
export function rowReader(format: LogFormat, headings: readonly string[], now: Date): RowReader {
  const at = (name: string) => {
    const index = headings.indexOf(name);
    if (index < 0) throw new RangeError(`there is no column “${name}”`);
    return index;
  };
  const date = at(format.date);
  const time = format.time === null ? -1 : at(format.time);
  const temperature = at(format.temperature);
  const humidity = at(format.humidity);
  const widest = Math.max(date, time, temperature, humidity);
  const plain = format.decimal === '.';
  const number = (cell: string) => (cell === '' || cell.trim() === '' ? NaN : Number(plain ? cell : cell.replace(',', '.')));
  const { temperatureC: t, humidityPct: h } = air.READING_RANGE;
  const latest = now.getTime() + air.CLOCK_AHEAD_MS;
  return (cells, row) => {
    if (cells.length <= widest) return 'short-row';
    const ms = instantFrom(time < 0 ? cells[date]! : `${cells[date]} ${cells[time]}`, format);
    // Hygrometers that keep logs are younger than 1970, and days are counted from there.
    if (!(ms >= 0)) return 'no-time';
    const rawT = number(cells[temperature]!);
    const rawH = number(cells[humidity]!);
    if (Number.isNaN(rawT) || Number.isNaN(rawH)) return 'no-number';
    const temperatureC = format.temperatureUnit === 'F' ? ((rawT - 32) * 5) / 9 : rawT;
    const humidityPct = format.humidityUnit === 'fraction' ? rawH * 100 : rawH;
    if (!(temperatureC >= t.min && temperatureC <= t.max && humidityPct >= h.min && humidityPct <= h.max)) return 'out-of-range';
    if (ms > latest) return 'in-the-future';
    row.ms = ms;
    row.temperatureC = temperatureC;
    row.humidityPct = humidityPct;
    return null;
  };
}
