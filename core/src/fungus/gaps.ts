import { atOf, between, columnsOf, emptyLog, type AirLog, type Log } from '../air/index.js';
import { MS_PER_DAY, MS_PER_HOUR } from '../units.js';

/** A silence longer than this is a gap: what went on in it is not known. */
export const GAP_H = 6;
/** What a gap is filled with looks so far to either side, days (our choice). */
const LOOK_DAYS = 30;
const FILL_STEP_H = 6;
/** A silent week may have been a little worse, or better, than any that was heard, % RH (our choice). */
const MARGIN_PCT = 3;

export type Gap = { from: string; to: string };

/** Where a log is silent for more than six hours. */
export function gapsOf(readings: Log): Gap[] {
  const log = columnsOf(readings);
  return gapStarts(log).map((i) => ({ from: atOf(readings, i - 1), to: atOf(readings, i) }));
}

/** The places of the first reading after each silence. */
function gapStarts({ length, ms }: AirLog): number[] {
  const starts: number[] = [];
  for (let i = 1; i < length; i++) if (ms[i]! - ms[i - 1]! > GAP_H * MS_PER_HOUR) starts.push(i);
  return starts;
}

type Air = { temperatureC: number; humidityPct: number };

/** The day-long mean of the dampest and the driest day around a silence. */
function extremesNear(log: AirLog, fromMs: number, toMs: number): { damp: Air; dry: Air } {
  const reach = LOOK_DAYS * MS_PER_DAY;
  const near = between(log, fromMs - reach, toMs + reach);
  const means: Air[] = [];
  let [sumT, sumH, n, day] = [0, 0, 0, -1];
  const close = () => {
    if (n > 0) means.push({ temperatureC: sumT / n, humidityPct: sumH / n });
    [sumT, sumH, n] = [0, 0, 0];
  };
  for (let i = 0; i < near.length; i++) {
    const on = Math.floor(near.ms[i]! / MS_PER_DAY);
    if (on !== day) close();
    day = on;
    sumT += near.temperatureC[i]!;
    sumH += near.humidityPct[i]!;
    n += 1;
  }
  close();
  means.sort((a, b) => a.humidityPct - b.humidityPct);
  return { dry: means[0]!, damp: means.at(-1)! };
}

/**
 * The log with its gaps filled: `worst` a little damper than the dampest day within a month of the gap, `best` a little
 * drier than the driest. The truth lies between.
 */
export function filledGaps(readings: Log, how: 'best' | 'worst'): AirLog {
  const log = columnsOf(readings);
  const starts = gapStarts(log);
  if (starts.length === 0) return log;
  const step = FILL_STEP_H * MS_PER_HOUR;
  const missing = (i: number) => Math.ceil((log.ms[i]! - log.ms[i - 1]!) / step) - 1;
  const filled = emptyLog(log.length + starts.reduce((sum, i) => sum + missing(i), 0));
  let [from, at] = [0, 0];
  const copy = (to: number) => {
    for (const column of ['ms', 'temperatureC', 'humidityPct'] as const) filled[column].set(log[column].subarray(from, to), at);
    at += to - from;
    from = to;
  };
  for (const i of starts) {
    copy(i);
    const [fromMs, toMs] = [log.ms[i - 1]!, log.ms[i]!];
    const { damp, dry } = extremesNear(log, fromMs, toMs);
    const { temperatureC } = how === 'worst' ? damp : dry;
    const humidityPct = how === 'worst' ? Math.min(100, damp.humidityPct + MARGIN_PCT) : Math.max(1, dry.humidityPct - MARGIN_PCT);
    for (let ms = fromMs + step; ms < toMs; ms += step) {
      filled.ms[at] = ms;
      filled.temperatureC[at] = temperatureC;
      filled.humidityPct[at] = humidityPct;
      at += 1;
    }
  }
  copy(log.length);
  return filled;
}
