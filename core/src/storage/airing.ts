import { absoluteHumidityGm3, humidityPctFrom, type AirLog, columnsOf, instantMs, type Log, type Reading } from '../air/index.js';
import { MS_PER_DAY, MS_PER_HOUR } from '../units.js';

/** Air that holds so much less water, or more, makes a difference; less is within what instruments and forecasts know, g/m3 (our choice). */
const NOTABLE_GM3 = 0.7;
/** So far ahead it is looked: a forecast beyond says little of an hour. */
const AHEAD_MS = 2 * MS_PER_DAY;
const DRIEST_PCT = 0.1;

export type AiringEffect = 'dries' | 'wets' | 'neither';
/** `toPct`: so humid that air is once it is as warm as it is inside, at the most that it dries or wets. */
export type Airing = { effect: AiringEffect; toPct: number };
/** Hours in which letting that air in does the same. */
export type AiringSpan = { from: string; to: string; effect: Exclude<AiringEffect, 'neither'>; toPct: number };

const waterIn = (temperatureC: number, humidityPct: number): number => absoluteHumidityGm3(temperatureC, Math.max(DRIEST_PCT, humidityPct));

const effectOf = (differenceGm3: number): AiringEffect =>
  differenceGm3 <= -NOTABLE_GM3 ? 'dries' : differenceGm3 >= NOTABLE_GM3 ? 'wets' : 'neither';

type Air = Pick<Reading, 'temperatureC' | 'humidityPct'>;
const MOST_PCT = 100;
/** How humid air with so much water is once it is as warm as it is inside. */
const warmedPct = (water: number, inside: Air): number => Math.min(MOST_PCT, humidityPctFrom(inside.temperatureC, water));
/** What letting this air in does to that inside: it is the water in it that counts, for it is warmed or cooled to what is there. */
export function airingNow(inside: Air, outside: Air): Airing {
  const comes = waterIn(outside.temperatureC, outside.humidityPct);
  return { effect: effectOf(comes - waterIn(inside.temperatureC, inside.humidityPct)), toPct: warmedPct(comes, inside) };
}

/**
 * The hours of the next two days in which letting in the air outside dries what is inside, and those in which it wets it.
 * Inside is taken to hold as much water as now.
 *
 * @param outside as foretold, in order; each stands until the next, for three hours at most.
 */
export function airingHours(inside: Air, outside: Log, nowMs: number): AiringSpan[] {
  const log = columnsOf(outside);
  const held = waterIn(inside.temperatureC, inside.humidityPct);
  const spans: { fromMs: number; toMs: number; effect: AiringSpan['effect']; toPct: number }[] = [];
  for (let i = 0; i < log.length; i++) {
    const fromMs = Math.max(nowMs, log.ms[i]!);
    const toMs = Math.min(nowMs + AHEAD_MS, standsUntil(log, i));
    if (toMs <= fromMs) continue;
    const comes = waterIn(log.temperatureC[i]!, log.humidityPct[i]!);
    const effect = effectOf(comes - held);
    if (effect === 'neither') continue;
    const last = spans.at(-1);
    if (last?.effect === effect && last.toMs === fromMs) {
      last.toMs = toMs;
      last.toPct = (effect === 'dries' ? Math.min : Math.max)(last.toPct, warmedPct(comes, inside));
    } else spans.push({ fromMs, toMs, effect, toPct: warmedPct(comes, inside) });
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
