import {
  busyAddress,
  calibrationInput,
  day,
  DEVICE_SOURCES,
  deviceInput,
  dismissInput,
  feedInput,
  findingsSeen,
  glareInput,
  id,
  instant,
  ITEM_STATUSES,
  itemInput,
  JOI_OPTIONS,
  LARGEST_PICTURE_BYTES,
  outingInput,
  placeEvent,
  placeInput,
  rhythmInput,
  saveLook,
  saveTeardown,
  settingsUpdate,
  startTeardown,
  supplyInput,
  timerInput,
  TRAIL_ACTS,
  TRAIL_SUBJECTS,
  version,
} from '@bright-keeper/contract';
import { air, care, schedule } from '@bright-keeper/core';
import Joi from 'joi';
import { DAY_BYTES, packHours, SCALE, unpackReadings } from '../air/packedDay.js';
import { DOCUMENTS } from '../db/documents.js';
import { readDocument, UnreadableDocument, type DocumentKind } from '../db/document.js';
import { PART_BYTES } from '../blobs/blob.repository.js';
import { KEPT_TYPES } from '../blobs/fileType.js';

/** What each column of a table may hold, as the database writes a row in JSON. */
type Columns = Record<string, Joi.Schema>;

const MOST = 2_147_483_647;
const LONGEST = { note: 4000, saltNote: 500 };
const S_PER_DAY = 86_400;
const text = (most: number) => Joi.string().allow('').max(most).required();
const oneOf = (values: readonly string[]) =>
  Joi.string()
    .valid(...values)
    .required();
const whole = (least = 0, most = MOST) => Joi.number().integer().min(least).max(most).required();
const yesNo = () => Joi.boolean().required();
const at = () => instant().required();
const maybeAt = () => instant().allow(null).required();
const reference = () => id().required();
const maybeReference = () => id().allow(null).required();
const maybeDay = () => day().allow(null).required();
const stale = () => version().required();
/** A field as the API takes it; every column is told, so that one that is left out is a fault. */
const as = (schema: Joi.ObjectSchema, field: string): Joi.Schema => schema.extract(field).required();
const sha256 = () =>
  Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .messages({ 'string.pattern.base': 'This is no SHA-256.' });

/** Bytes as PostgreSQL writes them, and the bytes themselves for a check. */
const bytes = (most: number, check: (bytes: Buffer) => string | null = () => null) =>
  Joi.string()
    .required()
    .custom((value: string, helpers) => {
      if (!/^\\x(?:[0-9a-f]{2})*$/.test(value)) return helpers.message({ custom: 'These are no bytes in hexadecimal.' });
      const read = Buffer.from(value.slice(2), 'hex');
      const fault = read.length > most ? `At most ${most} bytes.` : check(read);
      return fault ? helpers.message({ custom: fault }) : value;
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
const documents = (table: string): Columns =>
  Object.fromEntries(DOCUMENTS.filter((d) => d.table === table).map(({ column, kind }) => [column, documentOf(kind)]));

const surface = () => oneOf(care.SURFACE_IDS);

const { temperatureC: warm, humidityPct: damp } = air.READING_RANGE;
const within = (value: number, { min, max }: { min: number; max: number }) => value >= min * SCALE && value <= max * SCALE;
const READING_BYTES = 8;

type ReadingDay = { count: number; readings: string; hours: string };
/** A day of readings is in order, of that day, of what a hygrometer can have seen, and summed up as we sum it up. */
const isADay: Joi.CustomValidator<ReadingDay> = (row, helpers) => {
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
const MOST_FORECAST = 20_000;
const forecast = Joi.object({ issuedAt: at(), readings: Joi.array().items(reading).max(MOST_FORECAST).required() });

const clockJump = Joi.object({ kind: Joi.valid('clock-jump').required(), backMin: Joi.number().min(0).max(MOST).allow(null).required() });
/** What happened in a place, as the API takes it but for its time, which is a column of its own; or to a clock. */
const climateEvent = Joi.object()
  .unknown()
  .required()
  .custom((value: { kind?: unknown; at?: unknown }, helpers) => {
    if ('at' in value) return helpers.message({ custom: 'Its time stands in a column of its own.' });
    const asked = value.kind === 'clock-jump' ? clockJump.validate(value) : placeEvent.validate({ ...value, at: null }, JOI_OPTIONS);
    return asked.error ? helpers.message({ custom: asked.error.details[0]!.message }) : value;
  });

const FROM_THE_FIRST = '1970-01-01T00:00:00+00:00';
const stay = { id: reference(), place_id: reference(), since: at(), until: maybeAt() };

/** By table: every column there is, by its name there, and what it may hold. */
const COLUMNS: Readonly<Record<string, { columns: Columns; whole?: Joi.CustomValidator }>> = {
  item: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(itemInput, 'name'),
      kind: as(itemInput, 'kind'),
      notes: text(LONGEST.note),
      acquired_on: maybeDay(),
      status: oneOf(ITEM_STATUSES),
      archived_at: maybeAt(),
      created_at: at(),
      updated_at: at(),
    },
  },
  surface_state: {
    columns: {
      item_id: reference(),
      surface: surface(),
      findings: findingsSeen.required(),
      verdict: oneOf(care.VERDICTS),
      known_since: at(),
    },
  },
  contact: {
    columns: { id: reference(), item_id: reference(), surface: surface(), touches: whole(), without_evidence: yesNo(), at: at() },
  },
  look: {
    columns: {
      id: reference(),
      item_id: reference(),
      version: stale(),
      at: as(saveLook, 'at'),
      started_at: at(),
      finished_at: maybeAt(),
    },
  },
  look_photo: {
    columns: { id: reference(), look_id: reference(), surface: surface(), blob: sha256().required(), keeps_all: yesNo(), at: at() },
  },
  cleaning: { columns: { id: reference(), item_id: reference(), version: stale(), started_at: at(), finished_at: maybeAt() } },
  teardown: {
    columns: {
      id: reference(),
      item_id: reference(),
      version: stale(),
      depth: as(startTeardown, 'depth'),
      phase: as(saveTeardown, 'phase'),
      started_at: at(),
      finished_at: maybeAt(),
    },
  },
  teardown_photo: { columns: { teardown_id: reference(), stage_id: reference(), blob: sha256().required() } },
  journal_entry: { columns: { id: reference(), subject: oneOf(schedule.SUBJECT_KINDS), subject_id: reference(), at: at() } },
  rhythm: {
    columns: {
      id: reference(),
      version: stale(),
      code: as(rhythmInput, 'code'),
      scope: oneOf(['all', 'kind', 'subject']),
      scope_key: Joi.alternatives(Joi.valid('', ...care.ITEM_KINDS), id()).required(),
    },
  },
  bench_times: { columns: { id: whole(1, 1), version: stale() } },
  calendar_feed: {
    columns: { id: reference(), name: as(feedInput, 'name'), token_hash: sha256().required(), created_at: at(), fetched_at: maybeAt() },
  },
  calendar_event: {
    columns: { uid: text(300), print: text(100), sequence: whole(), changed_at: at(), cancelled: yesNo() },
  },
  busy_calendar: {
    columns: {
      id: reference(),
      name: as(busyAddress, 'name'),
      url: as(busyAddress, 'url').allow(null),
      read_at: at(),
      events: whole(),
    },
  },
  sensor_frame: {
    columns: {
      id: reference(),
      item_id: reference(),
      version: stale(),
      taken_at: at(),
      preview: sha256().allow(null).required(),
      original: sha256().allow(null).required(),
      created_at: at(),
    },
  },
  dismissed_spot: {
    columns: { id: reference(), item_id: reference(), x: as(dismissInput, 'x'), y: as(dismissInput, 'y'), at: at() },
  },
  glare_test: {
    columns: {
      id: reference(),
      item_id: reference(),
      taken_at: at(),
      glare_pct: as(glareInput, 'glarePct'),
      low_pct: as(glareInput, 'lowPct'),
      high_pct: as(glareInput, 'highPct'),
      black_pct: as(glareInput, 'blackPct'),
      f_number: as(glareInput, 'fNumber'),
      iso: as(glareInput, 'iso'),
      exposure_s: as(glareInput, 'exposureS'),
      body: as(glareInput, 'body'),
      style: as(glareInput, 'style'),
      note: as(glareInput, 'note'),
    },
  },
  settings: {
    columns: {
      id: whole(1, 1),
      version: stale(),
      time_zone: as(settingsUpdate, 'timeZone'),
      currency: as(settingsUpdate, 'currency'),
      drawer_is_all: yesNo(),
      sensor_rehearsed_on: maybeDay(),
    },
  },
  place: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(placeInput, 'name'),
      kind: as(placeInput, 'kind'),
      volume_l: as(placeInput, 'volumeL'),
      air_changes_per_day: as(placeInput, 'airChangesPerDay'),
      openings_per_week: as(placeInput, 'openingsPerWeek'),
      lining: as(placeInput, 'lining'),
      low_pct: as(placeInput, 'lowPct'),
      high_pct: Joi.number().min(0).max(100).greater(Joi.ref('low_pct')).required(),
      stands_in_id: maybeReference(),
      note: as(placeInput, 'note'),
      created_at: at(),
      archived_at: maybeAt(),
    },
  },
  stay: { columns: { ...stay, item_id: reference() } },
  timer: {
    columns: {
      id: reference(),
      size: as(timerInput, 'size'),
      wrapping: as(timerInput, 'wrapping'),
      item_id: maybeReference(),
      started_at: at(),
      ends_at: at(),
    },
  },
  supply: {
    columns: {
      id: reference(),
      version: stale(),
      thing: as(supplyInput, 'thing'),
      role: oneOf(care.TOOL_ROLES),
      state: as(supplyInput, 'state'),
      uses_since_wash: whole(),
      stock: as(supplyInput, 'stock'),
      pack_size: as(supplyInput, 'packSize'),
      pack_price: as(supplyInput, 'packPrice'),
      opened_on: maybeDay(),
      width_mm: as(supplyInput, 'widthMm'),
      note: as(supplyInput, 'note'),
      created_at: at(),
    },
  },
  trail: {
    columns: {
      id: reference(),
      day: day().required(),
      device_id: maybeReference(),
      act: oneOf(TRAIL_ACTS),
      subject: oneOf(TRAIL_SUBJECTS),
      subject_id: maybeReference(),
      first_at: at(),
      at: at(),
      times: whole(1),
    },
  },
  outing: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(outingInput, 'name'),
      from_day: day().required(),
      to_day: day().required(),
      place: as(outingInput, 'place'),
      item_ids: as(outingInput, 'itemIds'),
      met: as(outingInput, 'met'),
      frames: as(outingInput, 'frames'),
      lens_changes: as(outingInput, 'lensChanges'),
      hours: as(outingInput, 'hours'),
      note: as(outingInput, 'note'),
      created_at: at(),
    },
    whole: ((row: { from_day: string; to_day: string }, helpers) =>
      row.from_day <= row.to_day
        ? row
        : helpers.message({ custom: 'It ends before it begins.' }, { at: ['to_day'] })) as Joi.CustomValidator,
  },
  device: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(deviceInput, 'name'),
      source: oneOf(DEVICE_SOURCES),
      outdoor: yesNo(),
      every_minutes: as(deviceInput, 'everyMinutes'),
      note: as(deviceInput, 'note'),
      token_hash: sha256().allow(null).required(),
      forecast: forecast.allow(null).required(),
      stamp: whole(1),
      created_at: at(),
      archived_at: maybeAt(),
    },
  },
  // The first stay of a device reaches back to its first reading.
  device_stay: { columns: { ...stay, device_id: reference(), since: Joi.alternatives(Joi.valid(FROM_THE_FIRST), instant()).required() } },
  reading_day: {
    columns: {
      device_id: reference(),
      day: day().required(),
      count: whole(1, S_PER_DAY),
      readings: bytes(S_PER_DAY * READING_BYTES),
      hours: bytes(DAY_BYTES),
    },
    whole: isADay as Joi.CustomValidator,
  },
  calibration: {
    columns: {
      id: reference(),
      device_id: reference(),
      at: at(),
      points: as(calibrationInput, 'points'),
      note: text(LONGEST.saltNote),
    },
  },
  climate_event: { columns: { id: reference(), place_id: maybeReference(), device_id: maybeReference(), at: at(), data: climateEvent } },
  blob: {
    columns: { hash: sha256().required(), type: oneOf(KEPT_TYPES), bytes: whole(1, LARGEST_PICTURE_BYTES), created_at: at() },
  },
  blob_part: { columns: { hash: sha256().required(), part: whole(), data: bytes(PART_BYTES) } },
};

/** By table: a row as the database writes it in JSON, all of it and nothing else. */
export const ROW_CONTRACTS: ReadonlyMap<string, Joi.ObjectSchema> = new Map(
  Object.entries(COLUMNS).map(([table, { columns, whole: together }]) => {
    const row = Joi.object({ ...columns, ...documents(table) });
    return [table, together ? row.custom(together) : row];
  }),
);
