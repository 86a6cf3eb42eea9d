import type { PlaceExplanation } from '@bright-keeper/contract';
import { air, MS_PER_DAY, storage } from '@bright-keeper/core';
import { history } from '@bright-keeper/devices';
import {
  AppModule,
  DataFolder,
  Disk,
  openInMemory,
  PlaceService,
  SeededIds,
  SetClock,
  WhatIfService,
  type Database,
} from '@bright-keeper/server';
import { NestFactory } from '@nestjs/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sensorOf } from './furnish.js';
import { DEVICES, LOG_DAYS } from './household.js';
import { playDemo } from './play.js';

const LOADED_AT = new Date('2026-11-30T10:00:00Z');
/** What an unchanged place has to come to on days it never saw, % RH. */
const MEDIAN_PCT = 1.5;
const P90_PCT = 4;

let database: Database;
const explained = new Map<string, PlaceExplanation>();
beforeAll(async () => {
  database = await openInMemory();
  await playDemo(database, LOADED_AT);
  const clock = new SetClock(LOADED_AT);
  const context = await NestFactory.createApplicationContext(
    AppModule.with({ database, clock, ids: new SeededIds(clock), disk: new Disk(null), data: new DataFolder(null) }),
    { logger: ['error'] },
  );
  const whatIfs = context.get(WhatIfService);
  for (const { id, name } of await context.get(PlaceService).all(database.db)) explained.set(name, await whatIfs.explanation(id));
});
afterAll(() => database.close());

const fitOf = (name: string) => {
  const { fit } = explained.get(name)!;
  if ('cannot' in fit) throw new Error(`${name} is not explained: ${JSON.stringify(fit)}`);
  return fit;
};

describe('the places of the demo, explained by their past', () => {
  it.each(['Open shelf', 'Oak cupboard', 'Dry cabinet'])('%s: what it says of days it never saw is what was measured', (name) => {
    const { hindcast } = fitOf(name);
    expect(hindcast.medianPct).toBeLessThanOrEqual(MEDIAN_PCT);
    expect(hindcast.p90Pct).toBeLessThanOrEqual(P90_PCT);
    expect(hindcast.days).toBeGreaterThan(100);
  });
  it('tells the cold wall of the cupboard, the heating of the room, the set-point of the cabinet and its power cut', () => {
    expect(fitOf('Oak cupboard').place.warmerC).toBeCloseTo(-1.9, 1);
    expect(fitOf('Open shelf').place.heatedToC).toBeCloseTo(19.6, 0);
    const cabinet = fitOf('Dry cabinet');
    expect(cabinet.place.setPointPct).toBeCloseTo(42, 0);
    const cut = LOADED_AT.getTime() - 150 * MS_PER_DAY;
    expect(cabinet.somethingElse.map(({ from, byPct }) => [Math.round((Date.parse(from) - cut) / MS_PER_DAY), byPct > 10])).toEqual([
      [0, true],
    ]);
  });
  it('says of the others what is missing', () => {
    expect(explained.get('Gasket box')!.fit).toEqual({ cannot: 'inside-not-measured' });
    expect(explained.get('Rice box')!.fit).toMatchObject({ cannot: 'too-seldom' });
    expect(explained.get('Travel bag')).toMatchObject({ fit: { cannot: 'inside-not-measured' }, advice: null });
  });

  // The demo is loaded on any day of the year.
  it.each([1, 3, 5, 7, 9, 10, 11, 12])('holds whenever it is loaded: month %i', (month) => {
    const loadedAt = new Date(Date.UTC(2027, month - 1, 14, 9));
    const logOf = (name: string) => {
      const sensor = {
        ...sensorOf(
          DEVICES.find((d) => d.name === name)!,
          loadedAt,
        ),
        driftPctPerYear: 0,
      };
      return air.columnsOf(history(sensor, loadedAt.getTime() - LOG_DAYS * MS_PER_DAY, loadedAt.getTime(), 3_600_000));
    };
    const [room, weather] = [logOf('Shelf probe'), logOf('Weather on the quay')];
    for (const [inside, outside, options] of [
      [room, weather, { weather: true }],
      [logOf('Cupboard probe'), room, {}],
      [logOf('Logger in the cabinet'), room, { dries: { usualAirChangesPerDay: 2 } }],
    ] as const) {
      const fit = storage.fitPlace(inside, outside, options);
      if ('cannot' in fit) throw new Error(JSON.stringify(fit));
      expect(fit.hindcast.medianPct).toBeLessThanOrEqual(MEDIAN_PCT);
      expect(fit.hindcast.p90Pct).toBeLessThanOrEqual(P90_PCT);
    }
  });
});
