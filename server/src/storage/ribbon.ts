import type { RibbonDay } from '@bright-keeper/contract';
import { air, type fungus, schedule, type storage } from '@bright-keeper/core';

/** What is finer than is drawn, or than was read, is only carried about. */
export const rounded = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits;

/**
 * The extremes of each day, and where the early warning stood at its end. A day is one of the household's zone; an hour
 * counts to the day in which it begins.
 *
 * @param hours in order.
 */
export function ribbonOf(
  hours: readonly storage.Part[],
  log: air.AirLog,
  { dose, daysPast }: fungus.WarningColumns,
  timeZone: string,
): RibbonDay[] {
  const days = new Map<string, { sum: number; n: number; min: number; max: number }>();
  let day: schedule.Day = '';
  let end = -Infinity;
  for (const { at, count, humidityPct } of hours) {
    // To ask which day an instant is of costs more than the rest; a day is asked for once.
    if (at >= end) {
      day = schedule.localDay(new Date(at), timeZone);
      end = schedule.startOfDay(schedule.addDays(day, 1), timeZone);
    }
    const d = days.get(day) ?? { sum: 0, n: 0, min: Infinity, max: -Infinity };
    days.set(day, {
      sum: d.sum + humidityPct.mean * count,
      n: d.n + count,
      min: Math.min(d.min, humidityPct.min),
      max: Math.max(d.max, humidityPct.max),
    });
  }
  return [...days.entries()].map(([day, { sum, n, min, max }]) => {
    // A day that has only begun stands where the last whole hour left it.
    const last = air.firstFrom(log.ms, schedule.startOfDay(schedule.addDays(day, 1), timeZone)) - 1;
    return {
      day,
      meanPct: rounded(sum / n, 2),
      minPct: rounded(min, 2),
      maxPct: rounded(max, 2),
      dose: rounded(dose[last] ?? 0, 4),
      daysPast: rounded(daysPast[last] ?? 0, 2),
    };
  });
}
