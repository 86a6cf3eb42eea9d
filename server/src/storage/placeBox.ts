import type { Place, PlacePage } from '@bright-keeper/contract';
import { air, type fungus, storage, MS_PER_HOUR } from '@bright-keeper/core';
import type { EventRow } from '../air/index.js';
import type { Room } from './room.js';

/** What is known of a place: the air in it hour by hour, what was done with it (newest first), and the room around it. */
export type KnownPlace = { place: Place; hourly: air.AirLog; events: EventRow[]; room: Room };

/** What lies in a place is taken as soiled unless a thing's own page knows better. */
export const SURFACE_STATE: fungus.SurfaceState = 'soiled-glass';

/** A cabinet is taken to be set to the middle of its band until its log tells; nothing else has a set-point. */
export const setPointOf = ({ kind, lowPct, highPct }: Place): number | null => (kind === 'dry-cabinet' ? (lowPct + highPct) / 2 : null);

/** Air changes of the open room, which has no seal: its air is changed many times a day. */
const OPEN_ROOM_PER_DAY = 100;

/** The readings from an instant on. */
export const readingsSince = (log: air.AirLog, fromMs: number): air.AirLog => air.between(log, fromMs, Infinity);

/** The hours that were over when this one began. */
export const wholeHours = (log: air.AirLog, hour: number): air.AirLog => air.between(log, -Infinity, hour * MS_PER_HOUR - 1);

/** Tells one log from another without holding it: how long, how far, and the sum of what it says. */
export function printOf({ length, ms, temperatureC, humidityPct }: air.AirLog): string {
  let sum = 0;
  for (let i = 0; i < length; i++) sum += humidityPct[i]! + temperatureC[i]!;
  return `${length}/${ms[length - 1] ?? ''}/${sum.toFixed(3)}`;
}

/** Does the air in it follow the room by itself? A cabinet that dries does not, and tells nothing of its seal. */
const isPassive = ({ kind }: Place): boolean => storage.placeFacts(kind).airChangesPerDay !== null && kind !== 'dry-cabinet';

/** May its seal be measured? Only against a measured room, and not while desiccant lies in it: gel would hide it. */
export function sealIsMeasurable({ place, events, room }: KnownPlace): boolean {
  const gel = events.find((e) => e.data.kind === 'gel-set' || e.data.kind === 'gel-out');
  return isPassive(place) && room.climate.source === 'place' && gel?.data.kind !== 'gel-set';
}

/** The seal by the log from an instant on; null where nothing was read inside. */
export function fitSeal({ hourly, events, room }: KnownPlace, fromMs: number): storage.HalfLife | null {
  const inside = readingsSince(hourly, fromMs);
  if (inside.length === 0) return null;
  const openings = events.filter((e) => e.data.kind === 'opened').map((e) => e.at.toISOString());
  const around = air.readingsOf(readingsSince(room.log, fromMs));
  return storage.fitMoistureHalfLife(air.readingsOf(inside), around, openings.length > 0 ? { openings } : {});
}

/** As the keeper said, else as measured, else as is usual for its kind. */
export function airChangesOf(place: Place, seal: storage.HalfLife | null): PlacePage['airChanges'] {
  if (place.airChangesPerDay !== null) return { perDay: place.airChangesPerDay, from: 'said' };
  if (seal?.determined) return { perDay: seal.airChangesPerDay, from: 'measured' };
  return { perDay: storage.placeFacts(place.kind).airChangesPerDay, from: 'usual' };
}

/** What is usual for its kind, or what the keeper said of it. */
export const usualAirChangesOf = (place: Place): number => airChangesOf(place, null).perDay ?? OPEN_ROOM_PER_DAY;

/** The place as a box, with the desiccant that lies in it. */
export function boxOf(place: Place, seal: storage.HalfLife | null, gel: storage.GelReckoning | null): storage.Box {
  const { volumeL, openingsPerWeek, lining, highPct } = place;
  return {
    volumeL,
    airChangesPerDay: airChangesOf(place, seal).perDay ?? OPEN_ROOM_PER_DAY,
    openingsPerWeek,
    bufferGPerPct: storage.LININGS[lining].bufferGPerPctL * volumeL,
    targetPct: highPct,
    ...(gel ? { desiccant: { kind: gel.kind, massG: gel.massG, loadingGPerG: gel.loadingGPerG } } : {}),
  };
}

/** What was done with its desiccant, oldest first. */
export const gelEventsOf = (events: readonly EventRow[]): storage.GelEvent[] =>
  [...events].reverse().flatMap(({ at, data }): storage.GelEvent[] => {
    if (data.kind === 'gel-set' || data.kind === 'gel-dried' || data.kind === 'gel-out' || data.kind === 'indicator')
      return [{ at: at.toISOString(), ...data }];
    return [];
  });
