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
export const id = () => Joi.string().guid();
export const version = () => Joi.number().integer().min(1).max(MAX_VERSION);

/** A calendar day that exists, `YYYY-MM-DD`. */
export const day = () =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .custom((value: string, helpers) => {
      const at = new Date(`${value}T00:00:00Z`);
      const exists = !Number.isNaN(at.getTime()) && at.toISOString().startsWith(value);
      return exists ? value : helpers.message({ custom: `${value} is not a day of the calendar.` });
    });

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
