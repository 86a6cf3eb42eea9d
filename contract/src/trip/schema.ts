import { schedule, trip } from '@bright-keeper/core';
import Joi from 'joi';
import { day, dayAfter, id, kitName, version } from '../joi.js';

/** An outing in short form: when, where to, what came along, and what it met. */
export type OutingInput = {
  name: string;
  from: string;
  to: string;
  place: trip.GroundId;
  /** Other kinds of ground besides. */
  also?: trip.GroundId[];
  /** What the weather is expected to bring. */
  weather?: trip.Weather[];
  travel?: trip.Travel;
  /** Which kit goes along, by its name. */
  kit?: string | null;
  itemIds: string[];
  met: schedule.Exposure[];
  frames: number | null;
  lensChanges: number | null;
  hours: number | null;
  /** How each thing that came along was used, where that was counted by thing. */
  used?: Record<string, trip.UsedThing>;
  note: string;
};
export type OutingUpdate = OutingInput & { version: number };
export type Outing = Required<OutingInput> & { id: string; version: number };
/** What pictures tell, taken as a whole: outings that were not noted, and what they say of those that were. */
export type FromPictures = { added: OutingInput[]; changed: (OutingUpdate & { id: string })[] };
export type TakenFromPictures = { added: number; changed: number };

const LONGEST_NAME = 120;
const LONGEST_NOTE = 2000;
const counted = (most: number) => Joi.number().min(0).max(most).allow(null).required();

const fields = {
  name: Joi.string()
    .pattern(/\S/, 'something to read')
    .max(LONGEST_NAME)
    .messages({ 'string.pattern.name': 'This must not be empty.' })
    .required(),
  from: day().required(),
  to: dayAfter().required(),
  place: Joi.string()
    .valid(...trip.GROUND_IDS)
    .required(),
  also: Joi.array()
    .items(Joi.string().valid(...trip.GROUND_IDS))
    .unique()
    .default([]),
  weather: Joi.array()
    .items(Joi.string().valid(...trip.WEATHERS))
    .unique()
    .default([]),
  travel: Joi.string()
    .valid(...trip.TRAVELS)
    .default('own-way'),
  kit: kitName().default(null),
  itemIds: Joi.array().items(id()).max(200).unique().required(),
  met: Joi.array()
    .items(Joi.string().valid(...schedule.EXPOSURES))
    .unique()
    .required(),
  frames: counted(1_000_000).integer(),
  lensChanges: counted(10_000).integer(),
  hours: counted(2_000),
  used: Joi.object()
    .pattern(id(), Joi.object({ frames: counted(1_000_000).integer().disallow(null), lensChanges: counted(10_000).integer() }))
    .max(200)
    .default({}),
  note: Joi.string().allow('').max(LONGEST_NOTE).required(),
};
export const outingInput = Joi.object<OutingInput>(fields);
export const outingUpdate = Joi.object<OutingUpdate>({ ...fields, version: version().required() });

/** Twenty a year for fifty years; more come in a second go. */
const MOST_OUTINGS = 1000;
export const fromPictures = Joi.object<FromPictures>({
  added: Joi.array().items(outingInput).max(MOST_OUTINGS).required(),
  changed: Joi.array()
    .items(Joi.object({ ...fields, version: version().required(), id: id().required() }))
    .max(MOST_OUTINGS)
    .unique('id')
    .required(),
});
