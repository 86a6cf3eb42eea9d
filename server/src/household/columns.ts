import { day, id, instant, JOI_OPTIONS, placeEvent, version } from '@bright-keeper/contract';
import { air, care, S_PER_DAY } from '@bright-keeper/core';
import Joi from 'joi';
import { packHours, READING_BYTES, SCALE, unpackReadings } from '../air/index.js';
import { DOCUMENTS } from '../tables/index.js';
import { readDocument, UnreadableDocument, type DocumentKind } from '../db/index.js';

/** What each column of a table may hold, as the database writes a row in JSON. */
type Columns = Record<string, Joi.Schema>;
/** The columns of a table, and what they have to be together. */
export type TableColumns = { columns: Columns; whole?: Joi.CustomValidator };

const MOST = 2_147_483_647;
export const LONGEST = { note: 4000, saltNote: 500 };
export const text = (most: number) => Joi.string().allow('').max(most).required();
export const oneOf = (values: readonly string[]) =>
  Joi.string()
    .valid(...values)
    .required();
export const whole = (least = 0, most = MOST) => Joi.number().integer().min(least).max(most).required();
export const yesNo = () => Joi.boolean().required();
export const at = () => instant().required();
export const maybeAt = () => instant().allow(null).required();
export const reference = () => id().required();
export const maybeReference = () => id().allow(null).required();
export const maybeDay = () => day().allow(null).required();
export const stale = () => version().required();
/** A field as the API takes it; every column is told, so that one that is left out is a fault. */
export const as = (schema: Joi.ObjectSchema, field: string): Joi.Schema => schema.extract(field).required();
export const sha256 = () =>
  Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .messages({ 'string.pattern.base': 'This is no SHA-256.' });

/** Bytes as PostgreSQL writes them: two signs each, after a mark of two. */
export const bytes = (most: number) =>
  Joi.string()
    .required()
    .custom((value: string, helpers) => {
      if (!/^\\x(?:[0-9a-f]{2})*$/.test(value)) return helpers.message({ custom: 'These are no bytes in hexadecimal.' });
      return value.length / 2 - 1 > most ? helpers.message({ custom: `At most ${most} bytes.` }) : value;
    });

/** A document as it is read: upgraded, and checked against its kind. */
const documentOf = (kind: DocumentKind<unknown>) =>
  Joi.object()
    .required()
    .custom((value: unknown, helpers) => {
      try {
        readDocument(kind, value);
        return value;
      } catch (error) {
        return helpers.message({ custom: error instanceof UnreadableDocument ? error.message : `${kind.name}: it cannot be read.` });
      }
    });

/** The documents of a table, by their columns. */
export const documents = (table: string): Columns =>
  Object.fromEntries(
    DOCUMENTS.filter((d) => d.table === table).map(({ column, kind, isOptional }) => [
      column,
      isOptional ? documentOf(kind).allow(null) : documentOf(kind),
    ]),
  );

export const surface = () => oneOf(care.SURFACE_IDS);

export const { temperatureC: warm, humidityPct: damp } = air.READING_RANGE;
const within = (value: number, { min, max }: { min: number; max: number }) => value >= min * SCALE && value <= max * SCALE;

type ReadingDay = { count: number; readings: string; hours: string };
/** A day of readings is in order, of that day, of what a hygrometer can have seen, and summed up as we sum it up. */
export const isADay: Joi.CustomValidator<ReadingDay> = (row, helpers) => {
  const fault = (custom: string, column: keyof ReadingDay) => helpers.message({ custom }, { at: [column] });
  const packed = Buffer.from(row.readings.slice(2), 'hex');
  if (packed.length !== row.count * READING_BYTES) return fault('It holds another number of readings than it says.', 'count');
  const readings = unpackReadings(packed);
  for (let i = 0; i < readings.length; i += 1) {
    const inOrder = readings.second[i]! < S_PER_DAY && (i === 0 || readings.second[i]! > readings.second[i - 1]!);
    if (!inOrder || !within(readings.temperature[i]!, warm) || !within(readings.humidity[i]!, damp))
      return fault(`Its reading ${i + 1} cannot be.`, 'readings');
  }
  const hours = `\\x${Buffer.from(packHours(readings)).toString('hex')}`;
  return hours === row.hours ? row : fault('Its hours do not sum up its readings.', 'hours');
};

const reading = Joi.object({
  at: at(),
  temperatureC: Joi.number().min(warm.min).max(warm.max).required(),
  humidityPct: Joi.number().min(damp.min).max(damp.max).required(),
});
const { windMs, rainMmPerH } = air.WEATHER_RANGE;
const weatherHour = reading.keys({
  windMs: Joi.number().min(windMs.min).max(windMs.max),
  rainMmPerH: Joi.number().min(rainMmPerH.min).max(rainMmPerH.max),
});
const MOST_FORECAST = 20_000;
export const forecast = Joi.object({ issuedAt: at(), readings: Joi.array().items(weatherHour).max(MOST_FORECAST).required() });

const clockJump = Joi.object({ kind: Joi.valid('clock-jump').required(), backMin: Joi.number().min(0).max(MOST).allow(null).required() });
/** What happened in a place, as the API takes it but for its time, which is a column of its own; or to a clock. */
export const climateEvent = Joi.object()
  .unknown()
  .required()
  .custom((value: { kind?: unknown; at?: unknown }, helpers) => {
    if ('at' in value) return helpers.message({ custom: 'Its time stands in a column of its own.' });
    const asked = value.kind === 'clock-jump' ? clockJump.validate(value) : placeEvent.validate({ ...value, at: null }, JOI_OPTIONS);
    return asked.error ? helpers.message({ custom: asked.error.details[0]!.message }) : value;
  });
