import { fieldOf, type TemperatureUnit, toCelsius } from './fieldNames.js';
import { joinedReadings, type PushedReadings, type Quantity, type SetAside, type Telling } from './joined.js';
import { type Vitals, vitalsIn } from './vitals.js';

/** Where the parts of a reading lie in what a device sends, as JSON pointers (RFC 6901); what is not said is found by its name. */
export type JsonOptions = { temperature?: string; humidity?: string; time?: string; unit?: TemperatureUnit };

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value);

/** What a pointer leads to; undefined where it leads nowhere. */
export function pointedAt(document: unknown, pointer: string): unknown {
  if (pointer === '') return document;
  let here = document;
  for (const part of pointer.slice(1).split('/')) {
    const key = part.replaceAll('~1', '/').replaceAll('~0', '~');
    if (typeof here !== 'object' || here === null || !Object.hasOwn(here, key)) return undefined;
    here = (here as Json)[key];
  }
  return here;
}

/** Devices put what they measure this deep at most, as far as it is looked for by its name. */
const DEEPEST = 3;

/** The first field whose name tells what it is, the shallowest first. */
function namedIn<T>(document: Json, known: (name: string) => T | null, depth = DEEPEST): { value: unknown; as: T } | null {
  for (const [name, value] of Object.entries(document)) {
    const as = isObject(value) ? null : known(name);
    if (as !== null) return { value, as };
  }
  if (depth === 1) return null;
  for (const value of Object.values(document)) {
    const found = isObject(value) ? namedIn(value, known, depth - 1) : null;
    if (found) return found;
  }
  return null;
}

/** A number, also where it is written as a text. */
const numberIn = (value: unknown): number | null => {
  if (typeof value === 'number') return value;
  return typeof value === 'string' && /^\s*[+-]?\d+(\.\d+)?\s*$/.test(value) ? Number(value) : null;
};

const TIME_NAME = /^(time|timestamp|ts|at|date|datetime|measured_?at)$/i;
/** Seconds since 1970 have fewer digits for thousands of years, milliseconds more since 1973. */
const MS_FROM = 1e11;

/** An instant as devices write it: ISO 8601 with its zone, or a count since 1970 in seconds or milliseconds. Null for what is none. */
export function instantIn(value: unknown): number | null {
  const count = numberIn(value);
  if (count !== null) return count >= 0 ? (count < MS_FROM ? count * 1000 : count) : null;
  // Without a zone nobody knows when that was.
  if (typeof value !== 'string' || !/(Z|[+-]\d{2}:?\d{2})$/.test(value)) return null;
  const ms = Date.parse(value);
  return Number.isNaN(ms) ? null : ms;
}

function quantityIn(document: Json, quantity: Quantity, pointer: string | undefined, unit: TemperatureUnit | undefined): number | null {
  const found = pointer === undefined ? namedIn(document, (name) => (fieldOf(name)?.quantity === quantity ? fieldOf(name) : null)) : null;
  const value = numberIn(pointer === undefined ? found?.value : pointedAt(document, pointer));
  if (value === null || quantity === 'humidityPct') return value;
  return toCelsius[unit ?? found?.as?.unit ?? 'C'](value);
}

/** What the fields of an object say of the device itself, the shallowest first. */
function vitalsOf(document: Json, depth = DEEPEST): Vitals {
  const below = depth === 1 ? [] : Object.values(document).filter(isObject);
  const own = Object.entries(document).map(([name, value]) => vitalsIn(name, typeof value === 'boolean' ? value : numberIn(value)));
  return Object.assign({}, ...below.map((inner) => vitalsOf(inner, depth - 1)), ...own) as Vitals;
}

/** When it was; now, where it does not say; null where what it says is no time. */
function timeIn(document: Json, pointer: string | undefined, now: Date): number | null {
  const value =
    pointer === undefined ? namedIn(document, (name) => (TIME_NAME.test(name) ? name : null))?.value : pointedAt(document, pointer);
  return value === undefined || value === null ? now.getTime() : instantIn(value);
}

/** The readings in one object, or a list of them, that a device sends as it likes. What cannot be one is set aside by its place. */
export function readPlainJson(body: unknown, now: Date, { temperature, humidity, time, unit }: JsonOptions = {}): PushedReadings {
  const setAside: SetAside[] = [];
  const tellings: Telling[] = [];
  const vitals: Vitals = {};
  (Array.isArray(body) ? body : [body]).forEach((document: unknown, index) => {
    if (!isObject(document)) return void setAside.push({ index, reason: 'unreadable' });
    const temperatureC = quantityIn(document, 'temperatureC', temperature, unit);
    const humidityPct = quantityIn(document, 'humidityPct', humidity, unit);
    const ofItself = vitalsOf(document);
    Object.assign(vitals, ofItself);
    if (temperatureC === null && humidityPct === null) {
      if (Object.keys(ofItself).length === 0) setAside.push({ index, reason: 'nothing-of-ours' });
      return;
    }
    const ms = timeIn(document, time, now);
    if (ms === null || !(ms < 8.64e15)) return void setAside.push({ index, reason: 'no-time' });
    const of = String(index);
    if (temperatureC !== null) tellings.push({ index, of, ms, quantity: 'temperatureC', value: temperatureC });
    if (humidityPct !== null) tellings.push({ index, of, ms, quantity: 'humidityPct', value: humidityPct });
  });
  return joinedReadings(tellings, setAside, vitals, now);
}
