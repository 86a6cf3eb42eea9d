import type { Outing } from '@bright-keeper/contract';
import { type schedule, trip } from '@bright-keeper/core';
import { inWords } from '@bright-keeper/words';
import { daysOf, outingAt } from './outingView';

export const TRAVEL_WORDS: Record<trip.Travel, string> = {
  'own-way': 'By car, train or on foot',
  flight: 'By air',
  post: 'Sent ahead by post',
};

/** Limits one may set: the least and most of each slider, its step, and its unit. At its most there is none. */
export const LIMITS = {
  massG: { label: 'Weight at most', min: 0, max: 1500, step: 25, unit: 'g' },
  volumeL: { label: 'Room at most', min: 0, max: 4, step: 0.1, unit: 'L' },
  price: { label: 'To be bought for at most', min: 0, max: 250, step: 5, unit: '€' },
} as const;
export type LimitId = keyof typeof LIMITS;
export const LIMIT_IDS = Object.keys(LIMITS) as LimitId[];

/** @param kit the one that goes along, by its name. */
export type KitView = trip.OutingToCome & { limits: trip.KitLimits; kit: string | null };

const known = <T extends string>(all: readonly T[], asked: string | null): T[] =>
  all.filter((one) => (asked ?? '').split(',').includes(one));

/** How one takes pictures, from the outings that are over; null where none of them was counted. */
export function habitsUntil(outings: readonly Outing[], today: schedule.Day): trip.Habits | null {
  const over = outings.filter((outing) => outingAt(outing, today) === 'over').map((outing) => ({ ...outing, days: daysOf(outing) }));
  const habits = trip.habitsOf(over);
  return habits.framesADay === null && habits.changesADay === null ? null : habits;
}

/** "about 210 frames and 4.1 lens changes a day". */
export const habitWords = ({ framesADay, changesADay }: trip.Habits): string =>
  inWords([
    ...(framesADay === null ? [] : [`${Math.round(framesADay)} frames`]),
    ...(changesADay === null ? [] : [`${changesADay.toFixed(1)} lens changes`]),
  ]);

/** What the address says of the outing; what it says wrongly is left out. */
export function kitViewFrom(params: URLSearchParams): KitView {
  const grounds = known(trip.GROUND_IDS, params.get('ground'));
  const days = Math.round(Number(params.get('days') ?? 1));
  const limits: trip.KitLimits = {};
  for (const id of LIMIT_IDS) {
    const asked = params.get(id);
    const value = Number(asked);
    if (asked !== null && value >= LIMITS[id].min && value < LIMITS[id].max) limits[id] = value;
  }
  return {
    grounds: grounds.length > 0 ? grounds : ['town'],
    days: days >= 1 ? Math.min(days, trip.MOST_DAYS) : 1,
    weather: known(trip.WEATHERS, params.get('weather')),
    travel: known(trip.TRAVELS, params.get('travel'))[0] ?? 'own-way',
    limits,
    kit: params.get('kit'),
  };
}

/** A list in the address with one more, or without it; null where none is left. */
export function toggledIn(list: readonly string[], one: string): string | null {
  const next = list.includes(one) ? list.filter((x) => x !== one) : [...list, one];
  return next.length > 0 ? next.join(',') : null;
}

/** "about 12 min", "about 3 h": so much of light lost or of work at home. */
export function timeWords(minutes: number): string {
  if (minutes < 1) return 'under a minute';
  if (minutes < 90) return `about ${Math.round(minutes)} min`;
  const hours = minutes / 60;
  return `about ${hours < 10 ? hours.toFixed(1) : Math.round(hours)} h`;
}

/** What is remembered of a list of ids: those that are still known. */
export function recalled(text: string | null): trip.CarriedId[] {
  try {
    const ids: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(ids) ? trip.CARRIED_IDS.filter((id) => ids.includes(id)) : [];
  } catch {
    return [];
  }
}
