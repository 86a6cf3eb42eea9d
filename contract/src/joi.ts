import Joi from 'joi';

/** Plain words for what Joi finds, each with what to do. */
const MESSAGES = {
  'any.required': 'This is needed.',
  'any.only': 'Choose one of: {{#valids}}.',
  'any.unknown': 'This is not known here; leave it out.',
  'object.unknown': 'This is not known here; leave it out.',
  'object.base': 'This must be an object.',
  'array.base': 'This must be a list.',
  'array.max': 'At most {{#limit}} entries.',
  'array.unique': 'This stands here twice; keep one.',
  'string.base': 'This must be text.',
  'string.empty': 'This must not be empty.',
  'string.max': 'At most {{#limit}} characters.',
  'string.guid': 'This is not an id of ours.',
  'string.base64': 'This must be base64.',
  'string.pattern.base': 'Write a day as YYYY-MM-DD.',
  'number.base': 'This must be a number.',
  'number.integer': 'This must be a whole number.',
  'number.min': 'At least {{#limit}}.',
  'number.max': 'At most {{#limit}}.',
  'boolean.base': 'This must be yes or no (true or false).',
};

/** How every schema is applied: all faults at once, unknown keys refused, nothing converted unless it came as text in the address. */
export const JOI_OPTIONS: Joi.ValidationOptions = {
  abortEarly: false,
  allowUnknown: false,
  convert: false,
  messages: MESSAGES,
  errors: { wrap: { label: false, array: false } },
};

/** Address parameters and queries arrive as text, so numbers and booleans may be read from it. */
export const JOI_QUERY_OPTIONS: Joi.ValidationOptions = { ...JOI_OPTIONS, convert: true };

/** The messages of a validation error by field path, the first one of each field. A rule over several fields says in `at` which one is meant. */
export function fieldsOf(error: Joi.ValidationError): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const { path, context, message } of error.details) {
    const at = (context?.at as Joi.ValidationErrorItem['path'] | undefined) ?? path;
    fields[at.join('.') || 'body'] ??= message;
  }
  return fields;
}

const MAX_VERSION = 2_147_483_647;
/** An id as we write them: a UUID and nothing around it. */
export const uuidText = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
export const id = () => Joi.string().pattern(uuidText).messages({ 'string.pattern.base': 'This is not an id of ours.' });
export const version = () => Joi.number().integer().min(1).max(MAX_VERSION);

/** The calendar as far as anybody keeps lenses: what lies outside is a slip, and no database need hold it. */
const FIRST_DAY = '1800-01-01';
const LAST_DAY = '2999-12-31';
/** Moments are of what people and devices did with this program. */
const FIRST_INSTANT = '1970-01-01';

const isDay = (text: string): boolean => {
  const at = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text);
};

/** A calendar day that exists, `YYYY-MM-DD`, between 1800 and 2999. */
export const day = () =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .custom((value: string, helpers) => {
      if (!isDay(value)) return helpers.message({ custom: `${value} is not a day of the calendar.` });
      return value >= FIRST_DAY && value <= LAST_DAY ? value : helpers.message({ custom: 'Give a day between 1800 and 2999.' });
    });

const INSTANT = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-](0\d|1[0-3]):[0-5]\d|[+-]14:00)$/;

/** A moment that exists, as of ISO 8601 with its offset, between 1970 and 2999: an impossible one is refused, not moved. */
export const instant = () =>
  Joi.string().custom((value: string, helpers) => {
    const on = INSTANT.exec(value)?.[1];
    if (!on || !isDay(on)) return helpers.message({ custom: 'Write a moment like 2026-03-10T10:00:00Z.' });
    return on > FIRST_INSTANT && on <= LAST_DAY ? value : helpers.message({ custom: 'Give a moment between 1970 and 2999.' });
  });

const LONGEST_KIT_NAME = 60;
/** A kit by its name; null is none. Spaces around it are nothing. */
export const kitName = () =>
  Joi.string()
    .pattern(/\S/, 'something to read')
    .max(LONGEST_KIT_NAME)
    .custom((name: string) => name.trim())
    .allow(null);

/** When something was that a person tells: an earlier moment, or null for now, which is taken where nothing is said. */
export const toldFor = () => instant().allow(null).default(null);

/** A time zone that this machine knows, by its IANA name. */
export const timeZone = () =>
  Joi.string()
    .max(60)
    .custom((value: string, helpers) => {
      try {
        new Intl.DateTimeFormat('en', { timeZone: value });
        return value;
      } catch {
        return helpers.message({ custom: `${value} is not a time zone; write it like Europe/Lisbon or UTC.` });
      }
    });

/** The last day of a span: not before the day that stands beside it as `from`. */
export const dayAfter = () =>
  day().custom((value: string, helpers) => {
    const [beside] = helpers.state.ancestors as [{ from: unknown }];
    const { from } = beside;
    return typeof from !== 'string' || from <= value ? value : helpers.message({ custom: 'It ends before it begins.' });
  });

/** What a device kept for longer is asked about by a person. */
const LONGEST_KEPT_S = 400 * 86_400;
/**
 * How many seconds ago something was done that is told only now. Both ends are by the clock of the device that kept it, so
 * that a clock that is wrong does no harm.
 */
export const secondsAgo = () => Joi.number().integer().min(0).max(LONGEST_KEPT_S);
