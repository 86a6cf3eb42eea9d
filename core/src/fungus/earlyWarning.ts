import { atOf, columnsOf, type Log } from '../air/index.js';
import { MS_PER_DAY } from '../units.js';

const REFERENCE_C = 25;
const WARMEST_FASTER_C = 30;
const TOO_HOT_C = 45;
/** No growth at or below this, % RH; recovery below it. */
const SAFE_PCT = 60;

/** Days at 70 %, and by how much their logarithm falls with each per cent above that and rises below it. */
const LN_DAYS_AT_70 = Math.log(100);
const LN_PER_PCT_ABOVE = -Math.log(50) / 30;
const LN_PER_PCT_BELOW = -Math.log(10) / 5;
/** By what the mould index slows in the cold. */
const COLD_POWER = -0.68;

/** The logarithm of the days at 25 degC: so that a step takes one power and not three. */
const lnDaysAtReference = (humidityPct: number): number =>
  LN_DAYS_AT_70 + (humidityPct - 70) * (humidityPct >= 70 ? LN_PER_PCT_ABOVE : LN_PER_PCT_BELOW);

/**
 * Days until spores germinate on optics in steady air; Infinity where they do not.
 *
 * Our choice, cautious: fungi that like it dry grow on glass well below the mould index's 80 %. Anchored on
 * conservation practice (about 100 days at 70 %, 1,000 at 65 %, a couple at saturation, none at or below 60 %;
 * orders of magnitude, from memory) and slowed in the cold as the mould index is.
 *
 * @example daysToGermination(25, 80) // 27.1
 */
export function daysToGermination(temperatureC: number, humidityPct: number): number {
  if (!(temperatureC > 0 && temperatureC <= TOO_HOT_C && humidityPct > SAFE_PCT)) return Infinity;
  return Math.exp(lnDaysAtReference(humidityPct) + COLD_POWER * Math.log(Math.min(temperatureC, WARMEST_FASTER_C) / REFERENCE_C));
}

/** Below 60 % the dose falls by one reference day, at 65 % and 25 degC, each day (our choice). */
const RECOVERY_PER_DAY = Math.exp(-lnDaysAtReference(65));

/** What the dose is after so many days of steady air. */
export function nextDose(dose: number, temperatureC: number, humidityPct: number, days: number): number {
  const needed = daysToGermination(temperatureC, humidityPct);
  if (needed !== Infinity) return dose + days / needed;
  return humidityPct < SAFE_PCT ? Math.max(0, dose - days * RECOVERY_PER_DAY) : dose;
}

/** Where the early warning stands: the dose, and for how many days it has been past the point. */
export type Warning = { dose: number; daysPast: number };

/** For how many days it has been past the point after a step from one dose to the next. */
export const daysPastAfter = (dose: number, next: number, daysPast: number, days: number): number =>
  next < 1 ? 0 : dose < 1 ? days * ((next - 1) / (next - dose)) : daysPast + days;

/** The early warning along a log, in columns as long as it is. */
export type WarningColumns = { dose: Float64Array; daysPast: Float64Array };

/** The early-warning dose along a log; at 1 growth is to be expected. Each reading holds until the next one. */
export function warningAlong(log: Log, { start = 0 }: { start?: number } = {}): WarningColumns {
  const { length, ms, temperatureC, humidityPct } = columnsOf(log);
  const [dose, daysPast] = [new Float64Array(length), new Float64Array(length)];
  let [now, past] = [start, 0];
  for (let i = 0; i < length; i++) {
    if (i > 0) {
      const days = (ms[i]! - ms[i - 1]!) / MS_PER_DAY;
      const next = nextDose(now, temperatureC[i - 1]!, humidityPct[i - 1]!, days);
      past = daysPastAfter(now, next, past, days);
      now = next;
    }
    dose[i] = now;
    daysPast[i] = past;
  }
  return { dose, daysPast };
}

/** The same as readings with their instants. */
export function earlyWarning(readings: Log, options: { start?: number } = {}): ({ at: string } & Warning)[] {
  const { dose, daysPast } = warningAlong(readings, options);
  return Array.from(dose, (d, i) => ({ at: atOf(readings, i), dose: d, daysPast: daysPast[i]! }));
}

/** How far along the drawn scale it stands, 0 to 1: the point is its end. */
export const warningShare = ({ dose }: Pick<Warning, 'dose'>): number => Math.min(1, dose);
