import { EVERYTHING } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import type { Response } from 'express';
import { rm } from 'node:fs/promises';
import { devices } from '../tables/index.js';
import { ReadingRepository, SeriesService, readingsCsv } from '../air/index.js';
import { Database, type Db } from '../db/index.js';
import { Clock } from '../platform/index.js';
import { CalendarService } from '../schedule/index.js';
import type { ArchiveWriter } from './archive.js';
import { csvOf } from './csv.js';
import { BlobRepository } from '../blobs/index.js';
import { writeArchive } from './dump.js';
import { Incoming } from './incoming.js';
import { schemaOf } from './jsonSchema.js';
import { rowsOf } from './rows.js';
import { tablesOf } from './tables.js';

const READ_ME = `Everything a household of Bright Keeper holds, in open formats.

manifest.json   what is here: tables, their rows, and the SHA-256 of each data file
schema.json     what the rows look like (JSON Schema 2020-12)
data/           every table, whole, as JSON: this is what is read when the file is taken in again
csv/            the same tables for a spreadsheet, without what is stored as bytes
readings/       what each hygrometer read, as read and as corrected
calendar.ics    what is due, as a calendar (iCalendar)
pictures/       photographs, test frames and papers, by what they are called in the tables
`;

/** A name that any file system takes. */
const fileName = (name: string): string => name.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'unnamed';
const EXTENSION: Record<string, string> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp', 'application/pdf': 'pdf' };

/** All there is in one file, in formats that other programs read; it can be taken in again here. */
@Injectable()
export class HouseholdExportService {
  constructor(
    private readonly database: Database,
    private readonly readings: ReadingRepository,
    private readonly series: SeriesService,
    private readonly calendars: CalendarService,
    private readonly blobs: BlobRepository,
    private readonly clock: Clock,
    private readonly incoming: Incoming,
  ) {}

  async toZip(response: Response): Promise<void> {
    const path = this.incoming.nextPath();
    // The calendar tells other calendars what has gone, and so writes: before the moment that is exported.
    const { text } = await this.calendars.calendar(EVERYTHING, 'Care');
    const now = this.clock.now();
    try {
      await writeArchive(this.database, path, now, (db, archive) => this.besides(db, archive, text));
      await new Promise<void>((resolve, reject) => {
        const name = `bright-keeper-everything-${now.toISOString().slice(0, 10)}.zip`;
        response.download(path, name, { dotfiles: 'allow' }, (error) => (error ? reject(error) : resolve()));
      });
    } finally {
      await rm(path, { force: true });
    }
  }

  private async besides(db: Db, archive: ArchiveWriter, calendar: string): Promise<void> {
    const tables = await tablesOf(db);
    await archive.text('README.txt', [READ_ME]);
    await archive.text('schema.json', [JSON.stringify(schemaOf(tables), null, 2)]);
    await archive.text('calendar.ics', [calendar]);
    for (const table of tables) await archive.text(`csv/${table.name}.csv`, csvOf(table, rowsOf(db, table)));
    const { devices: known } = await this.series.air(db);
    for (const { id, name } of await db.select({ id: devices.id, name: devices.name }).from(devices)) {
      const corrections = known.get(id)?.log.corrections ?? [];
      await archive.text(`readings/${fileName(name)} ${id}.csv`, readingsCsv(this.readings.days(db, id), corrections));
    }
    for (const blob of await this.blobs.all(db))
      await archive.bytes(`pictures/${blob.hash}.${EXTENSION[blob.type] ?? 'bin'}`, await this.blobs.whole(db, blob));
  }
}
