import {
  airErrors,
  fieldsOf,
  JOI_OPTIONS,
  LOG_FAULTS,
  logFormat,
  type LogFault,
  type LogFormat,
  type LogImportResult,
  type LogPreview,
  type LogPreviewRequest,
} from '@bright-keeper/contract';
import { air, fungus, storage, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Readable } from 'node:stream';
import { decode, decoded, csvRows, csvStream, type CsvRow } from '../csv/index.js';
import { Database } from '../db/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { DeviceRepository } from './device.repository.js';
import { guessFormat, rowReader, type Row, type RowReader } from './logFormat.js';
import { ReadingRepository } from './reading.repository.js';
import { SeriesService } from './series.service.js';

/** So many good readings are written at once (our choice: two weeks of minutes, a tenth of a second of work). */
const FLUSH_AT = 20_000;
const NO_ROW: Row = { ms: 0, temperatureC: 0, humidityPct: 0 };
const PREVIEW_ROWS = 12;
const EXAMPLES = 8;
const CLOCK_JUMP_MS = 60_000;

const noFaults = (): Record<LogFault, number> => Object.fromEntries(LOG_FAULTS.map((f) => [f, 0])) as Record<LogFault, number>;

/** Readings on their way to the database, as columns that are filled and emptied. */
class Batch {
  private readonly log = air.emptyLog(FLUSH_AT);
  private held = 0;

  /** @returns whether it is full now. */
  add({ ms, temperatureC, humidityPct }: Row): boolean {
    this.log.ms[this.held] = ms;
    this.log.temperatureC[this.held] = temperatureC;
    this.log.humidityPct[this.held] = humidityPct;
    this.held += 1;
    return this.held === FLUSH_AT;
  }

  /** What it holds, to be read before anything is added again. */
  empty(): air.AirLog {
    const log = air.part(this.log, 0, this.held);
    this.held = 0;
    return log;
  }
}

type HourSum = { t: number; h: number; n: number };

class Tally {
  rows = 0;
  setAside = noFaults();
  examples: LogImportResult['examples'] = [];
  clockJumps: number[] = [];
  /** An hour's mean is enough to find gaps and shifts, and small however long the log is. */
  private readonly hours = new Map<number, HourSum>();
  private hour = NaN;
  private sum: HourSum = { t: 0, h: 0, n: 0 };
  private lastMs = -Infinity;

  fault(line: number, fault: LogFault, cells: readonly string[]): void {
    this.setAside[fault] += 1;
    if (this.examples.length < EXAMPLES) this.examples.push({ line, problem: fault, text: cells.join(' | ').slice(0, 120) });
  }

  good({ ms, temperatureC, humidityPct }: Row): void {
    if (this.lastMs - ms > CLOCK_JUMP_MS) this.clockJumps.push(ms);
    this.lastMs = ms;
    const hour = Math.floor(ms / MS_PER_HOUR);
    if (hour !== this.hour) {
      this.hour = hour;
      this.sum = this.hours.get(hour) ?? { t: 0, h: 0, n: 0 };
      this.hours.set(hour, this.sum);
    }
    this.sum.t += temperatureC;
    this.sum.h += humidityPct;
    this.sum.n += 1;
  }

  /** The log hour by hour, in order. */
  hourly(): air.Reading[] {
    return [...this.hours.entries()]
      .sort(([a], [b]) => a - b)
      .map(([hour, { t, h, n }]) => ({ at: new Date(hour * MS_PER_HOUR).toISOString(), temperatureC: t / n, humidityPct: h / n }));
  }
}

/** Logs of hygrometers as CSV: guessed, shown, then read row by row without ever holding the file. */
@Injectable()
export class LogService {
  constructor(
    private readonly database: Database,
    private readonly devices: DeviceRepository,
    private readonly readings: ReadingRepository,
    private readonly series: SeriesService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async preview({ startBase64, format: given }: LogPreviewRequest): Promise<LogPreview> {
    const { text } = decode(Buffer.from(startBase64, 'base64'), true);
    const format = given ?? guessFormat(text, (await this.settings.get()).timeZone);
    if (!format) throw problem(airErrors, 'log-unreadable');
    const [headings, ...rows] = csvRows(text, format.delimiter).slice(0, PREVIEW_ROWS + 1);
    const columns = headingsOf(headings);
    const read = this.readerFor(format, columns);
    return { format, columns, rows: rows.map((row) => this.shown(row, read)) };
  }

  private shown(row: CsvRow, read: RowReader): LogPreview['rows'][number] {
    const nothing = { line: row.line, at: null, temperatureC: null, humidityPct: null };
    if (row.fault) return { ...nothing, cells: [row.text], problem: row.fault };
    const said: Row = { ...NO_ROW };
    const { cells } = row;
    const problem = read(cells, said);
    const { temperatureC, humidityPct } = said;
    return problem
      ? { ...nothing, cells, problem }
      : { ...nothing, cells, at: new Date(said.ms).toISOString(), temperatureC, humidityPct, problem };
  }

  /** @throws ProblemError when the format in the address is none. */
  formatFrom(text: string): LogFormat {
    let parsed: unknown;
    try {
      parsed = JSON.parse(text);
    } catch {
      throw problem(airErrors, 'log-format');
    }
    const checked = logFormat.validate(parsed, JOI_OPTIONS);
    if (checked.error) throw problem(airErrors, 'log-format', { fields: fieldsOf(checked.error) });
    return checked.value;
  }

  /** Reads a whole log; with `check` it only tells what would become of it. */
  async import(deviceId: string, body: Readable, format: LogFormat, check: boolean): Promise<LogImportResult> {
    await this.devices.versioned.find(this.database.db, deviceId);
    const before = (await this.series.air(this.database.db)).devices.get(deviceId)!.log.hourly;
    const tally = new Tally();
    const counted = { accepted: 0, duplicates: 0 };
    const batch = new Batch();
    const flush = async () => {
      const log = batch.empty();
      if (check || log.length === 0) return;
      const { accepted, duplicates } = await this.database.transaction((db) => this.readings.add(db, deviceId, log));
      counted.accepted += accepted;
      counted.duplicates += duplicates;
      // Whoever asked for something else meanwhile is answered between two batches.
      await new Promise((resolve) => setImmediate(resolve));
    };
    let read: RowReader | null = null;
    const row: Row = { ...NO_ROW };
    for await (const records of csvStream(decoded(body), format.delimiter)) {
      for (const record of records) {
        if (!read) {
          read = this.readerFor(format, headingsOf(record));
          continue;
        }
        tally.rows += 1;
        const fault = record.fault ?? read(record.cells, row);
        if (fault) {
          tally.fault(record.line, fault, record.cells ?? [record.text]);
          continue;
        }
        tally.good(row);
        if (batch.add(row)) await flush();
      }
    }
    if (!read) throw problem(airErrors, 'log-unreadable');
    await flush();
    if (!check && counted.accepted > 0) await this.markClockJumps(deviceId, tally);
    return this.result(tally, counted, before, check);
  }

  private async markClockJumps(deviceId: string, tally: Tally): Promise<void> {
    await this.database.transaction(async (db) => {
      for (const ms of tally.clockJumps.slice(0, EXAMPLES))
        await this.devices.addEvent(db, {
          id: this.ids.next(),
          deviceId,
          at: new Date(ms),
          data: { kind: 'clock-jump', backMin: null },
        });
    });
  }

  private result(tally: Tally, counted: { accepted: number; duplicates: number }, before: air.AirLog, check: boolean): LogImportResult {
    const hourly = tally.hourly();
    const good = tally.rows - LOG_FAULTS.reduce((sum, f) => sum + tally.setAside[f], 0);
    return {
      rows: tally.rows,
      accepted: check ? good : counted.accepted,
      duplicates: counted.duplicates,
      setAside: tally.setAside,
      examples: tally.examples,
      from: hourly[0]?.at ?? null,
      to: hourly.at(-1)?.at ?? null,
      gaps: fungus.gapsOf(hourly),
      clockJumps: tally.clockJumps.length,
      shiftHours: storage.shiftBetween(air.readingsOf(before), hourly),
    };
  }

  private readerFor(format: LogFormat, columns: readonly string[]): RowReader {
    try {
      return rowReader(format, columns, this.clock.now());
    } catch (error) {
      throw problem(airErrors, 'log-format', { detail: (error as Error).message });
    }
  }
}

/** @throws ProblemError when the first record is none that can stand over columns. */
function headingsOf(record: CsvRow | undefined): string[] {
  if (!record?.cells) throw problem(airErrors, 'log-unreadable');
  return record.cells;
}
