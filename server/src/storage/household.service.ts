import { type air, care, fungus, gear, MS_PER_DAY, schedule, storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { SeriesService } from '../air/index.js';
import type { Db } from '../db/index.js';
import { JournalRepository } from '../journal/index.js';
import { PlaceService, StayRepository } from '../places/index.js';
import { Clock, Memo } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { OutingRepository } from '../trip/index.js';
import { printOf, SURFACE_STATE } from './placeBox.js';

/** A home is chosen by the air of so many days. */
const CLIMATE_DAYS = 90;
const YEAR_DAYS = 365;

/** How damp it is on the whole, and at its dampest but for the odd day, to a per cent; null where too little was measured to say. */
function dampOf({ length, ms, humidityPct }: air.AirLog): Pick<storage.PlaceClimate, 'meanPct' | 'highPct90'> {
  const days = length > 0 ? (ms[length - 1]! - ms[0]!) / MS_PER_DAY : 0;
  if (days < storage.LONG_ENOUGH_DAYS) return { meanPct: null, highPct90: null };
  const sorted = humidityPct.toSorted();
  // Another hour hardly moves them, and moves nothing from one home to another.
  return {
    meanPct: Math.round(sorted.reduce((sum, pct) => sum + pct, 0) / length),
    highPct90: Math.round(sorted[Math.floor(length * 0.9)]!),
  };
}

/** All things and all places, as far as it matters where what lives. */
@Injectable()
export class HouseholdService {
  private readonly memo = new Memo();

  constructor(
    private readonly places: PlaceService,
    private readonly stays: StayRepository,
    private readonly series: SeriesService,
    private readonly outings: OutingRepository,
    private readonly journal: JournalRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  async get(db: Db): Promise<storage.Household & { names: ReadonlyMap<string, string> }> {
    const [{ schools }, housed, daysOut, entries] = await Promise.all([
      this.settings.get(db),
      this.stays.housed(db),
      this.daysOut(db),
      this.journal.forDuties(db),
    ]);
    const journal = new schedule.Journal(entries, 'UTC', this.clock.now().toISOString());
    const places = await this.climates(db, schools.humidity);
    return {
      things: housed.flatMap(({ id, kind, traits, particulars, sick, placeId: lies }) => {
        const away = schedule.awayOf({ id }, { journal }) !== null;
        const placeId = places.some((p) => p.id === lies) ? lies : null;
        if (away && placeId === null) return [];
        // What is away shares its place with nobody, whatever it has.
        const thing = { id, kind, traits: care.withDefaults(kind, traits), count: gear.countOf(particulars), sick: sick && !away, away };
        return [{ ...thing, placeId, daysOutAYear: daysOut.get(id) ?? 0 }];
      }),
      places,
      school: schools.store,
      names: new Map(housed.map((t) => [t.id, t.name])),
    };
  }

  /** The climate of every place over the last weeks. */
  private async climates(db: Db, humiditySchool: fungus.HumiditySchool): Promise<storage.PlaceClimate[]> {
    const toMs = this.clock.now().getTime();
    const house = await this.series.air(db);
    return (await this.places.all(db)).map(({ id, name, kind, volumeL }) => {
      const hourly = house.hourly(id, { fromMs: toMs - CLIMATE_DAYS * MS_PER_DAY, toMs });
      const known = this.memo.get(id, `${humiditySchool}/${printOf(hourly)}`, () => ({
        ...dampOf(hourly),
        level: fungus.assess(hourly, { humiditySchool, surfaceState: SURFACE_STATE }).level,
      }));
      return { id, name, kind, volumeL, ...known, disputed: storage.isDisputed(house.apart(id, toMs)) };
    });
  }

  /** On how many days of the last year each thing was out. */
  private async daysOut(db: Db): Promise<Map<string, number>> {
    const to = this.clock.now().getTime();
    const days = new Map<string, number>();
    for (const outing of await this.outings.all(db)) {
      const from = Math.max(Date.parse(outing.from), to - YEAR_DAYS * MS_PER_DAY);
      const until = Math.min(Date.parse(outing.to) + MS_PER_DAY, to);
      const many = Math.max(0, Math.round((until - from) / MS_PER_DAY));
      for (const id of outing.itemIds) days.set(id, (days.get(id) ?? 0) + many);
    }
    return days;
  }
}
