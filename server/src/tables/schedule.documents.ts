import { calendarFilter, rhythmShape, saveBenchTimes, type BenchTimes, type CalendarFilter } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import Joi from 'joi';
import { defineDocument } from '../db/index.js';

export const RHYTHM_DOCUMENT = defineDocument<{ rhythm: schedule.Rhythm | null }>({
  name: 'rhythm.rhythm',
  version: 1,
  schema: Joi.object({ rhythm: rhythmShape.allow(null).required() }),
  upgrades: {},
});

export const BENCH_TIMES_DOCUMENT = defineDocument<Omit<BenchTimes, 'version'>>({
  name: 'bench_times.times',
  version: 1,
  schema: saveBenchTimes.fork('version', (version) => version.forbidden()),
  upgrades: {},
});

export const FILTER_DOCUMENT = defineDocument<CalendarFilter>({
  name: 'calendar_feed.filter',
  version: 1,
  schema: calendarFilter,
  upgrades: {},
});

/** What an event is about: by this a filtered calendar tells whether it ever showed it. */
export type Concerns = { subject: schedule.SubjectKind; gravity: schedule.Gravity };
/** An event as it was told; bench days concern all, and so do events that were told before this was kept. */
export type ToldEntry = schedule.CalendarEntry & { concerns?: Concerns };

const text = () => Joi.string().required();
export const ENTRY_DOCUMENT = defineDocument<ToldEntry>({
  name: 'calendar_event.entry',
  version: 1,
  schema: Joi.object({
    uid: text(),
    summary: text(),
    description: Joi.string().allow(''),
    day: text(),
    time: Joi.string(),
    minutes: Joi.number(),
    categories: Joi.array().items(Joi.string()),
    url: Joi.string(),
    tentative: Joi.boolean(),
    alarmMinutesBefore: Joi.number(),
    concerns: Joi.object({
      subject: Joi.valid(...schedule.SUBJECT_KINDS).required(),
      gravity: Joi.valid(...schedule.GRAVITIES).required(),
    }),
  }),
  upgrades: {},
});

export const BUSY_DOCUMENT = defineDocument<schedule.Busy[]>({
  name: 'busy_calendar.busy',
  version: 1,
  schema: Joi.array().items(Joi.object({ from: text(), to: text() })),
  upgrades: {},
});

export const PROBLEMS_DOCUMENT = defineDocument<schedule.CalendarProblem[]>({
  name: 'busy_calendar.problems',
  version: 1,
  schema: Joi.array().items(Joi.object({ line: Joi.number().required(), property: Joi.string().allow('').required(), detail: text() })),
  upgrades: {},
});
