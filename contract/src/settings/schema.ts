import { care } from '@bright-keeper/core';
import Joi from 'joi';
import { schoolsSchema } from '../care/schema.js';
import { day, timeZone, version } from '../joi.js';

export type Settings = {
  version: number;
  schools: care.Schools;
  timeZone: string;
  currency: string;
  /** The day the dry run of a sensor clean was done; null while it still has to be. */
  sensorRehearsedOn: string | null;
  /** The drawer lists all there is: plans keep to it. Until then what it does not list is assumed at hand. */
  drawerIsAll: boolean;
};

export const settingsUpdate = Joi.object<Settings>({
  version: version().required(),
  schools: schoolsSchema.options({ presence: 'required' }).required(),
  sensorRehearsedOn: day().allow(null).default(null),
  drawerIsAll: Joi.boolean(),
  timeZone: timeZone().required(),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/)
    .messages({ 'string.pattern.base': 'Write a currency as three capitals, like EUR.' })
    .required(),
});
