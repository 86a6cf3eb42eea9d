import Joi from 'joi';
import { timeZone } from '../joi.js';

/** How the day, month and year of a log stand. */
export const DATE_ORDERS = ['iso', 'dmy', 'mdy', 'unix-s', 'unix-ms'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** How a log file is read: guessed from its beginning, shown, and corrected by the keeper. */
export type LogFormat = {
  delimiter: string;
  decimal: '.' | ',';
  dateOrder: DateOrder;
  /** The columns by their heading; `time` only where date and time stand apart. */
  date: string;
  time: string | null;
  temperature: string;
  humidity: string;
  temperatureUnit: 'C' | 'F';
  humidityUnit: 'pct' | 'fraction';
  /** Of times that do not say their own: an IANA zone. */
  timeZone: string;
};
export const logFormat = Joi.object<LogFormat>({
  delimiter: Joi.string().valid(',', ';', '\t', '|').required(),
  decimal: Joi.string().valid('.', ',').required(),
  dateOrder: Joi.string()
    .valid(...DATE_ORDERS)
    .required(),
  date: Joi.string().max(300).required(),
  time: Joi.string().max(300).allow(null).required(),
  temperature: Joi.string().max(300).required(),
  humidity: Joi.string().max(300).required(),
  temperatureUnit: Joi.string().valid('C', 'F').required(),
  humidityUnit: Joi.string().valid('pct', 'fraction').required(),
  timeZone: timeZone().required(),
});

/** The whole file is the body; how it is read stands in the address. `check` reads all of it and writes nothing. */
export type LogImportQuery = { format: string; check: boolean };
export const logImportQuery = Joi.object<LogImportQuery>({
  format: Joi.string().max(4000).required(),
  check: Joi.boolean().default(false),
});

/** The beginning of a file, for guessing. */
export type LogPreviewRequest = { startBase64: string; format?: LogFormat };
export const logPreviewRequest = Joi.object<LogPreviewRequest>({
  startBase64: Joi.string().base64().max(400_000).required(),
  format: logFormat,
});

export type LogRow = {
  line: number;
  cells: string[];
  at: string | null;
  temperatureC: number | null;
  humidityPct: number | null;
  problem: LogFault | null;
};
export type LogPreview = { format: LogFormat; columns: string[]; rows: LogRow[] };

/** Why a row was set aside. */
export const LOG_FAULTS = [
  'no-time',
  'no-number',
  'out-of-range',
  'in-the-future',
  'short-row',
  'open-quote',
  'too-long',
  'too-wide',
] as const;
export type LogFault = (typeof LOG_FAULTS)[number];
export type LogImportResult = {
  rows: number;
  accepted: number;
  duplicates: number;
  setAside: Record<LogFault, number>;
  /** The first of each, with its line. */
  examples: { line: number; problem: LogFault; text: string }[];
  from: string | null;
  to: string | null;
  /** Silences of more than six hours inside the log. */
  gaps: { from: string; to: string }[];
  /** The clock went back so often; each is marked. */
  clockJumps: number;
  /** Hours by which the log seems to be shifted against what is there already; null when it fits or does not overlap. */
  shiftHours: number | null;
};
