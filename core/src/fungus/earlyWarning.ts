import type { Reading } from '../air/index.js';

const MS_PER_DAY = 86_400_000;
const REFERENCE_C = 25;
const WARMEST_FASTER_C = 30;
const TOO_HOT_C = 45;
/** No growth at or below this, % RH; recovery below it. */
const SAFE_PCT = 60;

function daysAtReference(humidityPct: number): number {
  if (humidityPct <= SAFE_PCT) return Infinity;
  if (humidityPct >= 70) return 100 * 10 ** ((-Math.log10(50) / 30) * (humidityPct - 70));
  return 100 * 10 ** ((70 - humidityPct) / 5);
}

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
  if (!(temperatureC > 0 && temperatureC <= TOO_HOT_C)) return Infinity;
  return daysAtReference(humidityPct) * (Math.min(temperatureC, WARMEST_FASTER_C) / REFERENCE_C) ** -0.68;
}

/** Below 60 % the dose falls by one reference day, at 65 % and 25 degC, each day (our choice). */
const RECOVERY_PER_DAY = 1 / daysAtReference(65);

/** One interval of steady air. */
export function stepDose(dose: number, { temperatureC, humidityPct }: Pick<Reading, 'temperatureC' | 'humidityPct'>, days: number): number {
  const needed = daysToGermination(temperatureC, humidityPct);
  if (needed !== Infinity) return dose + days / needed;
  return humidityPct < SAFE_PCT ? Math.max(0, dose - days * RECOVERY_PER_DAY) : dose;
}

/** Where the early warning stands: the dose, and for how many days it has been past the point. */
export type Warning = { dose: number; daysPast: number };

/** One interval of steady air for dose and days past together. */
export function stepWarning({ dose, daysPast }: Warning, air: Pick<Reading, 'temperatureC' | 'humidityPct'>, days: number): Warning {
  const next = stepDose(dose, air, days);
  return { dose: next, daysPast: next < 1 ? 0 : dose < 1 ? days * ((next - 1) / (next - dose)) : daysPast + days };
}

/** The early-warning dose along a log; at 1 growth is to be expected. Each reading holds until the next one. */
export function earlyWarning(readings: readonly Reading[], { start = 0 }: { start?: number } = {}): ({ at: string } & Warning)[] {
  let warning: Warning = { dose: start, daysPast: 0 };
  let previous: Reading | null = null;
  let previousMs = 0;
  return readings.map((reading) => {
    const ms = Date.parse(reading.at);
    if (previous) warning = stepWarning(warning, previous, (ms - previousMs) / MS_PER_DAY);
    previous = reading;
    previousMs = ms;
    return { at: reading.at, ...warning };
  });
}

/** How far along the drawn scale it stands, 0 to 1: the point is its end. */
export const warningShare = ({ dose }: Pick<Warning, 'dose'>): number => Math.min(1, dose);
