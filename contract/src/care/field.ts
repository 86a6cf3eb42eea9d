import { care } from '@bright-keeper/core';
import Joi from 'joi';
import { id } from '../joi.js';
import { conditionsSchema, schoolsSchema } from './schema.js';

/** Something happened outdoors to these things; what it leaves for home becomes a task of each. */
export type HappenedOutdoors = { happening: care.HappeningId; itemIds: string[] };
export const happenedOutdoors = Joi.object<HappenedOutdoors>({
  happening: Joi.string()
    .valid(...care.HAPPENING_IDS)
    .required(),
  itemIds: Joi.array().items(id()).unique().min(1).max(200).required(),
});
export type PutOff = { things: number };

/** Keeps what a field plan leaves for home as a task, without cleaning anything now. */
export type WaitForHome = { itemId: string; conditions?: care.Conditions; schools?: Partial<care.Schools> };
export const waitForHome = Joi.object<WaitForHome>({ itemId: id().required(), conditions: conditionsSchema, schools: schoolsSchema });
