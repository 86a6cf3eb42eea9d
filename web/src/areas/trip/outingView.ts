import type { Outing } from '@bright-keeper/contract';
import { schedule, trip } from '@bright-keeper/core';

/** Whether an outing lies ahead, is under way, or is over. */
export type OutingStands = 'ahead' | 'under-way' | 'over';
export const outingAt = ({ from, to }: Pick<Outing, 'from' | 'to'>, today: schedule.Day): OutingStands =>
  from > today ? 'ahead' : to >= today ? 'under-way' : 'over';

/** What is to be done about it now. */
export const phaseOf = (outing: Pick<Outing, 'from' | 'to'>, today: schedule.Day): trip.Phase =>
  (({ ahead: 'before', 'under-way': 'there', over: 'back' }) as const)[outingAt(outing, today)];

export const goingOf = ({ place, also, weather }: Pick<Outing, 'place' | 'also' | 'weather'>): trip.Going => ({
  grounds: [place, ...also],
  weather,
});
export const daysOf = ({ from, to }: Pick<Outing, 'from' | 'to'>): number => schedule.daysBetween(from, to) + 1;

/** The page that packs for an outing, for all it says of ground, days, weather and way. */
export function packFor(outing: Outing): string {
  const { grounds, weather } = goingOf(outing);
  const asked = new URLSearchParams({ ground: grounds.join(','), days: String(daysOf(outing)) });
  if (weather.length > 0) asked.set('weather', weather.join(','));
  if (outing.travel !== 'own-way') asked.set('travel', outing.travel);
  if (outing.kit !== null) asked.set('kit', outing.kit);
  return `/outings/pack?${asked.toString()}`;
}

/** What this browser remembers as done of an outing: what is still asked for by some ground. */
export function rememberedAsks(text: string | null): trip.AskId[] {
  try {
    const ids: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(ids) ? trip.ASK_IDS.filter((id) => ids.includes(id)) : [];
  } catch {
    return [];
  }
}
export const rememberAsks = (done: readonly trip.AskId[]): string | null => (done.length > 0 ? JSON.stringify(done) : null);
