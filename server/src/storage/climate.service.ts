import type {
  Chart,
  ChartQuery,
  ClimateEvent,
  GelState,
  Place,
  PlaceEventInput,
  PlacePage,
  PlaceSummary,
  RibbonDay,
  StorageOverview,
  WhatIfStart,
} from '@bright-keeper/contract';
import { air, care, fungus, storage, type schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceRepository, type EventRow } from '../air/device.repository.js';
import { latestOf } from '../air/device.service.js';
import { SeriesService } from '../air/series.service.js';
import { Database, type Db } from '../db/database.js';
import { Clock, Ids } from '../platform/clock.js';
import { Memo } from '../platform/memo.js';
import { SettingsService } from '../settings/settings.service.js';
import { AdviceService, setPointOf, SURFACE_STATE, WHAT_IF_DAYS, wholeHours } from './advice.service.js';
import { PlaceService } from './place.service.js';
import { airChangesOf, boxOf, fitSeal, gelEventsOf, printOf, readingsSince, sealIsMeasurable, type KnownPlace } from './placeBox.js';
import { RoomService } from './room.service.js';
import { StayRepository } from './stay.repository.js';

const MS_PER_HOUR = 3_600_000;
const MS_PER_DAY = 24 * MS_PER_HOUR;
const RIBBON_DAYS = 90;
const SEAL_DAYS = 21;
/** Up to so long a span is drawn from single readings, longer ones from hours. */
const SINGLE_UP_TO_MS = 4 * MS_PER_DAY;
/** The last of ascending instants that is not after one, sought from a place on by halving; that place where none is. */
function lastAtOrBefore(msAt: (k: number) => number, count: number, ms: number, from: number): number {
  let [low, high] = [from, count - 1];
  while (low < high) {
    const mid = Math.ceil((low + high) / 2);
    if (msAt(mid) <= ms) low = mid;
    else high = mid - 1;
  }
  return low;
}

const toEvent = ({ id, at, data }: EventRow): ClimateEvent => ({ id, at: at.toISOString(), data });

const ribbonOf = (hours: readonly storage.Part[], warnings: readonly ({ at: string } & fungus.Warning)[], fromMs: number): RibbonDay[] => {
  const warningOn = new Map(warnings.map(({ at, dose, daysPast }) => [at.slice(0, 10), { dose, daysPast }]));
  // A day that has only begun stands where the last whole hour left it.
  let standing: fungus.Warning = { dose: 0, daysPast: 0 };
  const days = new Map<string, { sum: number; n: number; min: number; max: number }>();
  for (const { at, count, humidityPct } of hours) {
    if (at < fromMs) continue;
    const day = new Date(at).toISOString().slice(0, 10);
    const d = days.get(day) ?? { sum: 0, n: 0, min: Infinity, max: -Infinity };
    days.set(day, {
      sum: d.sum + humidityPct.mean * count,
      n: d.n + count,
      min: Math.min(d.min, humidityPct.min),
      max: Math.max(d.max, humidityPct.max),
    });
  }
  return [...days.entries()].map(([day, { sum, n, min, max }]) => ({
    day,
    meanPct: sum / n,
    minPct: min,
    maxPct: max,
    ...(standing = warningOn.get(day) ?? standing),
  }));
};

type Known = KnownPlace & { hours: storage.Part[] };

/** What the air of each place means: ribbons, risk, gel, alerts, charts. */
@Injectable()
export class ClimateService {
  private readonly memo = new Memo();

  constructor(
    private readonly database: Database,
    private readonly places: PlaceService,
    private readonly deviceRepository: DeviceRepository,
    private readonly series: SeriesService,
    private readonly rooms: RoomService,
    private readonly stays: StayRepository,
    private readonly settings: SettingsService,
    private readonly advice: AdviceService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async overview(): Promise<StorageOverview> {
    const { db } = this.database;
    const all = await this.places.all(db);
    const places = await Promise.all(all.map(async (place) => this.summary(db, await this.know(db, place))));
    const station = (await this.deviceRepository.all(db)).find((d) => d.outdoor);
    const outdoors = station && {
      name: station.name,
      latest: latestOf(await this.series.latestOf(db, station.id)),
      forecast: station.forecast,
    };
    return { places, outdoors: outdoors ?? null, ribbonDays: RIBBON_DAYS };
  }

  /** What duties are reckoned from: how the air of each place stands, and its gel. */
  async facts(db: Db = this.database.db): Promise<schedule.PlaceClimateFacts[]> {
    const { schools } = await this.settings.get(db);
    return Promise.all(
      (await this.places.all(db)).map(async (place) => {
        const known = await this.know(db, place);
        const { whole, assessment } = this.assessed(known, schools.humidity);
        const gel = this.gelOf(known);
        const lately = readingsSince(whole, this.clock.now().getTime() - RIBBON_DAYS * MS_PER_DAY);
        return {
          id: place.id,
          name: place.name,
          highPct: place.highPct,
          assessment,
          gel,
          indicatorSince: gel && known.events.some((e) => e.data.kind === 'indicator') ? gel.since : null,
          dampSince: storage.passedSince(lately, storage.tooDamp(place.highPct)),
          drySince: storage.passedSince(lately, storage.tooDry),
        };
      }),
    );
  }

  async page(id: string): Promise<PlacePage> {
    const { db } = this.database;
    const place = await this.places.get(id, db);
    const known = await this.know(db, place);
    const seal = this.sealOf(known);
    const summary = await this.summary(db, known);
    return {
      ...summary,
      items: await this.itemsOf(db, place),
      events: await this.eventsOf(db, known),
      seal,
      airChanges: airChangesOf(place, seal),
      room: known.room.climate,
      advice: await this.advice.of(db, known, boxOf(place, seal, summary.gel)),
    };
  }

  async chart(id: string, { from, to, points }: ChartQuery): Promise<Chart> {
    const { db } = this.database;
    await this.places.get(id, db);
    const [fromMs, toMs] = [Date.parse(from), Date.parse(to)];
    const span = { fromMs, toMs };
    const parts = toMs - fromMs <= SINGLE_UP_TO_MS ? await this.series.single(db, id, span) : await this.series.hours(db, id, span);
    const buckets = storage.downsample(parts, fromMs, Math.max(toMs, fromMs + 1), points);
    const hourly = await this.series.hourly(db, id, { fromMs: 0, toMs });
    const { index, dose, gaps } = this.memo.get(`models/${printOf(hourly)}`, () => ({
      index: fungus.mouldIndex(hourly, { sensitivity: fungus.SURFACE_STATES[SURFACE_STATE].sensitivity }),
      dose: fungus.earlyWarning(hourly),
      gaps: fungus.gapsOf(hourly),
    }));
    const hourMs = (k: number) => Date.parse(hourly[k]!.at);
    let i = 0;
    return {
      from,
      to,
      points: buckets.map((bucket) => {
        i = lastAtOrBefore(hourMs, hourly.length, bucket.at, i);
        const dewPointC = air.dewPointC(bucket.temperatureC.mean, Math.max(0.1, bucket.humidityPct.mean));
        return { ...bucket, dewPointC, index: index[i]?.index ?? 0, dose: dose[i]?.dose ?? 0, daysPast: dose[i]?.daysPast ?? 0 };
      }),
      events: (await this.deviceRepository.eventsOfPlace(db, id, new Date(fromMs))).map(toEvent).filter((e) => e.at <= to),
      gaps: gaps.filter((g) => g.to >= from && g.from <= to),
    };
  }

  /** The box as it is today, and the air it stands in, or that of another place it might stand in. */
  async whatIf(id: string, roomId?: string): Promise<WhatIfStart> {
    const { db } = this.database;
    const place = await this.places.get(id, db);
    const known = await this.know(db, place);
    const toMs = this.clock.now().getTime();
    const span = { fromMs: toMs - WHAT_IF_DAYS * MS_PER_DAY, toMs };
    const room = roomId ? await this.rooms.around(db, { standsInId: roomId }, span) : known.room;
    return {
      ...(await this.advice.course(db, known, span.fromMs)),
      box: boxOf(place, this.sealOf(known), this.gelOf(known)),
      setPointPct: setPointOf(place),
      lowPct: place.lowPct,
      highPct: place.highPct,
      room: readingsSince(room.readings, span.fromMs),
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

  private async know(db: Db, place: Place): Promise<Known> {
    const toMs = this.clock.now().getTime();
    const hours = await this.series.hours(db, place.id, { fromMs: 0, toMs });
    const events = await this.deviceRepository.eventsOfPlace(db, place.id);
    const oldest = Math.min(toMs - WHAT_IF_DAYS * MS_PER_DAY, ...events.map((e) => e.at.getTime()));
    const room = await this.rooms.around(db, place, { fromMs: oldest, toMs });
    const hourly = await this.series.hourly(db, place.id, { fromMs: 0, toMs });
    return { place, hours, hourly, events, room };
  }

  private async summary(db: Db, known: Known): Promise<PlaceSummary> {
    const { place, hours } = known;
    const now = this.clock.now();
    const latest = latestOf(await this.series.latest(db, place.id));
    const { schools } = await this.settings.get(db);
    const { whole, print, assessment } = this.assessed(known, schools.humidity);
    const doses = this.memo.get(`doses/${print}`, () => fungus.earlyWarning(whole));
    const lying = await this.stays.inPlace(db, place.id);
    const gel = this.gelOf(known);
    return {
      ...place,
      latest,
      zone: latest && air.zoneOf(latest.humidityPct),
      things: lying.length,
      assessment,
      ribbon: this.memo.get(`ribbon/${print}/${hours.length}`, () => ribbonOf(hours, doses, now.getTime() - RIBBON_DAYS * MS_PER_DAY)),
      gel,
    };
  }

  /** The risk of a place's log up to its last whole hour: the one that is not over yet still changes. */
  private assessed({ hourly }: Known, school: fungus.HumiditySchool) {
    const lastWhole = new Date(this.clock.now().getTime() - MS_PER_HOUR).toISOString();
    const whole = hourly.filter((r) => r.at <= lastWhole);
    const print = printOf(whole);
    return { whole, print, assessment: whole.length > 0 ? this.assess(whole, school, print) : null };
  }

  /** The risk of a log; the same log is not walked twice. */
  private assess(hourly: readonly air.Reading[], humiditySchool: fungus.HumiditySchool, print: string): fungus.Assessment {
    return this.memo.get(`risk/${humiditySchool}/${print}`, () => fungus.assess(hourly, { humiditySchool, surfaceState: SURFACE_STATE }));
  }

  /** The seal, fitted once an hour at most: a fit searches some hundred simulations. */
  private sealOf(known: KnownPlace): storage.HalfLife | null {
    if (!sealIsMeasurable(known)) return null;
    const { place, hourly, events, room } = known;
    const hour = Math.floor(this.clock.now().getTime() / MS_PER_HOUR);
    const fromMs = hour * MS_PER_HOUR - SEAL_DAYS * MS_PER_DAY;
    const key = `seal/${place.id}/${hour}/${events.length}/${printOf(wholeHours(hourly, hour))}/${printOf(wholeHours(room.readings, hour))}`;
    return this.memo.get(key, () => fitSeal(known, fromMs));
  }

  /** Gel is reckoned once an hour at most: a year ahead is walked each time. No seal is measured while it lies there. */
  private gelOf({ place, hourly, events, room }: KnownPlace): GelState | null {
    const gelEvents = gelEventsOf(events);
    if (gelEvents.length === 0) return null;
    const now = this.clock.now();
    const inside = readingsSince(hourly, now.getTime() - MS_PER_DAY);
    const box = boxOf(place, null, null);
    const hour = Math.floor(now.getTime() / MS_PER_HOUR);
    return this.memo.get(
      `gel/${place.id}/${JSON.stringify(box)}/${gelEvents.length}/${hour}/${printOf(inside)}/${room.readings.length}`,
      () => storage.reckonGel({ events: gelEvents, box, room: room.readings, inside, now: now.toISOString() }),
    );
  }

  private async itemsOf(db: Db, place: Place): Promise<PlacePage['items']> {
    const climates = await this.climates(db);
    const { schools } = await this.settings.get(db);
    const items: PlacePage['items'] = [];
    for (const { itemId, name, since, kind, traits, sick } of await this.stays.inPlace(db, place.id)) {
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
  async climates(db: Db): Promise<storage.PlaceClimate[]> {
    const { schools } = await this.settings.get(db);
    const toMs = this.clock.now().getTime();
    return Promise.all(
      (await this.places.all(db)).map(async ({ id, name, kind, volumeL }) => {
        const lying = await this.stays.inPlace(db, id);
        const hourly = await this.series.hourly(db, id, { fromMs: toMs - RIBBON_DAYS * MS_PER_DAY, toMs });
        const sorted = hourly.map((r) => r.humidityPct).sort((a, b) => a - b);
        const { level } = this.assess(hourly, schools.humidity, printOf(hourly));
        return {
          id,
          name,
          kind,
          meanPct: sorted.length > 0 ? sorted.reduce((s, v) => s + v, 0) / sorted.length : null,
          highPct90: sorted[Math.floor(sorted.length * 0.9)] ?? null,
          level,
          freeL: storage.freeLitres(volumeL, lying),
          lives: lying.map(({ itemId, sick }) => ({ id: itemId, sick })),
        };
      }),
    );
  }

  private async eventsOf(db: Db, { place, events }: Known): Promise<ClimateEvent[]> {
    const ribbonStart = new Date(this.clock.now().getTime() - RIBBON_DAYS * MS_PER_DAY);
    const moves = (await this.stays.ofPlace(db, place.id, ribbonStart)).flatMap(({ itemId, name, since: from, until }): ClimateEvent[] => [
      { id: `${itemId}-in-${from.getTime()}`, at: from.toISOString(), data: { kind: 'item-in', name } },
      ...(until ? [{ id: `${itemId}-out-${until.getTime()}`, at: until.toISOString(), data: { kind: 'item-out' as const, name } }] : []),
    ]);
    const recent = [...events.map(toEvent), ...moves].filter((e) => e.at >= ribbonStart.toISOString());
    return recent.sort((a, b) => b.at.localeCompare(a.at));
  }
}
