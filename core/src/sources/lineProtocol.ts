import { fieldOf, type TemperatureUnit, toCelsius } from './fieldNames.js';
import { joinedReadings, type PushedReadings, type SetAside, type Telling } from './joined.js';
import { type Vitals, vitalsIn } from './vitals.js';

/** How fine a time is told: a part of a second for each. */
export const PRECISIONS = ['ns', 'us', 'ms', 's'] as const;
export type Precision = (typeof PRECISIONS)[number];
const MS_EACH: Record<Precision, number> = { ns: 1e-6, us: 1e-3, ms: 1, s: 1e3 };

/** A line taken apart: the measurement with its tags, its fields as they are written, and its time if it has one. */
export type Line = { series: string; fields: [name: string, value: string][]; time: string | null };

/** Where a sign that is neither escaped nor within quotes stands. */
function places(text: string, sign: string): number[] {
  const found: number[] = [];
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '\\') i++;
    else if (text[i] === '"') quoted = !quoted;
    else if (text[i] === sign && !quoted) found.push(i);
  }
  return found;
}

function cut(text: string, sign: string): string[] {
  const at = places(text, sign);
  return [-1, ...at].map((from, i) => text.slice(from + 1, at[i]));
}

const plain = (text: string): string => text.replaceAll(/\\([ ,=\\"])/g, '$1');

/**
 * One line taken apart; null where it is none.
 *
 * Source: InfluxDB line protocol, "Elements of line protocol" and "Special characters".
 */
export function lineOf(text: string): Line | null {
  const [series, fieldSet, time, ...more] = cut(text.trim(), ' ');
  if (!series || !fieldSet || more.length > 0 || (time !== undefined && !/^-?\d{1,19}$/.test(time))) return null;
  const fields = cut(fieldSet, ',').map((field): [string, string] | null => {
    const [at] = places(field, '=');
    return at === undefined || at === 0 ? null : [plain(field.slice(0, at)), field.slice(at + 1)];
  });
  return fields.every((field) => field !== null) ? { series: plain(series), fields, time: time ?? null } : null;
}

/** A number as a field holds it: with a letter after it where it is whole. Null for text, truth and what is no number. */
function numberOf(value: string): number | null {
  const number = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)[iu]?$/i.exec(value)?.[1];
  return number === undefined ? null : Number(number);
}

function tellingsOf({ series, fields }: Line, index: number, ms: number, unit: TemperatureUnit): Telling[] {
  return fields.flatMap(([name, written]) => {
    const field = fieldOf(name);
    const value = numberOf(written);
    if (!field || value === null) return [];
    const { quantity } = field;
    return [{ index, of: series, ms, quantity, value: quantity === 'temperatureC' ? toCelsius[field.unit ?? unit](value) : value }];
  });
}

const truthOf = (value: string): boolean | null => (/^(t|true)$/i.test(value) ? true : /^(f|false)$/i.test(value) ? false : null);

/** What the fields of a line say of the device itself. */
const vitalsOf = ({ fields }: Line): Vitals =>
  Object.assign({}, ...fields.map(([name, written]) => vitalsIn(name, truthOf(written) ?? numberOf(written)))) as Vitals;

export type LineOptions = { precision?: Precision; unit?: TemperatureUnit };

/**
 * The readings in lines of a measurement each: fields that are called as temperatures and humidities are, of one time
 * and series. Comments and empty lines are none; what cannot be read is set aside by the number of its line.
 */
export function readLines(text: string, now: Date, { precision = 'ns', unit = 'C' }: LineOptions = {}): PushedReadings {
  const tellings: Telling[] = [];
  const setAside: SetAside[] = [];
  const vitals: Vitals = {};
  text.split(/\r?\n/).forEach((written, index) => {
    if (written.trim() === '' || written.trimStart().startsWith('#')) return;
    const line = lineOf(written);
    if (!line) return void setAside.push({ index, reason: 'unreadable' });
    const ms = line.time === null ? now.getTime() : Math.round(Number(line.time) * MS_EACH[precision]);
    if (!(ms >= 0 && ms < 8.64e15)) return void setAside.push({ index, reason: 'no-time' });
    const told = tellingsOf(line, index, ms, unit);
    const ofItself = vitalsOf(line);
    Object.assign(vitals, ofItself);
    if (told.length === 0 && Object.keys(ofItself).length === 0) setAside.push({ index, reason: 'nothing-of-ours' });
    tellings.push(...told);
  });
  return joinedReadings(tellings, setAside, vitals, now);
}
