import { schedule, type care, type supplies } from '@bright-keeper/core';
import Joi from 'joi';
import { day, dayAfter, version } from '../joi.js';

/** When the keeper has time for the bench. */
export type BenchTimes = {
  version: number;
  /** 0 = Sunday. */
  weekdays: number[];
  minutesPerDay: number;
  /** Local clock time a bench day begins, "17:00". */
  startsAt: string;
  away: { from: string; to: string }[];
};

const WEEK = 7;
const MOST_AWAY = 60;
const span = Joi.object({ from: day().required(), to: dayAfter().required() });
export const saveBenchTimes = Joi.object<BenchTimes>({
  version: version().required(),
  weekdays: Joi.array()
    .items(
      Joi.number()
        .integer()
        .min(0)
        .max(WEEK - 1),
    )
    .min(1)
    .unique()
    .required()
    .messages({ 'array.min': 'Choose at least one weekday.' }),
  minutesPerDay: Joi.number().integer().min(10).max(480).required(),
  startsAt: Joi.string()
    .pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
    .messages({ 'string.pattern.base': 'Write a time like 17:00.' })
    .required(),
  away: Joi.array().items(span).max(MOST_AWAY).required(),
});

/** The bench days ahead, as the keeper's times allow them. */
export type BenchDays = {
  today: string;
  from: string;
  to: string;
  times: BenchTimes;
  plan: schedule.BenchPlan<PlannedTask>;
  /** The smallest change under which nothing slips; null where nothing does, or none is known. */
  remedy: schedule.Remedy | null;
  /** Days on which another calendar leaves less time. */
  busyDays: { day: string; minutes: number }[];
};
/** A task of a bench day: the duty it is. */
export type PlannedTask = schedule.BenchTask & { id: string; duty: schedule.Duty };

/** What is laid out before a bench day begins: the tools and materials of all its plans, each once. */
export type LaidOut = { thing: care.Tool | care.Material; label: string; for: string[] };
/** A task that cannot be done with what is in the drawer. */
export type Lacking = { thing: string; for: string };
export type BenchDayPage = {
  today: string;
  day: string;
  times: BenchTimes;
  /** Null where nothing is planned for it any more. */
  bench: schedule.BenchDay<PlannedTask> | null;
  drawer: LaidOut[];
  lacking: Lacking[];
};
/** What each clean that is asked for now will take of fluids, wipes and swabs. */
export type WaitingCleans = { waiting: supplies.Needed[] };
export type DayParam = { day: string };
export const dayParam = Joi.object<DayParam>({ day: day().required() });

/** What a feed or a file holds. */
export type CalendarFilter = {
  subjects: schedule.SubjectKind[] | null;
  gravities: schedule.Gravity[] | null;
  benchDays: boolean;
  duties: boolean;
};
export const EVERYTHING: CalendarFilter = { subjects: null, gravities: null, benchDays: true, duties: true };
const some = <T extends string>(values: readonly T[]) =>
  Joi.array()
    .items(Joi.string().valid(...values))
    .min(1)
    .unique()
    .allow(null)
    .required();
export const calendarFilter = Joi.object<CalendarFilter>({
  subjects: some(schedule.SUBJECT_KINDS),
  gravities: some(schedule.GRAVITIES),
  benchDays: Joi.boolean().required(),
  duties: Joi.boolean().required(),
});

const LONGEST_NAME = 80;
const name = () =>
  Joi.string()
    .pattern(/\S/, 'something to read')
    .max(LONGEST_NAME)
    .messages({ 'string.pattern.name': 'This must not be empty.' })
    .required();

/** An address other calendars fetch; its key is told once and only its hash is kept. */
export type Feed = { id: string; name: string; filter: CalendarFilter; createdAt: string; fetchedAt: string | null };
export type FeedInput = { name: string; filter: CalendarFilter };
export type NewFeed = Feed & { path: string };
export const feedInput = Joi.object<FeedInput>({ name: name(), filter: calendarFilter.required() });

/** Another calendar, of which only the busy times are kept. */
export type BusyCalendar = {
  id: string;
  name: string;
  url: string | null;
  readAt: string;
  events: number;
  busy: schedule.Busy[];
  problems: schedule.CalendarProblem[];
};
const LONGEST_CALENDAR = 4_000_000;
const LONGEST_URL = 500;
export type BusyFile = { name: string; text: string };
export type BusyAddress = { name: string; url: string };
export const busyFile = Joi.object<BusyFile>({ name: name(), text: Joi.string().max(LONGEST_CALENDAR).required() });
export const busyAddress = Joi.object<BusyAddress>({
  name: name(),
  url: Joi.string()
    .uri({ scheme: ['http', 'https'] })
    .max(LONGEST_URL)
    .messages({
      'string.uriCustomScheme': 'Write an address that begins with http:// or https://.',
      'string.uri': 'Write an address that begins with http:// or https://.',
    })
    .required(),
});

export type AgendaQuery = { until?: string };
export const agendaQuery = Joi.object<AgendaQuery>({ until: day() });
export type BenchQuery = { from?: string; to?: string };
export const benchQuery = Joi.object<BenchQuery>({ from: day(), to: day() });
export type FeedToken = { token: string };
export const feedToken = Joi.object<FeedToken>({ token: Joi.string().max(100).required() });
