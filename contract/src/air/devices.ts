import { air, sources } from '@bright-keeper/core';
import Joi from 'joi';
import { id, toldFor, version } from '../joi.js';
import { type Intake, intakeFor, type IntakeState } from './intake.js';

export type DeviceSource = sources.WayId;

export type DeviceInput = {
  name: string;
  source: DeviceSource;
  /** It measures the air outside; then it lies in no place. */
  outdoor: boolean;
  placeId: string | null;
  /** How often a reading is to be expected, minutes. */
  everyMinutes: number;
  note: string;
  /** Where its readings are taken in from, where the program does that by itself. */
  intake: Intake | null;
};

const outsideOrInside: Joi.CustomValidator<DeviceInput> = (input, helpers) =>
  input.outdoor && input.placeId !== null
    ? helpers.message({ custom: 'A device outdoors lies in no place of yours.' }, { at: ['placeId'] })
    : input;

const fields = {
  name: Joi.string().pattern(/\S/, 'something to read').max(120).messages({ 'string.pattern.name': 'This must not be empty.' }).required(),
  source: Joi.string()
    .valid(...sources.WAY_IDS)
    .required(),
  outdoor: Joi.boolean().required(),
  placeId: id().allow(null).required(),
  everyMinutes: Joi.number().min(0.1).max(43_200).required(),
  note: Joi.string().allow('').max(1000).required(),
  intake: intakeFor,
};
export const deviceInput = Joi.object<DeviceInput>(fields).custom(outsideOrInside);
export type DeviceUpdate = DeviceInput & { version: number };
export const deviceUpdate = Joi.object<DeviceUpdate>({ ...fields, version: version().required() }).custom(outsideOrInside);

/** Without a time, it was now. */
export type CalibrationInput = { at: string | null; points: air.SaltTest[]; note: string };
const saltTest = Joi.object<air.SaltTest>({
  salt: Joi.string()
    .valid(...air.SALTS)
    .required(),
  temperatureC: Joi.number().min(0).max(40).required(),
  rawPct: Joi.number().min(0).max(100).required(),
});
/** A salt test that cannot be right is refused where it was typed. */
const believable: Joi.CustomValidator<CalibrationInput> = (input, helpers) => {
  try {
    air.correctionOf(input);
    return input;
  } catch (error) {
    return helpers.message({ custom: `This salt test cannot be right: ${(error as Error).message}.` }, { at: ['points'] });
  }
};
export const calibrationInput = Joi.object<CalibrationInput>({
  at: toldFor(),
  points: Joi.array().items(saltTest).min(1).max(2).required(),
  note: Joi.string().allow('').max(500).default(''),
}).custom(believable);
export type Calibration = CalibrationInput & { at: string; id: string; correction: air.Correction };

/** What a device says now, corrected, and as it said it. */
export type Latest = air.Reading & { rawHumidityPct: number; dewPointC: number };
export type Device = DeviceInput & {
  id: string;
  version: number;
  placeName: string | null;
  latest: Latest | null;
  readings: number;
  firstAt: string | null;
  /** It has not been heard for longer than it should. */
  silent: boolean;
  calibrations: Calibration[];
  driftPctPerYear: number | null;
  addedAt: string;
  /** Has a key been handed out, so that it may push? */
  hasToken: boolean;
  /** When it last came with a key, ISO 8601; null when it did not within the last 400 days. */
  keyUsedAt: string | null;
  /** How it is with what is taken in by itself; null where nothing is, or nothing came of it yet. */
  intakeState: IntakeState | null;
  /** What it said last of itself; null where it says nothing of the kind. */
  lastWord: sources.LastWord | null;
  /** Marked faults of its clock, newest first. */
  clockJumps: { at: string; backMin: number | null }[];
};
export type Devices = { devices: Device[] };
/** The key is shown once: only its fingerprint is kept. */
export type DeviceToken = { token: string };

export type HandReading = { at: string | null; temperatureC: number; humidityPct: number };
export const handReading = Joi.object<HandReading>({
  at: toldFor(),
  temperatureC: Joi.number().min(air.READING_RANGE.temperatureC.min).max(air.READING_RANGE.temperatureC.max).required(),
  humidityPct: Joi.number().min(air.READING_RANGE.humidityPct.min).max(air.READING_RANGE.humidityPct.max).required(),
});

/** A SenML pack (RFC 8428) as devices push it; what of it is no reading is set aside by the service, not refused here. */
export const senmlPack = Joi.array<sources.SenmlRecord[]>()
  .items(
    Joi.object<sources.SenmlRecord>({
      bn: Joi.string().max(200),
      bt: Joi.number().unsafe(),
      bu: Joi.string().max(20),
      bv: Joi.number().unsafe(),
      bver: Joi.number(),
      n: Joi.string().max(200),
      u: Joi.string().max(20),
      t: Joi.number().unsafe(),
      v: Joi.number().unsafe(),
    }).unknown(),
  )
  .min(1)
  .max(20_000);

/** What a device writes as it likes; how deep and how long its texts are is held elsewhere. */
export const pushedJson = Joi.alternatives<object>().try(
  Joi.object().unknown(),
  Joi.array().items(Joi.object().unknown()).min(1).max(20_000),
);
/** Lines of a measurement each. */
export const pushedLines = Joi.string().max(4_000_000);
/** The contract of each format that devices push in. */
export const PUSHED: Readonly<Record<sources.PushFormatId, Joi.Schema>> = {
  senml: senmlPack,
  'line-protocol': pushedLines,
  json: pushedJson,
};

/** What became of readings that came in. */
export type Accepted = { accepted: number; duplicates: number; setAside: sources.SetAside[] };
export type Forecast = { issuedAt: string; readings: air.WeatherHour[] };
