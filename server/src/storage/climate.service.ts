import type {
  ClimateEvent,
  GelState,
  Place,
  PlaceEventInput,
  PlacePage,
  PlaceSummary,
  Settings,
  StorageOverview,
  WhatIfStart,
} from '@bright-keeper/contract';
import { air, care, fungus, schedule, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceRepository, type EventRow, latestOf, type HouseAir, type Latest, SeriesService, startOfDay } from '../air/index.js';
import { calibrations, climateEvents, devices, deviceStays, readingDays, settings as settingsTable, places } from '../tables/index.js';
import { Kept, Database, type Db } from '../db/index.js';
import { Clock, Ids, Memo, eachInSlices } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { AdviceService, setPointOf, SURFACE_STATE, WHAT_IF_DAYS, wholeHours } from './advice.service.js';
import { toEvent } from './chart.service.js';
import { PlaceService, StayRepository, type Lying, type LyingIn } from '../places/index.js';
import { airChangesOf, boxOf, fitSeal, gelEventsOf, printOf, readingsSince, sealIsMeasurable, type KnownPlace } from './placeBox.js';
import { ribbonOf } from './ribbon.js';
import { roomAround } from './room.js';

const RIBBON_DAYS = 90;
const SEAL_DAYS = 21;

type Known = KnownPlace & { latest: Latest | null };
/** What every place is worked out from, asked for once. */
/** How damp it is on the whole, and at its dampest but for the odd day; null where nothing was measured. */
function dampOf({ length, humidityPct }: air.AirLog): Pick<storage.PlaceClimate, 'meanPct' | 'highPct90'> {
  const sorted = humidityPct.toSorted();
  return {
    meanPct: length > 0 ? sorted.reduce((sum, pct) => sum + pct, 0) / length : null,
    highPct90: sorted[Math.floor(length * 0.9)] ?? null,
  };
}

type House = { air: HouseAir; names: ReadonlyMap<string, string> };

/** What the air of each place means: ribbons, risk, gel, alerts. */
@Injectable()
export class ClimateService {
  private readonly memo = new Memo();
  private readonly known = new Kept<schedule.PlaceClimateFacts[]>();

  constructor(
    private readonly database: Database,
    private readonly places: PlaceService,
    private readonly deviceRepository: DeviceRepository,
    private readonly series: SeriesService,
    private readonly stays: StayRepository,
    private readonly settings: SettingsService,
    private readonly advice: AdviceService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async overview(): Promise<StorageOverview> {
    const { db } = this.database;
    const [house, lying, settings] = await Promise.all([this.house(db), this.stays.lying(db), this.settings.get(db)]);
    const known = await this.knowAll(db, house);
    const station = house.air.station();
    return {
      places: known.map((k) => this.summary(house, k, lying.get(k.place.id) ?? [], settings)),
      outdoors: station && { name: station.row.name, latest: latestOf(house.air.latestOf(station.row.id)), forecast: station.row.forecast },
      ribbonDays: RIBBON_DAYS,
    };
  }

  /** What duties are reckoned from: how the air of each place stands, and its gel. Kept until the air moves, for an hour at most. */
  async facts(db: Db = this.database.db): Promise<schedule.PlaceClimateFacts[]> {
    const hour = Math.floor(this.clock.now().getTime() / MS_PER_HOUR);
    const tables = [devices, deviceStays, calibrations, readingDays, climateEvents, places, settingsTable];
    return this.known.get(this.database.stampFor(db, tables, hour), async () => {
      const { schools } = await this.settings.get(db);
      return eachInSlices(await this.knowAll(db, await this.house(db)), (known) => this.factsOf(known, schools.humidity));
    });
  }

  private factsOf(known: Known, school: fungus.HumiditySchool): schedule.PlaceClimateFacts {
    const { place, events } = known;
    const { whole, print, assessment } = this.assessed(known, school);
    const gel = this.gelOf(known);
    const lately = readingsSince(whole, this.clock.now().getTime() - RIBBON_DAYS * MS_PER_DAY);
    const limits = this.memo.get(`limits/${place.id}`, `${place.highPct}/${print}/${lately.length}`, () => ({
      dampSince: storage.passedSince(lately, storage.tooDamp(place.highPct)),
      drySince: storage.passedSince(lately, storage.tooDry),
      dampSpells: storage.dampSpells(whole, place.highPct),
    }));
    return {
      id: place.id,
      name: place.name,
      highPct: place.highPct,
      assessment,
      gel,
      indicatorSince: gel && events.some((e) => e.data.kind === 'indicator') ? gel.since : null,
      ...limits,
    };
  }

  async page(id: string): Promise<PlacePage> {
    const { db } = this.database;
    const place = await this.places.get(id, db);
    const [house, lying, settings] = await Promise.all([this.house(db), this.stays.lying(db), this.settings.get(db)]);
    const known = await this.know(db, house, place);
    const seal = this.sealOf(known);
    const own = lying.get(id) ?? [];
    const summary = this.summary(house, known, own, settings);
    return {
      ...summary,
      items: await this.itemsOf(db, place, own, lying),
      events: await this.eventsOf(db, known, settings),
      seal,
      airChanges: airChangesOf(place, seal),
      room: known.room.climate,
      advice: await this.advice.of(db, known, boxOf(place, seal, summary.gel)),
    };
  }

  /** The box as it is today, and the air it stands in, or that of another place it might stand in. */
  async whatIf(id: string, roomId?: string): Promise<WhatIfStart> {
    const { db } = this.database;
    const place = await this.places.get(id, db);
    const house = await this.house(db);
    const known = await this.know(db, house, place);
    const toMs = this.clock.now().getTime();
    const span = { fromMs: toMs - WHAT_IF_DAYS * MS_PER_DAY, toMs };
    if (roomId) await this.places.get(roomId, db);
    const room = roomId ? roomAround(house.air, house.names, { standsInId: roomId }, span) : known.room;
    return {
      ...(await this.advice.course(db, known, span.fromMs)),
      box: boxOf(place, this.sealOf(known), this.gelOf(known)),
      setPointPct: setPointOf(place),
      lowPct: place.lowPct,
      highPct: place.highPct,
      room: air.readingsOf(readingsSince(room.log, span.fromMs)),
      roomName: room.climate.name,
    };
  }

  addEvent(id: string, { at, ...data }: PlaceEventInput): Promise<PlacePage> {
    return this.database
      .transaction(async (db) => {
        await this.places.get(id, db);
        await this.deviceRepository.addEvent(db, { id: this.ids.next(), placeId: id, at: at ? new Date(at) : this.clock.now(), data });
      })
      .then(() => this.page(id));
  }

  private async house(db: Db): Promise<House> {
    const [air, names] = await Promise.all([this.series.air(db), this.places.names(db)]);
    return { air, names };
  }

  private async know(db: Db, house: House, place: Place): Promise<Known> {
    return this.knownOf(house, place, await this.deviceRepository.eventsOfPlace(db, place.id));
  }

  /** Of every place only what was done with its desiccant is asked for: openings tell of the seal, which a page shows. */
  private async knowAll(db: Db, house: House): Promise<Known[]> {
    const [events, all] = await Promise.all([this.deviceRepository.gelEvents(db), this.places.all(db)]);
    return all.map((place) => this.knownOf(house, place, events.get(place.id) ?? []));
  }

  private knownOf({ air: house, names }: House, place: Place, events: EventRow[]): Known {
    const toMs = this.clock.now().getTime();
    const oldest = Math.min(toMs - WHAT_IF_DAYS * MS_PER_DAY, ...gelEventsOf(events).map((e) => air.instantMs(e.at)));
    return {
      place,
      hourly: house.hourly(place.id, { fromMs: 0, toMs }),
      events,
      room: roomAround(house, names, place, { fromMs: oldest, toMs }),
      latest: house.latest(place.id),
    };
  }

  private summary(house: House, known: Known, lying: readonly Lying[], { schools, timeZone }: Settings): PlaceSummary {
    const { place } = known;
    const nowMs = this.clock.now().getTime();
    const latest = latestOf(known.latest);
    const { whole, print, assessment } = this.assessed(known, schools.humidity);
    const span = { fromMs: this.ribbonStart(timeZone), toMs: nowMs };
    const lastMs = known.hourly.ms[known.hourly.length - 1] ?? 0;
    return {
      ...place,
      latest,
      zone: latest && air.zoneOf(latest.humidityPct),
      things: lying.length,
      assessment,
      ribbon: this.memo.get(`ribbon/${place.id}`, `${print}/${lastMs}/${latest?.at}/${Math.floor(nowMs / MS_PER_HOUR)}/${timeZone}`, () =>
        ribbonOf(house.air.hours(place.id, span), whole, fungus.warningAlong(whole), timeZone),
      ),
      gel: this.gelOf(known),
    };
  }

  /** When the first day of a ribbon begins; today is its last. */
  private ribbonStart(timeZone: string): number {
    const today = schedule.localDay(this.clock.now(), timeZone);
    return startOfDay(schedule.addDays(today, 1 - RIBBON_DAYS), timeZone);
  }

  /** The risk of a place's log up to its last whole hour: the one that is not over yet still changes. */
  private assessed({ place, hourly }: Known, school: fungus.HumiditySchool) {
    const whole = air.between(hourly, -Infinity, this.clock.now().getTime() - MS_PER_HOUR);
    const print = printOf(whole);
    return { whole, print, assessment: whole.length > 0 ? this.assess(`whole/${place.id}`, whole, school, print) : null };
  }

  /** The risk of a log; the same log is not walked twice. */
  private assess(of: string, hourly: air.AirLog, humiditySchool: fungus.HumiditySchool, print: string): fungus.Assessment {
    return this.memo.get(of, `${humiditySchool}/${print}`, () => fungus.assess(hourly, { humiditySchool, surfaceState: SURFACE_STATE }));
  }

  /** The seal, fitted once an hour at most: a fit searches some hundred simulations. */
  private sealOf(known: KnownPlace): storage.HalfLife | null {
    if (!sealIsMeasurable(known)) return null;
    const { place, hourly, events, room } = known;
    const hour = Math.floor(this.clock.now().getTime() / MS_PER_HOUR);
    const fromMs = hour * MS_PER_HOUR - SEAL_DAYS * MS_PER_DAY;
    const key = `${hour}/${events.length}/${printOf(wholeHours(hourly, hour))}/${printOf(wholeHours(room.log, hour))}`;
    return this.memo.get(`seal/${place.id}`, key, () => fitSeal(known, fromMs));
  }

  /** Gel is reckoned once an hour at most: a year ahead is walked each time. No seal is measured while it lies there. */
  private gelOf({ place, hourly, events, room }: KnownPlace): GelState | null {
    const gelEvents = gelEventsOf(events);
    if (gelEvents.length === 0) return null;
    const now = this.clock.now();
    const inside = readingsSince(hourly, now.getTime() - MS_PER_DAY);
    const box = boxOf(place, null, null);
    const hour = Math.floor(now.getTime() / MS_PER_HOUR);
    const key = `${JSON.stringify(box)}/${gelEvents.length}/${hour}/${printOf(inside)}/${room.log.length}`;
    return this.memo.get(`gel/${place.id}`, key, () =>
      storage.reckonGel({
        events: gelEvents,
        box,
        room: room.log,
        inside,
        now: now.toISOString(),
      }),
    );
  }

  private async itemsOf(db: Db, place: Place, own: readonly Lying[], lying: LyingIn): Promise<PlacePage['items']> {
    const climates = await this.climates(db, lying);
    const { schools } = await this.settings.get(db);
    const items: PlacePage['items'] = [];
    for (const { itemId, name, since, kind, traits, sick } of own) {
      const thing = { id: itemId, kind, traits: care.withDefaults(kind, traits), sick };
      const home = storage.betterHome(thing, place.id, climates, schools.store);
      const there = climates.find((c) => c.id === home?.placeId);
      // What was sent there takes its room before the next one is.
      if (there) there.freeL = (there.freeL ?? 0) - care.kindFacts(kind).litres;
      items.push({ itemId, name, since: since.toISOString(), sick, better: home && there ? { ...home, name: there.name } : null });
    }
    return items;
  }

  /** The climate of every place over its last ribbon, for choosing a home. */
  async climates(db: Db, lyingIn: LyingIn): Promise<storage.PlaceClimate[]> {
    const { schools } = await this.settings.get(db);
    const toMs = this.clock.now().getTime();
    const house = await this.series.air(db);
    return (await this.places.all(db)).map(({ id, name, kind, volumeL }) => {
      const lying = lyingIn.get(id) ?? [];
      const hourly = house.hourly(id, { fromMs: toMs - RIBBON_DAYS * MS_PER_DAY, toMs });
      const print = printOf(hourly);
      const { level } = this.assess(`ribbon-risk/${id}`, hourly, schools.humidity, print);
      return {
        id,
        name,
        kind,
        ...this.memo.get(`damp/${id}`, print, () => dampOf(hourly)),
        level,
        freeL: storage.freeLitres(volumeL, lying),
        lives: lying.map(({ itemId, sick }) => ({ id: itemId, sick })),
      };
    });
  }

  private async eventsOf(db: Db, { place, events }: Known, { timeZone }: Settings): Promise<ClimateEvent[]> {
    const ribbonStart = new Date(this.ribbonStart(timeZone));
    const moves = (await this.stays.ofPlace(db, place.id, ribbonStart)).flatMap(({ itemId, name, since: from, until }): ClimateEvent[] => [
      { id: `${itemId}-in-${from.getTime()}`, at: from.toISOString(), data: { kind: 'item-in', name } },
      ...(until ? [{ id: `${itemId}-out-${until.getTime()}`, at: until.toISOString(), data: { kind: 'item-out' as const, name } }] : []),
    ]);
    const recent = [...events.map(toEvent), ...moves].filter((e) => e.at >= ribbonStart.toISOString());
    return recent.sort((a, b) => b.at.localeCompare(a.at));
  }
}
