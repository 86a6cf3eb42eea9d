import { type JsonOptions, readPlainJson } from './plainJson.js';
import { type LineOptions, readLines } from './lineProtocol.js';
import type { PushedReadings } from './joined.js';
import { readSenml, type SenmlRecord } from './senml.js';

/** What a device may say in its address of how it writes. */
export type PushOptions = JsonOptions & LineOptions;

/** One way in which devices push what they measure. */
export type PushFormat = {
  name: string;
  /** Where it is laid down. */
  basis: string;
  mediaTypes: readonly string[];
  /** Whether a body of such a type is of this format; the first that says so reads it. */
  isIts: (body: unknown, mediaType: string) => boolean;
  read: (body: never, now: Date, options: PushOptions) => PushedReadings;
  /** What a device would send. */
  example: string;
};

const SENML = 'application/senml+json';
const JSON_TYPE = 'application/json';

/** Whether a record is SenML's, where its type does not say so: no device of its own calls a field by one letter and its value by another. */
const isSenmlRecord = (record: unknown): boolean =>
  typeof record === 'object' && record !== null && ['n', 'bn', 'v'].some((label) => Object.hasOwn(record, label));

export const PUSH_FORMAT_IDS = ['senml', 'line-protocol', 'json'] as const;
export type PushFormatId = (typeof PUSH_FORMAT_IDS)[number];

export const PUSH_FORMATS: Readonly<Record<PushFormatId, PushFormat>> = {
  senml: {
    name: 'SenML',
    basis: 'RFC 8428',
    mediaTypes: [SENML, JSON_TYPE],
    isIts: (body, mediaType) => mediaType === SENML || (Array.isArray(body) && body.length > 0 && body.every(isSenmlRecord)),
    read: (pack: readonly SenmlRecord[], now) => readSenml(pack, now),
    example: '[{"n":"temperature","u":"Cel","v":20.4},{"n":"humidity","u":"%RH","v":55}]',
  },
  'line-protocol': {
    name: 'Line protocol',
    basis: 'InfluxDB line protocol',
    mediaTypes: ['text/plain'],
    isIts: (body) => typeof body === 'string',
    read: (text: string, now, options) => readLines(text, now, options),
    example: 'air,room=cupboard temperature=20.4,humidity=55',
  },
  json: {
    name: 'JSON of any shape',
    basis: 'RFC 8259; where its parts lie by RFC 6901',
    mediaTypes: [JSON_TYPE],
    isIts: (body) => typeof body === 'object' && body !== null,
    read: (body: unknown, now, options) => readPlainJson(body, now, options),
    example: '{"temperature":20.4,"humidity":55}',
  },
};

/** The media types in which readings are taken, each once. */
export const PUSHED_TYPES: readonly string[] = [...new Set(PUSH_FORMAT_IDS.flatMap((id) => PUSH_FORMATS[id].mediaTypes))];

/** Which format a body of a media type is of; null where none reads it. */
export function pushFormatOf(mediaType: string, body: unknown): PushFormatId | null {
  return PUSH_FORMAT_IDS.find((id) => PUSH_FORMATS[id].mediaTypes.includes(mediaType) && PUSH_FORMATS[id].isIts(body, mediaType)) ?? null;
}

/** What a text without a media type holds: JSON where it is that, else lines of a measurement each. Null where neither can be. */
export function parsedText(text: string): { format: PushFormatId; body: unknown } | null {
  try {
    const body: unknown = JSON.parse(text);
    const format = pushFormatOf(JSON_TYPE, body);
    return format && { format, body };
  } catch {
    return text.includes('=') ? { format: 'line-protocol', body: text } : null;
  }
}

/** The readings in what a device sent. */
export const readPushed = (id: PushFormatId, body: unknown, now: Date, options: PushOptions = {}): PushedReadings =>
  PUSH_FORMATS[id].read(body as never, now, options);
