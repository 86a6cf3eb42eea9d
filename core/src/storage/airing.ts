import { absoluteHumidityGm3, type AirLog, columnsOf, instantMs, type Log, type Reading } from '../air/index.js';
import { MS_PER_DAY, MS_PER_HOUR } from '../units.js';

/** Air that holds so much less water, or more, makes a difference; less is within what instruments and forecasts know, g/m3 (our choice). */
const NOTABLE_GM3 = 0.7;
/** So far ahead it is looked: a forecast beyond says little of an hour. */
const AHEAD_MS = 2 * MS_PER_DAY;
const DRIEST_PCT = 0.1;

export type AiringEffect = 'dries' | 'wets' | 'neither';
/** Hours in which letting that air in does the same. `byGm3`: at most so much drier, or damper, than inside; never negative. */
export type AiringSpan = { from: string; to: string; effect: Exclude<AiringEffect, 'neither'>; byGm3: number };

const waterIn = (temperatureC: number, humidityPct: number): number => absoluteHumidityGm3(temperatureC, Math.max(DRIEST_PCT, humidityPct));

const effectOf = (differenceGm3: number): AiringEffect =>
  differenceGm3 <= -NOTABLE_GM3 ? 'dries' : differenceGm3 >= NOTABLE_GM3 ? 'wets' : 'neither';

type Air = Pick<Reading, 'temperatureC' | 'humidityPct'>;
/** What letting this air in does to that inside: it is the water in it that counts, for it is warmed or cooled to what is there. */
export const airingNow = (inside: Air, outside: Air): AiringEffect =>
  effectOf(waterIn(outside.temperatureC, outside.humidityPct) - waterIn(inside.temperatureC, inside.humidityPct));

/**
 * The hours of the next two days in which letting in the air outside dries what is inside, and those in which it wets it.
 * Inside is taken to hold as much water as now.
 *
 * @param outside as foretold, in order; each stands until the next, for three hours at most.
 */
export function airingHours(inside: Air, outside: Log, nowMs: number): AiringSpan[] {
  const log = columnsOf(outside);
  const held = waterIn(inside.temperatureC, inside.humidityPct);
  const spans: { fromMs: number; toMs: number; effect: AiringSpan['effect']; byGm3: number }[] = [];
  for (let i = 0; i < log.length; i++) {
    const fromMs = Math.max(nowMs, log.ms[i]!);
    const toMs = Math.min(nowMs + AHEAD_MS, standsUntil(log, i));
    if (toMs <= fromMs) continue;
    const difference = waterIn(log.temperatureC[i]!, log.humidityPct[i]!) - held;
    const effect = effectOf(difference);
    if (effect === 'neither') continue;
    const last = spans.at(-1);
    if (last?.effect === effect && last.toMs === fromMs) {
      last.toMs = toMs;
      last.byGm3 = Math.max(last.byGm3, Math.abs(difference));
    } else spans.push({ fromMs, toMs, effect, byGm3: Math.abs(difference) });
  }
  return spans.map(({ fromMs, toMs, ...span }) => ({ from: new Date(fromMs).toISOString(), to: new Date(toMs).toISOString(), ...span }));
}

const LONGEST_MS = 3 * MS_PER_HOUR;
const standsUntil = ({ ms, length }: AirLog, i: number): number => {
  const next = i + 1 < length ? ms[i + 1]! : ms[i]! + MS_PER_HOUR;
  return Math.min(next, ms[i]! + LONGEST_MS);
};

/** Is a reading of now? Of one that is older nobody knows what opening does. */
export const isOfNow = (reading: Pick<Reading, 'at'>, nowMs: number): boolean => {
  const age = nowMs - instantMs(reading.at);
  return age >= -MS_PER_HOUR && age <= LONGEST_MS;
};
