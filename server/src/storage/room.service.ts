import type { Place, RoomClimate } from '@bright-keeper/contract';
import { storage, type air } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceRepository } from '../air/device.repository.js';
import type { Span } from '../air/reading.repository.js';
import { SeriesService } from '../air/series.service.js';
import type { Db } from '../db/database.js';
import { PlaceService } from './place.service.js';

const MS_PER_HOUR = 3_600_000;
const ASSUMED = { temperatureC: 20, humidityPct: 55 };
const FEWEST_READINGS = 24;

export type Room = { climate: RoomClimate; readings: air.Reading[] };

/** The air a place stands in: measured in the room around it, else made of the air outdoors, else assumed. */
@Injectable()
export class RoomService {
  constructor(
    private readonly places: PlaceService,
    private readonly devices: DeviceRepository,
    private readonly series: SeriesService,
  ) {}

  async around(db: Db, { standsInId }: Pick<Place, 'standsInId'>, span: Span): Promise<Room> {
    if (standsInId) {
      const readings = await this.series.hourly(db, standsInId, span);
      const { name } = await this.places.get(standsInId, db);
      if (readings.length >= FEWEST_READINGS) return { climate: { source: 'place', name, readings: readings.length }, readings };
    }
    const station = (await this.devices.all(db)).find((d) => d.outdoor);
    if (station) {
      const outdoors = await this.series.deviceHourly(db, station.id, span);
      if (outdoors.length >= FEWEST_READINGS)
        return { climate: { source: 'outdoors', name: station.name, readings: outdoors.length }, readings: indoors(outdoors) };
    }
    return {
      climate: { source: 'assumed', name: `${ASSUMED.temperatureC} °C, ${ASSUMED.humidityPct} %`, readings: 0 },
      readings: steady(span),
    };
  }
}

/** A lived-in room made of the air outside: by the mean of the last day (EN 15026). */
function indoors(outdoors: readonly air.Reading[]): air.Reading[] {
  let [sum, first] = [0, 0];
  return outdoors.map((reading, i) => {
    sum += reading.temperatureC;
    while (i - first >= 24) sum -= outdoors[first++]!.temperatureC;
    return { at: reading.at, ...storage.indoorFromOutdoor(sum / (i - first + 1)) };
  });
}

const steady = ({ fromMs, toMs }: Span): air.Reading[] =>
  Array.from({ length: Math.floor((toMs - fromMs) / (6 * MS_PER_HOUR)) + 1 }, (_, i) => ({
    at: new Date(fromMs + i * 6 * MS_PER_HOUR).toISOString(),
    ...ASSUMED,
  }));
