import { air, storage, MS_PER_DAY } from '@bright-keeper/core';
import type { NotExplained } from '@bright-keeper/contract';
import type { Known } from './known.service.js';
import { gelEventsOf, readingsSince } from './placeBox.js';

/** A spell of damp or dry air that lasts is looked for so far back. */
const LATELY_DAYS = 90;
/** What was not heard for longer says nothing of where it stands now. */
const UNHEARD_DAYS = 2;

/** Desiccant lies in it: how long that lasts is told of the gel, and not twice. */
const holdsDesiccant = (known: Known): boolean => {
  const last = gelEventsOf(known.events).findLast((e) => e.kind === 'gel-set' || e.kind === 'gel-out');
  return last?.kind === 'gel-set';
};

/** How the year ahead goes in a place if nothing is done; null where its past does not tell, or where it stands now is not known. */
export function seasonOf(known: Known, whole: air.AirLog, fit: storage.PlaceFit | NotExplained, nowMs: number): storage.Season | null {
  if ('cannot' in fit || holdsDesiccant(known) || storage.isDisputed(known.apart) || !known.room.measured) return null;
  if (air.between(whole, nowMs - UNHEARD_DAYS * MS_PER_DAY, nowMs).length === 0) return null;
  return storage.seasonAhead({
    place: fit.place,
    offPct: fit.hindcast.p90Pct,
    around: known.room.measured,
    measured: readingsSince(whole, nowMs - LATELY_DAYS * MS_PER_DAY),
    highPct: known.place.highPct,
    nowMs,
  });
}
