import type { ClimateEvent, PlaceEventInput, PlacePage, PlaceSummary, Settings, StorageOverview } from '@bright-keeper/contract';
import { air, fungus, schedule, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceRepository, latestOf } from '../air/index.js';
import { calibrations, climateEvents, devices, deviceStays, readingDays, settings as settingsTable, places } from '../tables/index.js';
import { toldFor } from '../http/index.js';
import { Kept, Database, type Db } from '../db/index.js';
import { Clock, grouped, Ids, Memo, eachInSlices } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { airingOf } from './airing.js';
import { toEvent } from './chart.service.js';
import { FitService } from './fit.service.js';
import { HomesService } from './homes.service.js';
import { KnownService, type House, type Known } from './known.service.js';
import { PlaceService, StayRepository, type Lying } from '../places/index.js';
import { airChangesOf, printOf, readingsSince } from './placeBox.js';
import { ribbonOf } from './ribbon.js';

const RIBBON_DAYS = 90;

const longOwnedIn = (things: readonly (storage.Newcomer & { placeName: string })[]): StorageOverview['longOwned'] =>
  [...grouped(things, (t) => t.placeId)].map(([id, own]) => ({
    place: { id, name: own[0]!.placeName },
    things: own.map(({ id: itemId, addedAt, acquiredOn }) => ({ id: itemId, addedAt, acquiredOn })),
  }));

/** What the air of each place means: ribbons, risk, gel, alerts. */
@Injectable()
export class ClimateService {
  private readonly memo = new Memo();
  private readonly keptFacts = new Kept<schedule.PlaceClimateFacts[]>();

  constructor(
    private readonly database: Database,
    private readonly places: PlaceService,
    private readonly deviceRepository: DeviceRepository,
    private readonly homes: HomesService,
    private readonly stays: StayRepository,
    private readonly settings: SettingsService,
    private readonly known: KnownService,
    private readonly fits: FitService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async overview(): Promise<StorageOverview> {
    const { db } = this.database;
    const [house, lying, newcomers, settings] = await Promise.all([
      this.known.house(db),
      this.stays.lying(db),
      this.stays.newcomers(db),
      this.settings.get(db),
    ]);
    const known = await this.known.all(db, house);
    const nowMs = this.clock.now().getTime();
    const station = house.air.station();
    return {
      places: known.map((k) => this.summary(house, k, lying.get(k.place.id) ?? [], settings)),
      outdoors: station && {
        name: station.row.name,
        latest: latestOf(house.air.latestOf(station.row.id)),
        forecast: house.air.foretold(nowMs),
      },
      ribbonDays: RIBBON_DAYS,
      longOwned: longOwnedIn(storage.longOwned(newcomers, this.clock.now().toISOString())),
    };
  }

  /** What duties are reckoned from: how the air of each place stands, and its gel. Kept until the air moves, for an hour at most. */
  async facts(db: Db = this.database.db): Promise<schedule.PlaceClimateFacts[]> {
    const hour = Math.floor(this.clock.now().getTime() / MS_PER_HOUR);
    const tables = [devices, deviceStays, calibrations, readingDays, climateEvents, places, settingsTable];
    return this.keptFacts.get(this.database.stampFor(db, tables, `${hour}/${this.fits.finished}`), async () => {
      const { schools } = await this.settings.get(db);
      return eachInSlices(await this.known.all(db, await this.known.house(db)), (known) => this.factsOf(known, schools.humidity));
    });
  }

  private factsOf(known: Known, school: fungus.HumiditySchool): schedule.PlaceClimateFacts {
    const { place, events } = known;
    const { whole, print, assessment } = this.known.assessed(known, school);
    const gel = this.known.gelOf(known);
    const lately = readingsSince(whole, this.clock.now().getTime() - RIBBON_DAYS * MS_PER_DAY);
    const driest = known.drier ? readingsSince(known.drier, this.clock.now().getTime() - RIBBON_DAYS * MS_PER_DAY) : lately;
    const limits = this.memo.get(`limits/${place.id}`, `${place.highPct}/${print}/${lately.length}/${printOf(driest)}`, () => ({
      dampSince: storage.passedSince(lately, storage.tooDamp(place.highPct)),
      drySince: storage.passedSince(driest, storage.tooDry),
      dampSpells: storage.dampSpells(whole, place.highPct),
    }));
    const season = this.fits.seasonAtHand(known, whole);
    return {
      id: place.id,
      name: place.name,
      highPct: place.highPct,
      leaves: season && !('cannot' in season) ? season.leaves : null,
      assessment,
      gel,
      apart: known.apart,
      indicatorSince: gel && events.some((e) => e.data.kind === 'indicator') ? gel.since : null,
      ...limits,
    };
  }

  async page(id: string): Promise<PlacePage> {
    const { db } = this.database;
    const place = await this.places.get(id, db);
    const [house, lying, settings] = await Promise.all([this.known.house(db), this.stays.lying(db), this.settings.get(db)]);
    const known = await this.known.one(db, house, place);
    const seal = this.known.sealOf(known);
    const own = lying.get(id) ?? [];
    const summary = this.summary(house, known, own, settings);
    return {
      ...summary,
      items: await this.itemsOf(db, own),
      events: await this.eventsOf(db, known, settings),
      seal,
      airChanges: airChangesOf(place, seal),
      room: known.room.climate,
      drying: this.known.dryingOf(known),
      airing: airingOf(house, known, this.clock.now().getTime()),
    };
  }

  addEvent(id: string, { at: told, ...data }: PlaceEventInput): Promise<PlacePage> {
    const at = toldFor(told, this.clock.now());
    return this.database
      .transaction(async (db) => {
        await this.places.get(id, db);
        await this.deviceRepository.addEvent(db, { id: this.ids.next(), placeId: id, at, data });
      })
      .then(() => this.page(id));
  }

  private summary(house: House, known: Known, lying: readonly Lying[], { schools, timeZone }: Settings): PlaceSummary {
    const { place } = known;
    const nowMs = this.clock.now().getTime();
    const latest = latestOf(known.latest);
    const { whole, print, assessment } = this.known.assessed(known, schools.humidity);
    const span = { fromMs: this.ribbonStart(timeZone), toMs: nowMs };
    const lastMs = known.hourly.ms[known.hourly.length - 1] ?? 0;
    return {
      ...place,
      latest,
      zone: latest && air.zoneOf(latest.humidityPct),
      things: lying.length,
      assessment,
      standing: this.known.standingOf(known, schools.humidity),
      ribbon: this.memo.get(`ribbon/${place.id}`, `${print}/${lastMs}/${latest?.at}/${Math.floor(nowMs / MS_PER_HOUR)}/${timeZone}`, () =>
        ribbonOf(house.air.hours(place.id, span), whole, fungus.warningAlong(whole), timeZone),
      ),
      gel: this.known.gelOf(known),
    };
  }

  /** When the first day of a ribbon begins; today is its last. */
  private ribbonStart(timeZone: string): number {
    const today = schedule.localDay(this.clock.now(), timeZone);
    return schedule.startOfDay(schedule.addDays(today, 1 - RIBBON_DAYS), timeZone);
  }

  private async itemsOf(db: Db, own: readonly Lying[]): Promise<PlacePage['items']> {
    const homes = await this.homes.homes(db);
    return own.map(({ itemId, name, since, sick }) => {
      const home = homes.get(itemId);
      return { itemId, name, since: since.toISOString(), sick, better: home && !home.stays ? home : null };
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
