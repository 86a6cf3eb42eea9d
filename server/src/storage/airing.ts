import type { Airing } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import type { House, Known } from './known.service.js';

/** What opening a place does: by the room it stands in, or of what is open to a room, by the weather; null where that is not known. */
export function airingOf({ air: house, names }: House, { place, latest }: Known, nowMs: number): Airing | null {
  if (!latest || !storage.isOfNow(latest.corrected, nowMs)) return null;
  const inside = latest.corrected;
  if (place.standsInId !== null) {
    const room = house.latest(place.standsInId)?.corrected;
    if (!room || !storage.isOfNow(room, nowMs)) return null;
    return { by: 'room', name: names.get(place.standsInId) ?? '', now: storage.airingNow(inside, room), hours: [] };
  }
  const station = house.station();
  if (!station || storage.placeFacts(place.kind).airChangesPerDay !== null) return null;
  const outside = house.latestOf(station.row.id)?.corrected;
  const now = outside && storage.isOfNow(outside, nowMs) ? storage.airingNow(inside, outside) : null;
  const forecast = house.foretold(nowMs);
  const hours = forecast ? storage.airingHours(inside, forecast.readings, nowMs) : [];
  return now === null && hours.length === 0 ? null : { by: 'weather', name: station.row.name, now, hours };
}
