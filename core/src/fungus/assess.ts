import type { Reading } from '../air/index.js';
import type { Schools } from '../care/knowledge/index.js';
import { CLASSES, DEFAULT_DECLINE, SURFACE_STATES, type SurfaceState } from './constants.js';
import { stepWarning, type Warning } from './earlyWarning.js';
import { filledGaps, gapsOf } from './gaps.js';
import { stepMould, type MouldState } from './mouldIndex.js';

export const RISK_LEVELS = ['safe', 'watch', 'act'] as const;
export type RiskLevel = (typeof RISK_LEVELS)[number];
export type HumiditySchool = Schools['humidity'];
export type AssessOptions = {
  humiditySchool: HumiditySchool;
  surfaceState: SurfaceState;
  /** Where both models stood when the log begins; nothing where it is left out. */
  start?: Exposure;
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

const MS_PER_HOUR = 3_600_000;
const HOURS_A_DAY = 24;
const LAST_WEEK_H = 7 * HOURS_A_DAY;
/** From here the mould index is seen under the microscope; half of it is worth a word (our choice). */
const GROWTH_INDEX = 1;
const NOTABLE_INDEX = 0.5;
/** Beyond two years a week says nothing (our choice). */
const FORESEEN_DAYS = 730;

/** When which model speaks, by the keeper's school. */
export function riskLevel({ index, dose }: Pick<Exposure, 'index' | 'dose'>, school: HumiditySchool): RiskLevel {
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

type Walk = { now: Exposure; peak: Exposure; weekAgo: Exposure; since: string | null };

/** Both models along a log, with the level's last change and where they stood a week before the end. */
function walk(readings: readonly Reading[], { humiditySchool, surfaceState, start = NONE }: AssessOptions): Walk {
  const of = CLASSES[SURFACE_STATES[surfaceState].sensitivity];
  let mould: MouldState = { index: start.index, unfavourableH: 0 };
  let warning: Warning = { dose: start.dose, daysPast: start.daysPast };
  let level: RiskLevel = riskLevel(start, humiditySchool);
  let since: string | null = null;
  const peak: Exposure = { ...start };
  const lastMs = readings.length > 0 ? Date.parse(readings.at(-1)!.at) : 0;
  let weekAgo: Exposure = { ...start };
  let beforeMs = readings.length > 0 ? Date.parse(readings[0]!.at) : 0;
  for (let i = 1; i < readings.length; i++) {
    const before = readings[i - 1]!;
    const ms = Date.parse(readings[i]!.at);
    const hours = (ms - beforeMs) / MS_PER_HOUR;
    beforeMs = ms;
    mould = stepMould(mould, before, hours, of, DEFAULT_DECLINE);
    warning = stepWarning(warning, before, hours / HOURS_A_DAY);
    peak.index = Math.max(peak.index, mould.index);
    peak.dose = Math.max(peak.dose, warning.dose);
    peak.daysPast = Math.max(peak.daysPast, warning.daysPast);
    if (lastMs - ms >= LAST_WEEK_H * MS_PER_HOUR) weekAgo = { index: mould.index, ...warning };
    const is = riskLevel({ index: mould.index, dose: warning.dose }, humiditySchool);
    if (is !== level) {
      level = is;
      since = readings[i]!.at;
    }
  }
  return { now: { index: mould.index, ...warning }, peak, weekAgo, since };
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
export function assess(readings: readonly Reading[], options: AssessOptions): Assessment {
  const gaps = gapsOf(readings);
  const gapHours = gaps.reduce((sum, g) => sum + (Date.parse(g.to) - Date.parse(g.from)) / MS_PER_HOUR, 0);
  const held = walk(readings, options);
  const best = gaps.length > 0 ? walk(filledGaps(readings, 'best'), options).now : held.now;
  const worst = gaps.length > 0 ? walk(filledGaps(readings, 'worst'), options).now : held.now;
  const levels = { best: riskLevel(best, options.humiditySchool), worst: riskLevel(worst, options.humiditySchool) };
  const level = levels.worst === 'act' && levels.best !== 'act' ? 'watch' : levels.worst;
  const logDays = readings.length > 1 ? (Date.parse(readings.at(-1)!.at) - Date.parse(readings[0]!.at)) / MS_PER_HOUR / HOURS_A_DAY : 1;
  const days = Math.min(7, logDays);
  const assessment = {
    level,
    now: held.now,
    peak: held.peak,
    since: held.since,
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
