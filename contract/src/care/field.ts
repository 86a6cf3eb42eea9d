import { care } from '@bright-keeper/core';
import Joi from 'joi';
import { id, kitName, secondsAgo } from '../joi.js';
import { conditionsSchema, schoolsSchema } from './schema.js';

/** What tells of itself later: by which id it is known when it is sent twice, and how long ago it was. */
export type ToldLater = { id: string; agoS: number };
const toldLater = Joi.object<ToldLater>({ id: id().required(), agoS: secondsAgo().required() });

/** Something happened outdoors to these things; what it leaves for home becomes a task of each. */
export type HappenedOutdoors = { happening: care.HappeningId; itemIds: string[]; later?: ToldLater };
export const happenedOutdoors = Joi.object<HappenedOutdoors>({
  happening: Joi.string()
    .valid(...care.HAPPENING_IDS)
    .required(),
  itemIds: Joi.array().items(id()).unique().min(1).max(200).required(),
  later: toldLater,
});
export type PutOff = { things: number };

/** Keeps what a field plan leaves for home as a task, without cleaning anything now. */
export type WaitForHome = {
  itemId: string;
  conditions?: care.Conditions;
  schools?: Partial<care.Schools>;
  /** The one that is along, by its name. */
  kit?: string | null;
  later?: ToldLater;
};
export const waitForHome = Joi.object<WaitForHome>({
  itemId: id().required(),
  conditions: conditionsSchema,
  schools: schoolsSchema,
  kit: kitName().default(null),
  later: toldLater,
});
