import { type AirLog, atOf, between } from '../air/index.js';
import { type Assessment, type HumiditySchool, soonestGrowth } from '../fungus/index.js';
import { MS_PER_DAY } from '../units.js';
import { type Limit, spellsPast, tooDamp } from './alerts.js';

/**
 * How the air of a place, or of a thing over its stays, stands: the one answer to “is it safe?”. Safe is said of
 * measured air alone that stayed in its band, long enough and up to now, with neither model on its way; otherwise what
 * is known is said.
 */
export type Standing =
  | { says: 'not-measured' | 'growth-found' | 'act' | 'watch' | 'drying-out' }
  /** So many days of readings, where it takes so many. */
  | { says: 'too-little'; days: number; needDays: number }
  | { says: 'not-heard' | 'back-in-band'; since: string }
  /** It would be called safe, if its hygrometers did not disagree. */
  | { says: 'disputed' }
  /** For so many days, or for longer than one looks back (`LOOK_BACK_DAYS`). */
  | { says: 'over-band' | 'under-band'; days: number }
  /** For so many days in its band; of a thing, which has none, so many days were measured. */
  | { says: 'safe'; days: number; inBand: boolean }
  /** Growth is to be expected in so many days, if it goes on so. */
  | { says: 'on-its-way'; days: number };
export type StandingId = Standing['says'];

/** So long it has to have stayed in its band, days (our choice). */
export const LONG_ENOUGH_DAYS = 14;
/** And at least so much of that has to have been measured (our choice). */
const MEASURED_SHARE = 0.5;
/** A log that ends longer ago says nothing of now, days (our choice). */
const UP_TO_NOW_DAYS = 2;
const isUpToNow = (heardMs: number, nowMs: number): boolean => nowMs - heardMs <= UP_TO_NOW_DAYS * MS_PER_DAY;
/** How far back one looks for when it left its band, days: nothing is said of what was before. */
export const LOOK_BACK_DAYS = 90;
/** A model that has come so far is not forgotten as soon as it is dry again (our choice). */
const STILL_ON_IT = 0.25;
const CLEARED_PCT = 2;
const tooLow = (lowPct: number): Limit => ({ above: false, raiseAt: lowPct, clearAt: lowPct + CLEARED_PCT });

type Models = Pick<Assessment, 'level' | 'now' | 'best' | 'daysToGrowth'>;
export type PlaceQuestion = {
  /** Its air, hour by hour, oldest first. */
  log: AirLog;
  lowPct: number;
  highPct: number;
  /** What the models say of the whole of it; null where nothing was measured. */
  models: Models | null;
  school: HumiditySchool;
  nowMs: number;
  /** Where hygrometers in it disagree: the same by the drier of them, which counts against dryness; null where none do. */
  drier?: AirLog | null;
  /** Which of them is right is not known. */
  disputed?: boolean;
  /** Something was read of late, though no whole hour of it is over yet. */
  heard?: boolean;
};

/** What the models say; null where neither has anything to say. */
function byModels({ level, now, best, daysToGrowth }: Models, school: HumiditySchool): Standing | null {
  // Where only silence alarms, it is silence that is told of.
  if (level === 'act' || (level === 'watch' && best.level !== 'safe')) return { says: level };
  const days = soonestGrowth(daysToGrowth, school);
  if (days !== null) return { says: 'on-its-way', days };
  return now.dose >= STILL_ON_IT || now.index >= STILL_ON_IT ? { says: 'drying-out' } : null;
}

const hoursOf = (days: number): number => days * 24;

/** How the air of a place stands. */
export function placeStanding({
  log,
  lowPct,
  highPct,
  models,
  school,
  nowMs,
  drier = null,
  disputed = false,
  heard = false,
}: PlaceQuestion): Standing {
  if (log.length === 0 || !models) return heard ? { says: 'too-little', days: 0, needDays: LONG_ENOUGH_DAYS } : { says: 'not-measured' };
  const lately = between(log, nowMs - LOOK_BACK_DAYS * MS_PER_DAY, nowMs);
  const recent = between(log, nowMs - LONG_ENOUGH_DAYS * MS_PER_DAY, nowMs);
  const lastMs = log.ms[log.length - 1]!;
  const modelled = byModels(models, school);
  if (modelled && (modelled.says === 'act' || modelled.says === 'watch')) return modelled;
  if (!isUpToNow(lastMs, nowMs)) return { says: 'not-heard', since: atOf(log, log.length - 1) };
  if (recent.length < MEASURED_SHARE * hoursOf(LONG_ENOUGH_DAYS))
    return { says: 'too-little', days: recent.length / 24, needDays: LONG_ENOUGH_DAYS };
  const damp = spellsPast(lately, tooDamp(highPct)).at(-1);
  const daysSince = (instant: string) => (nowMs - Date.parse(instant)) / MS_PER_DAY;
  if (damp?.until === null) return { says: 'over-band', days: daysSince(damp.from) };
  const dry = spellsPast(drier ? between(drier, nowMs - LOOK_BACK_DAYS * MS_PER_DAY, nowMs) : lately, tooLow(lowPct)).at(-1);
  if (dry?.until === null) return { says: 'under-band', days: daysSince(dry.from) };
  if (modelled) return modelled;
  const lastOut = [damp?.until, dry?.until]
    .filter((until) => until != null)
    .sort()
    .at(-1);
  if (lastOut && daysSince(lastOut) < LONG_ENOUGH_DAYS) return { says: 'back-in-band', since: lastOut };
  if (disputed) return { says: 'disputed' };
  return { says: 'safe', days: daysSince(lastOut ?? atOf(lately, 0)), inBand: true };
}

export type ThingQuestion = {
  models: Models | null;
  school: HumiditySchool;
  /** Growth was found in it, or it is kept apart for it. */
  growth: boolean;
  measuredDays: number;
  keptDays: number;
  /** When the air around it was heard last, ms; null where it never was. */
  heardMs: number | null;
  /** The hygrometers where it lies disagree. */
  disputed: boolean;
  nowMs: number;
};

/** How a thing stands over all its stays: one in which growth was found is never safe, whatever its air. */
export function thingStanding({ models, school, growth, measuredDays, keptDays, heardMs, disputed, nowMs }: ThingQuestion): Standing {
  if (growth) return { says: 'growth-found' };
  if (!models || heardMs === null) return { says: 'not-measured' };
  const modelled = byModels(models, school);
  if (modelled && (modelled.says === 'act' || modelled.says === 'watch')) return modelled;
  if (!isUpToNow(heardMs, nowMs)) return { says: 'not-heard', since: new Date(heardMs).toISOString() };
  const needDays = Math.max(LONG_ENOUGH_DAYS, MEASURED_SHARE * keptDays);
  if (measuredDays < needDays) return { says: 'too-little', days: measuredDays, needDays };
  if (modelled) return modelled;
  return disputed ? { says: 'disputed' } : { says: 'safe', days: measuredDays, inBand: false };
}
