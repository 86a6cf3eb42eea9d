import { addDays, daysBetween, localDay, type Day } from './day.js';
import type { PlaceClimateFacts } from './facts.js';
import type { Foretold } from './triggers.js';

/** What the air foretells is off by about a fifth of the time that is left (our choice, from gel reckoned against measured air). */
const SPREAD = 0.2;

/** A day so many days ahead, with how far it may be off. */
export function spreadAround(today: Day, days: number): { day: Day; from: Day; to: Day } {
  const ahead = Math.max(0, Math.ceil(days));
  const spread = Math.ceil(ahead * SPREAD);
  return { day: addDays(today, ahead), from: addDays(today, ahead - spread), to: addDays(today, ahead + spread) };
}

/** What the air of a place foretells: growth, gel that is spent, and damp that has come. */
export function foretoldOf(place: PlaceClimateFacts, today: Day, timeZone: string): Foretold[] {
  const { assessment, gel, dampSince } = place;
  const growth = [assessment?.daysToGrowth.byIndex, assessment?.daysToGrowth.byDose].filter((d) => typeof d === 'number');
  const gelDays = gel?.spentOn ? daysBetween(today, localDay(gel.spentOn, timeZone)) : null;
  return [
    ...(growth.length > 0 ? [{ sign: 'early-warning' as const, ...spreadAround(today, Math.min(...growth)) }] : []),
    ...(gelDays === null ? [] : [{ sign: 'gel' as const, ...spreadAround(today, gelDays) }]),
    ...(dampSince ? [{ sign: 'damp' as const, ...spreadAround(today, 0) }] : []),
  ];
}
