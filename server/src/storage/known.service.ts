import type { GelState, Place } from '@bright-keeper/contract';
import { air, fungus, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceRepository, type EventRow, type HouseAir, type Latest, SeriesService } from '../air/index.js';
import type { Db } from '../db/index.js';
import { Clock, Memo } from '../platform/index.js';
import { PlaceService } from '../places/index.js';
import {
  boxOf,
  fitSeal,
  gelEventsOf,
  printOf,
  readingsSince,
  sealIsMeasurable,
  SURFACE_STATE,
  wholeHours,
  type KnownPlace,
} from './placeBox.js';
import { roomAround } from './room.js';

/** A place is explained by so much of its past: what was fitted in one half of the year says little of the other. */
export const PAST_DAYS = 730;
const SEAL_DAYS = 21;

export type Known = KnownPlace & {
  latest: Latest | null;
  /** Two hygrometers in it that disagree, and the log by the drier of them, which counts against dryness. */
  apart: storage.Disagreement | null;
  drier: air.AirLog | null;
};
/** What every place is worked out from, asked for once. */
export type House = { air: HouseAir; names: ReadonlyMap<string, string> };

/** What is known of each place: its air, what was done in it, the room around it, its seal and its gel. */
@Injectable()
export class KnownService {
  private readonly memo = new Memo();

  constructor(
    private readonly places: PlaceService,
    private readonly deviceRepository: DeviceRepository,
    private readonly series: SeriesService,
    private readonly clock: Clock,
  ) {}

  async house(db: Db): Promise<House> {
    const [air, names] = await Promise.all([this.series.air(db), this.places.names(db)]);
    return { air, names };
  }

  /** @throws ProblemError where there is no such place. */
  place(db: Db, id: string): Promise<Place> {
    return this.places.get(id, db);
  }

  async one(db: Db, house: House, place: Place): Promise<Known> {
    return this.knownOf(house, place, await this.deviceRepository.eventsOfPlace(db, place.id));
  }

  /** Of every place only what was done with its desiccant is asked for: openings tell of the seal, which a page shows. */
  async all(db: Db, house: House): Promise<Known[]> {
    const [events, all] = await Promise.all([this.deviceRepository.gelEvents(db), this.places.all(db)]);
    return all.map((place) => this.knownOf(house, place, events.get(place.id) ?? []));
  }

  private knownOf({ air: house, names }: House, place: Place, events: EventRow[]): Known {
    const toMs = this.clock.now().getTime();
    const oldest = Math.min(toMs - PAST_DAYS * MS_PER_DAY, ...gelEventsOf(events).map((e) => air.instantMs(e.at)));
    const apart = house.apart(place.id, toMs);
    return {
      place,
      apart,
      drier: apart && house.hourly(place.id, { fromMs: 0, toMs }, 'drier'),
      hourly: house.hourly(place.id, { fromMs: 0, toMs }),
      events,
      room: roomAround(house, names, place, { fromMs: oldest, toMs }),
      latest: house.latest(place.id),
    };
  }

  /** A place's log up to its last whole hour. */
  wholeOf({ hourly }: Pick<KnownPlace, 'hourly'>): air.AirLog {
    return air.between(hourly, -Infinity, this.clock.now().getTime() - MS_PER_HOUR);
  }

  /** The risk of a place's log up to its last whole hour: the one that is not over yet still changes. The same log is not walked twice. */
  assessed({ place, hourly }: Known, humiditySchool: fungus.HumiditySchool) {
    const whole = this.wholeOf({ hourly });
    const print = printOf(whole);
    const assess = () => fungus.assess(whole, { humiditySchool, surfaceState: SURFACE_STATE });
    const assessment = whole.length > 0 ? this.memo.get(`risk/${place.id}`, `${humiditySchool}/${print}`, assess) : null;
    return { whole, print, assessment };
  }

  /** The one answer to how a place stands, for every page. */
  standingOf(known: Known, school: fungus.HumiditySchool): storage.Standing {
    const { whole, assessment } = this.assessed(known, school);
    const nowMs = this.clock.now().getTime();
    return storage.placeStanding({
      log: whole,
      ...known.place,
      models: assessment,
      school,
      nowMs,
      drier: known.drier,
      disputed: storage.isDisputed(known.apart),
      heard: known.latest !== null,
    });
  }

  /** The seal, fitted once an hour at most: a fit searches some hundred simulations. */
  sealOf(known: KnownPlace): storage.HalfLife | null {
    if (!sealIsMeasurable(known)) return null;
    const { place, hourly, events, room } = known;
    const hour = Math.floor(this.clock.now().getTime() / MS_PER_HOUR);
    const fromMs = hour * MS_PER_HOUR - SEAL_DAYS * MS_PER_DAY;
    const key = `${hour}/${events.length}/${printOf(wholeHours(hourly, hour))}/${printOf(wholeHours(room.log, hour))}`;
    return this.memo.get(`seal/${place.id}`, key, () => fitSeal(known, fromMs));
  }

  /** When its desiccant goes into the oven next: a year is walked a dozen times, so only a page asks for it. */
  dryingOf(known: KnownPlace): storage.Drying | null {
    const gel = this.gelOf(known);
    if (!gel) return null;
    const { place, room } = known;
    const now = this.clock.now();
    const box = boxOf(place, null, null);
    const key = `${JSON.stringify(box)}/${gel.massG}/${gel.kind}/${gel.spentOn}/${room.log.length}`;
    return this.memo.get(`drying/${place.id}`, key, () => storage.dryingOf({ box, room: room.log, now: now.toISOString() }, gel));
  }

  /** Gel is reckoned once an hour at most: a year ahead is walked each time. No seal is measured while it lies there. */
  gelOf({ place, hourly, events, room }: KnownPlace): GelState | null {
    const gelEvents = gelEventsOf(events);
    if (gelEvents.length === 0) return null;
    const now = this.clock.now();
    const inside = readingsSince(hourly, now.getTime() - MS_PER_DAY);
    const box = boxOf(place, null, null);
    const hour = Math.floor(now.getTime() / MS_PER_HOUR);
    const key = `${JSON.stringify(box)}/${gelEvents.length}/${hour}/${printOf(inside)}/${room.log.length}`;
    return this.memo.get(`gel/${place.id}`, key, () =>
      storage.reckonGel({ events: gelEvents, box, room: room.log, inside, now: now.toISOString() }),
    );
  }
}
