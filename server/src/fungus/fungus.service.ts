import type { ItemExposure } from '@bright-keeper/contract';
import { air, fungus, storage, HOURS_A_DAY, MS_PER_DAY } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { SeriesService } from '../air/index.js';
import { Database } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { GearService } from '../shelf/index.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { HomesService } from '../storage/index.js';
import { StayRepository } from '../places/index.js';

/** Exposure follows the thing: the air of every place it lay in, one after another. */
@Injectable()
export class FungusService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearService,
    private readonly gearRepository: GearRepository,
    private readonly stays: StayRepository,
    private readonly series: SeriesService,
    private readonly homes: HomesService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  async exposureOf(itemId: string): Promise<ItemExposure> {
    const { db } = this.database;
    const item = await this.gear.get(db, itemId);
    const now = this.clock.now().getTime();
    const { schools } = await this.settings.get(db);
    const states = (await this.gearRepository.statesOf(db, [itemId])).get(itemId) ?? [];
    const surfaceState = fungus.surfaceStateOf(item.kind, states);
    const house = await this.series.air(db);
    const logs: air.AirLog[] = [];
    let disputed = false;
    for (const { placeId, since, until } of await this.stays.ofItem(db, itemId)) {
      const span = { fromMs: Date.parse(since), toMs: until ? Date.parse(until) : now };
      logs.push(house.hourly(placeId, span));
      if (!until) disputed = storage.isDisputed(house.apart(placeId, now));
    }
    const readings = air.joined(logs);
    const sick = item.status === 'quarantined' || states.some((s) => s.verdict === 'isolate');
    const assessment = readings.length > 0 ? fungus.assess(readings, { humiditySchool: schools.humidity, surfaceState }) : null;
    const measuredDays = readings.length / HOURS_A_DAY;
    const keptDays = (now - Date.parse(item.createdAt)) / MS_PER_DAY;
    return {
      surfaceState,
      assessment,
      standing: storage.thingStanding({
        models: assessment,
        school: schools.humidity,
        growth: sick,
        measuredDays,
        keptDays,
        disputed,
        heardMs: readings.ms[readings.length - 1] ?? null,
        nowMs: now,
      }),
      measuredDays,
      keptDays,
      sick,
      home: (await this.homes.homes(db)).get(itemId) ?? null,
    };
  }
}
