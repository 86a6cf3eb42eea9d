import { care, schedule } from '@bright-keeper/core';
import Joi from 'joi';
import { manyThings } from '../gear/schema.js';
import { day, id, version } from '../joi.js';

const oneOf = <T extends string>(...values: readonly T[]) =>
  Joi.string()
    .valid(...values)
    .required();
const LONGEST_RULE = 200;
const MOST_TRIGGERS = 6;
const MOST_WINDOW_DAYS = 180;
const every = Joi.alternatives(
  Joi.object({ days: Joi.number().integer().min(1).max(3650).required() }),
  Joi.object({ months: Joi.number().integer().min(1).max(120).required() }),
);

const TRIGGERS: Record<schedule.Trigger['on'], Joi.ObjectSchema> = {
  calendar: Joi.object({
    on: oneOf('calendar'),
    rrule: Joi.string().max(LONGEST_RULE).required(),
    from: Joi.alternatives(Joi.string().valid('last-done'), day()).required(),
    while: Joi.string().valid('fungus-risk'),
  }),
  use: Joi.object({
    on: oneOf('use'),
    of: oneOf(...schedule.USE_UNITS),
    count: Joi.number().integer().min(1).max(1_000_000).required(),
  }),
  exposure: Joi.object({
    on: oneOf('exposure'),
    to: Joi.array()
      .items(Joi.string().valid(...schedule.EXPOSURES))
      .min(1)
      .unique()
      .required(),
    withinHours: Joi.number().integer().min(1).max(720).required(),
  }),
  climate: Joi.object({
    on: oneOf('climate'),
    sign: oneOf(...schedule.CLIMATE_SIGNS),
    daysAhead: Joi.number().integer().min(0).max(90).required(),
  }),
  idleness: Joi.object({ on: oneOf('idleness'), after: every.required() }),
};

const trigger = Joi.alternatives().conditional('.on', {
  switch: Object.entries(TRIGGERS).map(([on, then]) => ({ is: on, then })),
  otherwise: Joi.object({ on: oneOf(...(Object.keys(TRIGGERS) as schedule.Trigger['on'][])) }),
});

const windowDays = () => Joi.number().integer().min(0).max(MOST_WINDOW_DAYS).required();

/** A rhythm by its shape; whether anybody could follow it is told by `schedule.rhythmTroubles`. */
export const rhythmShape = Joi.object<schedule.Rhythm>({
  triggers: Joi.array().items(trigger).min(1).max(MOST_TRIGGERS).required(),
  earlyDays: windowDays(),
  lateDays: windowDays(),
  minutes: Joi.number().min(1).max(600).required(),
});

export const rhythmScope = Joi.alternatives<schedule.RhythmScope>().conditional('.for', {
  switch: [
    { is: 'all', then: Joi.object({ for: oneOf('all') }) },
    { is: 'kind', then: Joi.object({ for: oneOf('kind'), kind: oneOf(...care.ITEM_KINDS) }) },
    { is: 'subject', then: Joi.object({ for: oneOf('subject'), id: id().required() }) },
  ],
  otherwise: Joi.object({ for: oneOf('all', 'kind', 'subject') }),
});

/** A rhythm set for all, a kind or one; null switches it off there. */
export type RhythmInput = { code: schedule.DutyCode; scope: schedule.RhythmScope; rhythm: schedule.Rhythm | null };
export type SaveRhythm = RhythmInput & { /** Of the row that is changed; null where none is there yet. */ version: number | null };
/** A change as it is kept. */
export type KeptRhythm = RhythmInput & { id: string; version: number };

const rhythmFields = {
  code: oneOf(...schedule.RHYTHM_CODES),
  scope: rhythmScope.required(),
  rhythm: rhythmShape.allow(null).required(),
};
export const rhythmInput = Joi.object<RhythmInput>(rhythmFields);
export const saveRhythm = Joi.object<SaveRhythm>({ ...rhythmFields, version: version().allow(null).required() });

/** Every so many months for many things at once; null switches it off for them. */
export type RhythmOfMany = { itemIds: string[]; code: schedule.DutyCode; months: number | null };
export const rhythmOfMany = Joi.object<RhythmOfMany>({
  itemIds: manyThings.extract('itemIds').required(),
  code: oneOf(...schedule.RHYTHM_CODES),
  months: Joi.number().integer().min(1).max(120).allow(null).required(),
});
/** What held for one of them alone before; `had` is false where nothing did. */
export type RhythmBefore = { itemId: string; had: boolean; rhythm: schedule.Rhythm | null };
/** What it was set for, with what held before; and what has no such duty. */
export type RhythmsSet = { before: RhythmBefore[]; without: { itemId: string; name: string }[] };
/** Puts back what held before. */
export type RhythmsBack = { code: schedule.DutyCode; before: RhythmBefore[] };
export const rhythmsBack = Joi.object<RhythmsBack>({
  code: oneOf(...schedule.RHYTHM_CODES),
  before: Joi.array()
    .items(Joi.object({ itemId: id().required(), had: Joi.boolean().required(), rhythm: rhythmShape.allow(null).required() }))
    .min(1)
    .max(2000)
    .unique('itemId')
    .required(),
});

/** What the next year of one duty would be, as it is and as it would be. */
export type RhythmPreview = { before: schedule.Duty[]; after: schedule.Duty[] };
