import { columnsOf, instantMs, type AirLog, type Log } from '../air/index.js';
import type { Schools } from '../care/knowledge/index.js';
import { CLASSES, DEFAULT_DECLINE, SURFACE_STATES, type SurfaceState } from './constants.js';
import { daysPastAfter, nextDose, type Warning } from './earlyWarning.js';
import { filledGaps, gapsOf } from './gaps.js';
import { advanceMould, type MouldState } from './mouldIndex.js';
import { HOURS_A_DAY, MS_PER_HOUR } from '../units.js';

export const RISK_LEVELS = ['safe', 'watch', 'act'] as const;
export type RiskLevel = (typeof RISK_LEVELS)[number];
export type HumiditySchool = Schools['humidity'];
export type AssessOptions = {
  humiditySchool: HumiditySchool;
  surfaceState: SurfaceState;
  /** Where both models stood when the log begins; nothing where it is left out. */
  start?: Exposure;
  /** The same at its best and at its worst, where earlier gaps may hide something; `start` where it is left out. */
  startRange?: { best: Exposure; worst: Exposure };
};

/** Where the two models stand at the end of a log. */
export type Exposure = { index: number } & Warning;
const NONE: Exposure = { index: 0, dose: 0, daysPast: 0 };
/** What the verdict stands on, as codes with their facts. Days are counted from the end of the log. */
export type AssessReason =
  | { says: 'mould-index'; index: number; surfaceState: SurfaceState }
  | ({ says: 'early-warning' } & Warning)
  | { says: 'growth-in'; days: number }
  | { says: 'gap'; days: number; best: RiskLevel; worst: RiskLevel };

export type Assessment = {
  level: RiskLevel;
  /** The largest the mould index has been, and where it stands; likewise for the dose. */
  now: Exposure;
  peak: Exposure;
  /** Since when the level has been what it is; null when it has been so from the beginning. */
  since: string | null;
  /** If it goes on as in the last week: days until each model expects growth; null when it does not. */
  daysToGrowth: { byIndex: number | null; byDose: number | null };
  /** What the gaps of the log may hide. The same when there is no gap. */
  best: Exposure & { level: RiskLevel };
  worst: Exposure & { level: RiskLevel };
  gapHours: number;
  reasons: AssessReason[];
};

const LAST_WEEK_H = 7 * HOURS_A_DAY;
/** From here the mould index is seen under the microscope; half of it is worth a word (our choice). */
const GROWTH_INDEX = 1;
const NOTABLE_INDEX = 0.5;
/** Beyond two years a week says nothing (our choice). */
const FORESEEN_DAYS = 730;

/** When which model speaks, by the keeper's school. */
export const riskLevel = ({ index, dose }: Pick<Exposure, 'index' | 'dose'>, school: HumiditySchool): RiskLevel =>
  levelOf(index, dose, school);

function levelOf(index: number, dose: number, school: HumiditySchool): RiskLevel {
  const byIndex: RiskLevel = index >= GROWTH_INDEX ? 'act' : index >= NOTABLE_INDEX ? 'watch' : 'safe';
  switch (school) {
    case 'relaxed':
      return byIndex;
    case 'standard':
      return byIndex === 'safe' && dose >= 1 ? 'watch' : byIndex;
    case 'cautious':
      return byIndex === 'act' || dose >= 1 ? 'act' : byIndex === 'watch' || dose >= 0.5 ? 'watch' : 'safe';
    default:
      return school satisfies never;
  }
}

type Walk = { now: Exposure; peak: Exposure; weekAgo: Exposure; since: number | null };

/** Both models along a log, with the level's last change and where they stood a week before the end. */
function walk({ length, ms, temperatureC, humidityPct }: AirLog, { humiditySchool, surfaceState, start = NONE }: AssessOptions): Walk {
  const of = CLASSES[SURFACE_STATES[surfaceState].sensitivity];
  const mould: MouldState = { index: start.index, unfavourableH: 0 };
  let { dose, daysPast } = start;
  let [peakIndex, peakDose, peakDaysPast] = [start.index, dose, daysPast];
  let level: RiskLevel = riskLevel(start, humiditySchool);
  let since: number | null = null;
  const weekAgoMs = (ms[length - 1] ?? 0) - LAST_WEEK_H * MS_PER_HOUR;
  let weekAgo: Exposure = { ...start };
  for (let i = 1; i < length; i++) {
    const t = temperatureC[i - 1]!;
    const h = humidityPct[i - 1]!;
    const hours = (ms[i]! - ms[i - 1]!) / MS_PER_HOUR;
    advanceMould(mould, t, h, hours, of, DEFAULT_DECLINE);
    const next = nextDose(dose, t, h, hours / HOURS_A_DAY);
    daysPast = daysPastAfter(dose, next, daysPast, hours / HOURS_A_DAY);
    dose = next;
    const { index } = mould;
    if (index > peakIndex) peakIndex = index;
    if (dose > peakDose) peakDose = dose;
    if (daysPast > peakDaysPast) peakDaysPast = daysPast;
    if (ms[i]! <= weekAgoMs && !(ms[i + 1]! <= weekAgoMs)) weekAgo = { index, dose, daysPast };
    const is = levelOf(index, dose, humiditySchool);
    if (is !== level) {
      level = is;
      since = ms[i]!;
    }
  }
  const peak = { index: peakIndex, dose: peakDose, daysPast: peakDaysPast };
  return { now: { index: mould.index, dose, daysPast }, peak, weekAgo, since };
}

function daysLeft(now: number, weekAgo: number, limit: number, days: number): number | null {
  if (now >= limit) return 0;
  const perDay = (now - weekAgo) / days;
  const left = perDay > 0 ? (limit - now) / perDay : Infinity;
  return left <= FORESEEN_DAYS ? left : null;
}

/** The sooner of the two models, as far as the school listens to them; null when neither expects growth. */
export function soonestGrowth({ byIndex, byDose }: Assessment['daysToGrowth'], school: HumiditySchool): number | null {
  const heard = (school === 'relaxed' ? [byIndex] : [byIndex, byDose]).filter((d) => d !== null);
  return heard.length > 0 ? Math.min(...heard) : null;
}

function reasonsFor(a: Omit<Assessment, 'reasons'>, { humiditySchool, surfaceState }: AssessOptions): AssessReason[] {
  const { index, dose, daysPast } = a.now;
  const soonest = soonestGrowth(a.daysToGrowth, humiditySchool);
  return [
    { says: 'mould-index', index, surfaceState },
    { says: 'early-warning', dose, daysPast },
    ...(soonest ? [{ says: 'growth-in' as const, days: soonest }] : []),
    ...(a.gapHours > 0 ? [{ says: 'gap' as const, days: a.gapHours / HOURS_A_DAY, best: a.best.level, worst: a.worst.level }] : []),
  ];
}

/**
 * How much growth is to be feared after a log: both models, driven by the keeper's humidity school and by what
 * the surface offers. Gaps widen it: `best` and `worst` enclose the truth, and where only a gap would alarm, the
 * level is `watch`.
 */
export function assess(readings: Log, options: AssessOptions): Assessment {
  const log = columnsOf(readings);
  const gaps = gapsOf(log);
  const gapHours = gaps.reduce((sum, g) => sum + (instantMs(g.to) - instantMs(g.from)) / MS_PER_HOUR, 0);
  const held = walk(log, options);
  const { start, startRange } = options;
  const filled = (how: 'best' | 'worst'): Exposure => {
    if (gaps.length === 0 && !startRange) return held.now;
    return walk(filledGaps(log, how), { ...options, start: startRange?.[how] ?? start ?? NONE }).now;
  };
  const [best, worst] = [filled('best'), filled('worst')];
  const levels = { best: riskLevel(best, options.humiditySchool), worst: riskLevel(worst, options.humiditySchool) };
  const level = levels.worst === 'act' && levels.best !== 'act' ? 'watch' : levels.worst;
  const logDays = log.length > 1 ? (log.ms[log.length - 1]! - log.ms[0]!) / MS_PER_HOUR / HOURS_A_DAY : 1;
  const days = Math.min(7, logDays);
  const assessment = {
    level,
    now: held.now,
    peak: held.peak,
    since: held.since === null ? null : new Date(held.since).toISOString(),
    daysToGrowth: {
      byIndex: daysLeft(held.now.index, held.weekAgo.index, GROWTH_INDEX, days),
      byDose: daysLeft(held.now.dose, held.weekAgo.dose, 1, days),
    },
    best: { ...best, level: levels.best },
    worst: { ...worst, level: levels.worst },
    gapHours,
  };
  return { ...assessment, reasons: reasonsFor(assessment, options) };
}
