import type { AdvisedChange, Place, PlaceAdvice, WhatIfStart } from '@bright-keeper/contract';
import { air, fungus, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { SeriesService } from '../air/index.js';
import type { Db } from '../db/index.js';
import { Clock, Memo } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { PlaceService } from '../places/index.js';
import { printOf, readingsSince, type KnownPlace } from './placeBox.js';

/** What-if and advice look at the same weeks, so that they say the same. */
export const WHAT_IF_DAYS = 120;
/** What lies in a place is taken as soiled unless a thing's own page knows better. */
export const SURFACE_STATE: fungus.SurfaceState = 'soiled-glass';

/** The hours that were over when this one began. */
export const wholeHours = (log: air.AirLog, hour: number): air.AirLog => air.between(log, -Infinity, hour * MS_PER_HOUR - 1);

/** A cabinet is taken to be set to the middle of its band; nothing else has a set-point. */
export const setPointOf = ({ kind, lowPct, highPct }: Place): number | null => (kind === 'dry-cabinet' ? (lowPct + highPct) / 2 : null);

const NO_EXPOSURE: fungus.Exposure = { index: 0, dose: 0, daysPast: 0 };
/** So many hours have to be measured before a place speaks for itself. */
const FEWEST_HOURS = 24;

/** More rooms than this are not walked through for one piece of advice. */
const MOST_OTHER_ROOMS = 4;

const toAdvised = ({ change: { id, amount, placeName }, result }: storage.TriedChange): AdvisedChange => ({
  id,
  amount,
  placeName,
  above: result.above,
  level: result.level,
});

/** What would help a place, and the course of air that is reckoned from. */
@Injectable()
export class AdviceService {
  private readonly memo = new Memo();

  constructor(
    private readonly places: PlaceService,
    private readonly series: SeriesService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  /** Where the models stood when the last weeks began, and the place as it was measured over them. */
  async course(db: Db, { place, hourly }: KnownPlace, fromMs: number): Promise<Pick<WhatIfStart, 'exposure' | 'measured'>> {
    const { schools } = await this.settings.get(db);
    const options = { humiditySchool: schools.humidity, surfaceState: SURFACE_STATE };
    const whole = wholeHours(hourly, Math.floor(this.clock.now().getTime() / MS_PER_HOUR));
    const readings = readingsSince(whole, fromMs);
    const before = whole.length - readings.length;
    // The first reading of the window ends the last interval before it.
    const exposure = before > 0 ? fungus.assess(air.part(whole, 0, Math.min(whole.length, before + 1)), options).now : NO_EXPOSURE;
    if (readings.length < FEWEST_HOURS) return { exposure, measured: null };
    // What the place's own page says of its log is what stands here too.
    const { level, now } = fungus.assess(whole, options);
    const figures = storage.figuresOf(readings, place, { ...options, start: exposure });
    return { exposure, measured: { ...figures, level, end: now, readings: air.readingsOf(readings) } };
  }

  /** What would help a place most, reckoned once an hour at most over the same weeks as the what-if. */
  async of(db: Db, known: KnownPlace, box: storage.Box): Promise<PlaceAdvice | null> {
    const { place, room } = known;
    // What is made for the road is emptied, not improved.
    if (room.climate.source === 'assumed' || storage.placeFacts(place.kind).forTravel) return null;
    const { schools } = await this.settings.get(db);
    const nowMs = this.clock.now().getTime();
    const fromMs = nowMs - WHAT_IF_DAYS * MS_PER_DAY;
    const { exposure, measured } = await this.course(db, known, fromMs);
    const recent = readingsSince(room.log, fromMs);
    const others = await this.otherRooms(db, place, fromMs);
    const options = { humiditySchool: schools.humidity, surfaceState: SURFACE_STATE, start: exposure };
    const scenario = { box, setPointPct: setPointOf(place) };
    const hour = Math.floor(nowMs / MS_PER_HOUR);
    const key = `${hour}/${schools.humidity}/${JSON.stringify(scenario)}/${printOf(wholeHours(recent, hour))}/${others.map((o) => o.name).join()}`;
    return this.memo.get(place.id, key, () => {
      const now = measured ?? storage.tryScenario(scenario, recent, place, options);
      const advice = storage.adviseChange(now, scenario, recent, place, options, others);
      switch (advice.verdict) {
        case 'nothing-needed':
          return advice;
        case 'helps':
          return { verdict: advice.verdict, changes: advice.changes.map(toAdvised) };
        case 'nothing-helps':
          return { verdict: advice.verdict, nearest: advice.nearest && toAdvised(advice.nearest) };
        default:
          return advice satisfies never;
      }
    });
  }

  /** Open places other than the one it stands in, with their air over the same weeks. */
  private async otherRooms(db: Db, place: Place, fromMs: number): Promise<storage.OtherRoom[]> {
    const open = (await this.places.all(db)).filter(
      (p) => storage.placeFacts(p.kind).airChangesPerDay === null && p.id !== place.id && p.id !== place.standsInId,
    );
    const house = await this.series.air(db);
    const span = { fromMs, toMs: this.clock.now().getTime() };
    const rooms = open.slice(0, MOST_OTHER_ROOMS).map(({ id, name }) => ({ name, readings: house.hourly(id, span) }));
    return rooms.filter((r) => r.readings.length >= FEWEST_HOURS);
  }
}
