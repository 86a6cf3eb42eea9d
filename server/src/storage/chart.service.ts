import type { Chart, ChartQuery, ClimateEvent } from '@bright-keeper/contract';
import { air, fungus, storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceRepository, type EventRow, SeriesService } from '../air/index.js';
import { Database } from '../db/index.js';
import { Memo } from '../platform/index.js';
import { SURFACE_STATE } from './placeBox.js';
import { PlaceService } from '../places/index.js';
import { printOf } from './placeBox.js';
import { rounded } from './ribbon.js';

/** Up to so long a span is drawn from the single readings of its one hygrometer; longer ones, and those of several, from hours. */
const SINGLE_UP_TO_MS = 4 * 86_400_000;

export const toEvent = ({ id, at, data }: EventRow): ClimateEvent => ({ id, at: at.toISOString(), data });

/** As fine as readings are kept: a longer mean says no more. */
const spread = ({ min, mean, max }: storage.Part['humidityPct']) => ({
  min: rounded(min, 2),
  mean: rounded(mean, 2),
  max: rounded(max, 2),
});

/** The air of a place over time, with where the models stood. */
@Injectable()
export class ChartService {
  private readonly memo = new Memo();

  constructor(
    private readonly database: Database,
    private readonly places: PlaceService,
    private readonly deviceRepository: DeviceRepository,
    private readonly series: SeriesService,
  ) {}

  async chart(id: string, { from, to, points }: ChartQuery): Promise<Chart> {
    const { db } = this.database;
    const [fromMs, toMs] = [Date.parse(from), Date.parse(to)];
    const span = { fromMs, toMs };
    const [house, events] = await Promise.all([
      this.series.air(db),
      this.deviceRepository.eventsOfPlace(db, id, new Date(fromMs)),
      this.places.get(id, db),
    ]);
    const stretches = new storage.Stretches(fromMs, Math.max(toMs, fromMs + 1), points);
    if (toMs - fromMs <= SINGLE_UP_TO_MS && !house.hasSeveral(id, span))
      await this.series.tellSingle(db, id, span, stretches.add.bind(stretches));
    else house.tellHours(id, span, stretches.add.bind(stretches));
    const hourly = house.hourly(id, { fromMs: 0, toMs });
    const { index, dose, daysPast, gaps } = this.memo.get(`models/${id}`, printOf(hourly), () => ({
      index: fungus.mouldAlong(hourly, { sensitivity: fungus.SURFACE_STATES[SURFACE_STATE].sensitivity }),
      ...fungus.warningAlong(hourly),
      gaps: fungus.gapsOf(hourly),
    }));
    return {
      from,
      to,
      points: stretches.all().map(({ at, temperatureC, humidityPct }) => {
        const i = Math.max(0, air.firstFrom(hourly.ms, at + 1) - 1);
        return {
          at: Math.round(at),
          temperatureC: spread(temperatureC),
          humidityPct: spread(humidityPct),
          dewPointC: rounded(air.dewPointC(temperatureC.mean, Math.max(0.1, humidityPct.mean)), 2),
          index: rounded(index[i] ?? 0, 4),
          dose: rounded(dose[i] ?? 0, 4),
          daysPast: rounded(daysPast[i] ?? 0, 2),
        };
      }),
      events: events.map(toEvent).filter((e) => e.at <= to),
      gaps: gaps.filter((g) => g.to >= from && g.from <= to),
    };
  }
}
