import { absoluteHumidityGm3, type AirLog } from '../../air/index.js';
import { MS_PER_HOUR } from '../../units.js';
import type { Drive } from './ownAir.js';

/** Two logs on one clock, hour by hour, over what both cover. */
export type Together = {
  /** The air around, bridged where it was silent for a few hours. */
  drive: Drive;
  /** What was measured inside; NaN in hours in which nothing was. */
  insideC: Float64Array;
  insidePct: Float64Array;
  /** The hours with which the air around was heard again after a long silence. */
  heardAgain: number[];
  /** How many hours were measured inside while the air around was known. */
  measured: number;
};

/** So long a silence of the air around is bridged by a straight line, h. */
const BRIDGED_H = 6;
const DRIEST_PCT = 0.01;

/** The means of each hour of a log; NaN where it has none. */
function hourly({ length, ms, temperatureC, humidityPct }: AirLog, fromHour: number, hours: number) {
  const [sumC, sumPct, count] = [new Float64Array(hours), new Float64Array(hours), new Float64Array(hours)];
  for (let i = 0; i < length; i++) {
    const hour = Math.floor(ms[i]! / MS_PER_HOUR) - fromHour;
    if (hour < 0 || hour >= hours) continue;
    sumC[hour]! += temperatureC[i]!;
    sumPct[hour]! += humidityPct[i]!;
    count[hour]! += 1;
  }
  const mean = (sum: Float64Array) => sum.map((s, hour) => s / count[hour]!);
  return { temperatureC: mean(sumC), humidityPct: mean(sumPct) };
}

/** Straight lines over what is missing in between; says at which hours a long silence ended. */
function bridge(values: Float64Array): number[] {
  const heardAgain: number[] = [];
  let last = -1;
  for (let i = 0; i < values.length; i++) {
    if (Number.isNaN(values[i]!)) continue;
    if (last >= 0 && i - last > BRIDGED_H) heardAgain.push(i);
    for (let j = last + 1; j < i; j++)
      values[j] = last < 0 ? values[i]! : values[last]! + ((j - last) / (i - last)) * (values[i]! - values[last]!);
    last = i;
  }
  if (last >= 0) values.fill(values[last]!, last + 1);
  return heardAgain;
}

const hourOf = (ms: number): number => Math.floor(ms / MS_PER_HOUR);

/** Both logs over the hours that both cover; null where there is no such hour. */
export function together(inside: AirLog, outside: AirLog): Together | null {
  if (inside.length === 0 || outside.length === 0) return null;
  const from = Math.max(hourOf(inside.ms[0]!), hourOf(outside.ms[0]!));
  const to = Math.min(hourOf(inside.ms[inside.length - 1]!), hourOf(outside.ms[outside.length - 1]!));
  const hours = to - from + 1;
  if (hours < 1) return null;
  const within = hourly(inside, from, hours);
  const around = hourly(outside, from, hours);
  const heard = around.temperatureC.map((t) => (Number.isNaN(t) ? 0 : 1));
  const vapourGm3 = around.temperatureC.map((t, i) =>
    Number.isNaN(t) ? NaN : absoluteHumidityGm3(t, Math.max(DRIEST_PCT, around.humidityPct[i]!)),
  );
  const heardAgain = bridge(around.temperatureC);
  bridge(vapourGm3);
  let silentFor = 0;
  let measured = 0;
  for (let i = 0; i < hours; i++) {
    silentFor = heard[i] ? 0 : silentFor + 1;
    // What drove it then is not known: it witnesses nothing.
    if (silentFor > BRIDGED_H) within.temperatureC[i] = within.humidityPct[i] = NaN;
    if (!Number.isNaN(within.humidityPct[i]!)) measured += 1;
  }
  return {
    drive: {
      length: hours,
      turns: [],
      hours: within.temperatureC.map((_, i) => from + i + 0.5),
      temperatureC: around.temperatureC,
      vapourGm3,
    },
    insideC: within.temperatureC,
    insidePct: within.humidityPct,
    heardAgain,
    measured,
  };
}

/** The first so many hours of them, or those from there on. */
export function hoursOf({ drive, insideC, insidePct, heardAgain }: Together, to: number): Together {
  const upTo = (values: Float64Array) => values.subarray(0, to);
  return {
    drive: { length: to, turns: [], hours: upTo(drive.hours), temperatureC: upTo(drive.temperatureC), vapourGm3: upTo(drive.vapourGm3) },
    insideC: upTo(insideC),
    insidePct: upTo(insidePct),
    heardAgain: heardAgain.filter((i) => i < to),
    measured: upTo(insidePct).reduce((sum, pct) => sum + (Number.isNaN(pct) ? 0 : 1), 0),
  };
}
