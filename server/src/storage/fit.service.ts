import type { NotExplained } from '@bright-keeper/contract';
import { air, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { join } from 'node:path';
import { LIMITS } from '../limits.js';
import { WORKERS } from '../paths.js';
import { Clock, EndedApart, Memo, runApart } from '../platform/index.js';
import { PAST_DAYS, type Known } from './known.service.js';
import { seasonOf } from './season.js';
import { gelEventsOf, printOf, usualAirChangesOf, type KnownPlace } from './placeBox.js';

export type Fit = storage.PlaceFit | NotExplained;

/** Columns of their own: a part shares those of the whole, and all of them would travel. */
const copied = ({ length, ms, temperatureC, humidityPct }: air.AirLog): air.AirLog => ({
  length,
  ms: ms.slice(),
  temperatureC: temperatureC.slice(),
  humidityPct: humidityPct.slice(),
});

const spanMs = ({ length, ms }: air.AirLog): number => (length === 0 ? 0 : ms[length - 1]! - ms[0]!);

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

/** A fit that is being worked out, what came of it (null until then), and the year ahead by it. */
type Begun = { answer: Promise<Fit>; done: Fit | null; seasons: Memo };

/** What explains the past of a place, and how its year ahead goes by that. Worked out once a day, in a thread of its own: the day that is not over yet says little more. */
@Injectable()
export class FitService {
  private readonly memo = new Memo();
  /** How many fits are done: what was worked out while one was missing is worked out anew. */
  finished = 0;

  constructor(private readonly clock: Clock) {}

  /** The fit of a place, or why there is none. */
  fitOf(known: KnownPlace): Promise<Fit> {
    return this.begun(known).answer;
  }

  /** How its year ahead goes if nothing is done; null where nobody can tell. @param whole its air up to the last whole hour. */
  async seasonOf(known: Known, whole: air.AirLog): Promise<storage.Season | null> {
    const { answer, seasons } = this.begun(known);
    return this.season(known, whole, await answer, seasons);
  }

  /** The same at once, for whoever does not wait; null too where the fit is not done yet: it is begun then. */
  seasonAtHand(known: Known, whole: air.AirLog): storage.Season | null {
    const { done, seasons } = this.begun(known);
    return done && this.season(known, whole, done, seasons);
  }

  private season(known: Known, whole: air.AirLog, fit: Fit, seasons: Memo): storage.Season | null {
    const nowMs = this.clock.now().getTime();
    const { id, highPct } = known.place;
    const disputed = storage.isDisputed(known.apart);
    const key = `${Math.floor(nowMs / MS_PER_HOUR)}/${highPct}/${disputed}/${known.events.length}/${printOf(whole)}`;
    return seasons.get(id, key, () => seasonOf(known, whole, fit, nowMs));
  }

  private begun(known: KnownPlace): Begun {
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
    return this.memo.get(place.id, key, () => this.begin({ inside, outside, options }));
  }

  private begin({ inside, outside, options }: Question): Begun {
    // What is too short says so at once: no thread is begun for it.
    const isShort = Math.min(spanMs(inside), spanMs(outside)) < storage.FEWEST_DAYS * MS_PER_DAY;
    if (isShort) {
      const done = storage.fitPlace(inside, outside, options);
      return { answer: Promise.resolve(done), done, seasons: new Memo() };
    }
    const begun: Begun = {
      answer: explain({ inside: copied(inside), outside: copied(outside), options }),
      done: null,
      seasons: new Memo(),
    };
    begun.answer.then(
      (fit) => {
        begun.done = fit;
        this.finished += 1;
      },
      // Whoever waits for it is told; whoever does not has nothing.
      () => undefined,
    );
    return begun;
  }
}

type Question = { inside: air.AirLog; outside: air.AirLog; options: storage.FitOptions };

async function explain(question: Question): Promise<Fit> {
  const { fitMs, memoryMb } = LIMITS.place;
  try {
    return await runApart<Fit>(join(WORKERS, 'place.mjs'), question, { ms: fitMs, memoryMb });
  } catch (error) {
    if (!(error instanceof EndedApart)) throw error;
    return { cannot: 'not-finished' };
  }
}
