import { Injectable } from '@nestjs/common';
import type { Response } from 'express';
import { once } from 'node:events';
import { Database } from '../db/database.js';
import { DeviceService } from './device.service.js';
import { ReadingRepository } from './reading.repository.js';
import { correctedReading } from './deviceLog.js';
import { SeriesService } from './series.service.js';

const HEADINGS = 'at,temperatureC,humidityPct,rawHumidityPct\n';

/** Readings out again, in an open format, a day at a time. */
@Injectable()
export class ExportService {
  constructor(
    private readonly database: Database,
    private readonly devices: DeviceService,
    private readonly series: SeriesService,
    private readonly readings: ReadingRepository,
  ) {}

  async toCsv(id: string, response: Response): Promise<void> {
    const { name } = await this.devices.get(id);
    const { corrections } = (await this.series.air(this.database.db)).devices.get(id)!.log;
    response.type('text/csv; charset=utf-8').attachment(`${name.replace(/[^\p{L}\p{N} _-]/gu, '')}.csv`);
    response.write(HEADINGS);
    for await (const day of this.readings.days(this.database.db, id)) {
      const text = day
        .map((raw) => `${raw.at},${raw.temperatureC},${correctedReading(raw, corrections).humidityPct.toFixed(2)},${raw.humidityPct}\n`)
        .join('');
      if (!response.write(text)) await once(response, 'drain');
    }
    response.end();
  }
}
