import type { NotExplained } from '@bright-keeper/contract';
import { air, type storage, MS_PER_DAY } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { join } from 'node:path';
import { LIMITS } from '../limits.js';
import { WORKERS } from '../paths.js';
import { Clock, EndedApart, Memo, runApart } from '../platform/index.js';
import { PAST_DAYS } from './known.service.js';
import { gelEventsOf, printOf, usualAirChangesOf, type KnownPlace } from './placeBox.js';

export type Fit = storage.PlaceFit | NotExplained;

/** Columns of their own: a part shares those of the whole, and all of them would travel. */
const copied = ({ length, ms, temperatureC, humidityPct }: air.AirLog): air.AirLog => ({
  length,
  ms: ms.slice(),
  temperatureC: temperatureC.slice(),
  humidityPct: humidityPct.slice(),
});

/** Since when nothing was done to the desiccant, and what lies there since then. */
function undisturbed({ events }: KnownPlace): { fromMs: number; desiccant: NonNullable<storage.FitOptions['desiccant']> | null } {
  let fromMs = 0;
  let desiccant: NonNullable<storage.FitOptions['desiccant']> | null = null;
  for (const event of gelEventsOf(events)) {
    if (event.kind === 'indicator') continue;
    fromMs = air.instantMs(event.at);
    if (event.kind === 'gel-set') desiccant = { kind: event.desiccant, massG: event.massG };
    else if (event.kind === 'gel-out') desiccant = null;
  }
  return { fromMs, desiccant };
}

/** What explains the past of a place. Worked out once a day, in a thread of its own: the day that is not over yet says little more. */
@Injectable()
export class FitService {
  private readonly memo = new Memo();

  constructor(private readonly clock: Clock) {}

  /** The fit of a place, or why there is none. */
  fitOf(known: KnownPlace): Promise<Fit> {
    const { place, room, hourly } = known;
    const { fromMs: since, desiccant } = undisturbed(known);
    const toMs = Math.floor(this.clock.now().getTime() / MS_PER_DAY) * MS_PER_DAY;
    const fromMs = Math.max(since, toMs - PAST_DAYS * MS_PER_DAY);
    const inside = air.between(hourly, fromMs, toMs - 1);
    const outside = room.measured ? air.between(room.measured, fromMs, toMs - 1) : air.emptyLog(0);
    const options: storage.FitOptions = {
      volumeL: place.volumeL,
      openingsPerWeek: place.openingsPerWeek,
      desiccant,
      weather: room.climate.source === 'outdoors',
      ...(place.kind === 'dry-cabinet' ? { dries: { usualAirChangesPerDay: usualAirChangesOf(place) } } : {}),
    };
    const key = `${JSON.stringify(options)}/${printOf(inside)}/${printOf(outside)}`;
    return this.memo.get(place.id, key, () => explain({ inside: copied(inside), outside: copied(outside), options }));
  }
}

async function explain(question: { inside: air.AirLog; outside: air.AirLog; options: storage.FitOptions }): Promise<Fit> {
  const { fitMs, memoryMb } = LIMITS.place;
  try {
    return await runApart<Fit>(join(WORKERS, 'place.mjs'), question, { ms: fitMs, memoryMb });
  } catch (error) {
    if (!(error instanceof EndedApart)) throw error;
    return { cannot: 'not-finished' };
  }
}
