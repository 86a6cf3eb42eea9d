import { care } from '@bright-keeper/core';
import Joi from 'joi';
import { schoolsSchema } from '../care/schema.js';
import { day, version } from '../joi.js';

export type Settings = {
  version: number;
  schools: care.Schools;
  timeZone: string;
  currency: string;
  /** The day the dry run of a sensor clean was done; null while it still has to be. */
  sensorRehearsedOn: string | null;
};

const timeZone: Joi.CustomValidator<string> = (value, helpers) => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: value });
    return value;
  } catch {
    return helpers.message({ custom: `${value} is not a time zone; write it like Europe/Lisbon or UTC.` });
  }
};

export const settingsUpdate = Joi.object<Settings>({
  version: version().required(),
  schools: schoolsSchema.options({ presence: 'required' }).required(),
  sensorRehearsedOn: day().allow(null).default(null),
  timeZone: Joi.string().max(60).custom(timeZone).required(),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/)
    .messages({ 'string.pattern.base': 'Write a currency as three capitals, like EUR.' })
    .required(),
});
