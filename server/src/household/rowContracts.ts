import {
  busyAddress,
  calibrationInput,
  day,
  deviceInput,
  dismissInput,
  feedInput,
  glareInput,
  id,
  instant,
  KEEPER_NAME_MAX,
  LARGEST_PICTURE_BYTES,
  OFFER_STATES,
  offerInput,
  outingInput,
  placeInput,
  practiceRunInput,
  rhythmInput,
  saveLook,
  saveTeardown,
  settingsUpdate,
  startTeardown,
  supplyInput,
  timerInput,
  TRAIL_ACTS,
  TRAIL_SUBJECTS,
} from '@bright-keeper/contract';
import { care, S_PER_DAY, schedule, sources } from '@bright-keeper/core';
import Joi from 'joi';
import { DAY_BYTES, READING_BYTES } from '../air/index.js';
import { PART_BYTES, KEPT_TYPES } from '../blobs/index.js';
import {
  type TableColumns,
  LONGEST,
  text,
  oneOf,
  whole,
  yesNo,
  at,
  maybeAt,
  reference,
  maybeReference,
  maybeDay,
  stale,
  as,
  sha256,
  bytes,
  documents,
  surface,
  isADay,
  forecast,
  climateEvent,
} from './columns.js';
import { GEAR_COLUMNS } from './gearColumns.js';

const FROM_THE_FIRST = '1970-01-01T00:00:00+00:00';
const keeper = () => Joi.string().max(KEEPER_NAME_MAX).required().allow(null);
const stay = { id: reference(), place_id: reference(), since: at(), until: maybeAt() };

/** By table: every column there is, by its name there, and what it may hold. */
const COLUMNS: Readonly<Record<string, TableColumns>> = {
  ...GEAR_COLUMNS,
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
  journal_entry: {
    columns: { id: reference(), subject: oneOf(schedule.SUBJECT_KINDS), subject_id: reference(), at: at(), keeper: keeper() },
  },
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
      kit: as(supplyInput, 'kit'),
      created_at: at(),
    },
  },
  trail: {
    columns: {
      id: reference(),
      day: day().required(),
      device_id: maybeReference(),
      keeper: keeper(),
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
      also: as(outingInput, 'also'),
      weather: as(outingInput, 'weather'),
      travel: as(outingInput, 'travel'),
      kit: as(outingInput, 'kit'),
      item_ids: as(outingInput, 'itemIds'),
      met: as(outingInput, 'met'),
      frames: as(outingInput, 'frames'),
      lens_changes: as(outingInput, 'lensChanges'),
      hours: as(outingInput, 'hours'),
      used: as(outingInput, 'used'),
      note: as(outingInput, 'note'),
      created_at: at(),
    },
    whole: ((row: { from_day: string; to_day: string }, helpers) =>
      row.from_day <= row.to_day
        ? row
        : helpers.message({ custom: 'It ends before it begins.' }, { at: ['to_day'] })) as Joi.CustomValidator,
  },
  offer: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(offerInput, 'name'),
      note: as(offerInput, 'note'),
      state: oneOf(OFFER_STATES),
      item_id: maybeReference(),
      created_at: at(),
      updated_at: at(),
    },
  },
  practice_run: {
    columns: { id: reference(), case_id: as(practiceRunInput, 'caseId'), asked: whole(1), answered_right: whole(), at: at() },
  },
  device: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(deviceInput, 'name'),
      source: oneOf(sources.WAY_IDS),
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
