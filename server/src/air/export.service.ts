import { Injectable } from '@nestjs/common';
import type { Response } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Database } from '../db/index.js';
import { DeviceService } from './device.service.js';
import { ReadingRepository } from './reading.repository.js';
import { readingsCsv } from './readingsCsv.js';
import { SeriesService } from './series.service.js';

/** Readings out again, in an open format. */
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
    await pipeline(Readable.from(readingsCsv(this.readings.days(this.database.db, id), corrections)), response);
  }
}
