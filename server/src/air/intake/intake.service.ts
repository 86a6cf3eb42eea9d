import {
  airErrors,
  type BrokerInput,
  type IntakeFault,
  type IntakePlaces,
  type PollTried,
  type PollTry,
  type TopicsHeard,
} from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { getTableName } from 'drizzle-orm';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { basename } from 'node:path';
import { Database, type Written } from '../../db/index.js';
import { problem, ProblemError } from '../../http/index.js';
import { LIMITS } from '../../limits.js';
import { Clock, log } from '../../platform/index.js';
import { devices } from '../../tables/index.js';
import { DeviceRepository, type DeviceRow } from '../device.repository.js';
import { IntakeStates } from '../intakeStates.js';
import { MetricsKey } from '../metrics/metricsKey.js';
import { LogService } from '../log.service.js';
import { PushService } from '../push.service.js';
import { BrokerLine } from './brokerLine.js';
import { hearForAWhile } from './hearForAWhile.js';
import { Inbox } from './inbox.js';
import { IntakeFiles } from './intakeFiles.js';
import { faultOf, Listening } from './listening.js';
import { LogFolder } from './logFolder.js';
import { askAt } from './poll.js';
import { Polling } from './polling.js';
import { readSaid } from './said.js';

type TakenIn = Pick<DeviceRow, 'id' | 'everyMinutes' | 'intake'>;
/** What changes of a device is looked at together after so long. */
const SOON_MS = 200;
const BROKER = 'broker';

/** Takes the readings of devices in by itself: listens to the broker, asks at addresses, and reads logs that are put into a folder. */
@Injectable()
export class IntakeService implements BeforeApplicationShutdown {
  private isOn = false;
  private soon: NodeJS.Timeout | null = null;
  private line: BrokerLine | null = null;
  private listening = new Listening([]);
  private readonly polls = new Map<string, { said: string; polling: Polling }>();
  private folder: LogFolder | null = null;
  private logs: TakenIn[] = [];
  /** One file after the other: each may be long. */
  private reading = Promise.resolve();
  private readonly inbox: Inbox;

  constructor(
    private readonly database: Database,
    private readonly repository: DeviceRepository,
    private readonly pushes: PushService,
    private readonly logService: LogService,
    private readonly states: IntakeStates,
    private readonly files: IntakeFiles,
    private readonly metricsKey: MetricsKey,
    private readonly clock: Clock,
  ) {
    this.inbox = new Inbox((id, came) => this.pushes.takeIn(id, came, this.clock.now()));
    database.changes.hear((written) => {
      if (this.isOn && mayConcern(written)) this.lookSoon();
    });
  }

  /** Begins to take in, and follows what is changed from then on. */
  async resume(): Promise<void> {
    this.isOn = true;
    await this.look();
  }

  private lookSoon(): void {
    this.soon ??= setTimeout(() => {
      this.soon = null;
      void this.look().catch((error: unknown) => log.warn({ error: String(error) }, 'what is to be taken in could not be asked'));
    }, SOON_MS).unref();
  }

  /** Brings what is listened to, asked and watched to what is wanted now. */
  private async look(): Promise<void> {
    const wanted = await this.repository.takenIn(this.database.db);
    if (!this.isOn) return;
    this.listen(wanted);
    this.poll(wanted);
    this.watch(wanted);
  }

  private listen(wanted: readonly TakenIn[]): void {
    this.listening = this.listening.of(wanted);
    const { topics } = this.listening;
    const broker = this.files.broker.get();
    const { address } = broker;
    if (topics.size === 0 || address === null) {
      this.line?.end();
      this.line = null;
      for (const id of this.listening.ids) this.states.set(id, 'no-broker');
      return;
    }
    this.line ??= new BrokerLine(
      { ...broker, address },
      {
        heard: (message) => this.hear(message),
        stands: (fault) => this.lineStands(fault),
        refused: (topic) => this.listening.idsAt(topic).forEach((id) => this.states.set(id, 'refused')),
      },
    );
    this.line.listenTo(topics);
  }

  private lineStands(fault: IntakeFault | null): void {
    // What is said right after a line was refused says less than that.
    if (fault === 'unreachable' && ['refused', 'certificate', 'not-nearby', 'too-large'].includes(this.states.of(BROKER)?.fault ?? ''))
      return;
    this.states.set(BROKER, fault);
    if (fault !== null) for (const id of this.listening.ids) this.states.set(id, fault);
    else for (const id of this.listening.ids) this.states.forget(id);
  }

  private hear(message: Parameters<Listening['hear']>[0]): void {
    const now = this.clock.now();
    for (const { id, came, fault } of this.listening.hear(message, now)) {
      const hasRoom = came === null || this.inbox.put(id, came, now);
      this.states.set(id, hasRoom ? fault : 'too-large');
    }
  }

  private poll(wanted: readonly TakenIn[]): void {
    const asked = new Map(
      wanted.flatMap((device) => {
        if (device.intake?.by !== 'poll') return [];
        // Begun anew with whatever is changed, and once somebody here has named its address.
        return [[device.id, { device, said: JSON.stringify([device, this.files.mayAsk(device.intake.address)]) }] as const];
      }),
    );
    for (const [id, { said, polling }] of this.polls)
      if (asked.get(id)?.said !== said) {
        polling.stop();
        this.polls.delete(id);
        this.states.forget(id);
      }
    for (const [id, { device, said }] of asked)
      if (!this.polls.has(id)) this.polls.set(id, { said, polling: new Polling(device.everyMinutes * 60_000, () => this.askOnce(device)) });
  }

  private async askOnce({ id, intake }: TakenIn): Promise<void> {
    if (intake?.by !== 'poll') return;
    if (!this.files.mayAsk(intake.address)) return this.states.set(id, 'from-elsewhere');
    const answer = await askAt(intake.address);
    // It may have been changed or taken out of use while it was asked.
    if (!this.polls.has(id)) return;
    if ('fault' in answer) return this.states.set(id, answer.fault);
    const now = this.clock.now();
    const came = readSaid(answer.text, now, intake.options);
    this.states.set(id, faultOf(came));
    this.inbox.put(id, came, now);
  }

  private watch(wanted: readonly TakenIn[]): void {
    const logs = wanted.filter(({ intake }) => intake?.by === 'folder');
    const added = logs.filter((device) => !this.logs.some((known) => JSON.stringify(known) === JSON.stringify(device)));
    this.logs = logs;
    const path = this.files.logFolder;
    if (logs.length === 0 || path === null) {
      this.folder?.close();
      this.folder = null;
      for (const { id } of logs) this.states.set(id, 'no-folder');
    } else if (added.length > 0) {
      // Opened anew, it tells of what lies there already.
      this.folder?.close();
      this.folder = this.openFolder(path, added);
    }
  }

  private openFolder(path: string, added: readonly TakenIn[]): LogFolder | null {
    try {
      return new LogFolder(path, (file) => {
        this.reading = this.reading.then(() => this.readLog(file)).catch(() => undefined);
      });
    } catch (error) {
      log.warn({ path, error: (error as Error).message }, 'the folder for logs cannot be watched');
      for (const { id } of added) this.states.set(id, 'no-folder');
      return null;
    }
  }

  private async readLog(file: string): Promise<void> {
    for (const { id, intake } of this.logs) {
      if (intake?.by !== 'folder' || !basename(file).toLowerCase().startsWith(intake.beginning.toLowerCase())) continue;
      const { size } = await stat(file);
      if (size > LIMITS.logFolder.bytes) {
        this.states.set(id, 'too-large');
        continue;
      }
      try {
        const { accepted, duplicates } = await this.logService.import(id, createReadStream(file), intake.format, false);
        this.states.set(id, accepted + duplicates > 0 ? null : 'unreadable-file');
      } catch (error) {
        if (!(error instanceof ProblemError)) log.warn({ file, error: String(error) }, 'a log could not be read');
        this.states.set(id, 'unreadable-file');
      }
    }
  }

  places(): IntakePlaces {
    this.files.broker.refresh();
    const { password, ...broker } = this.files.broker.get();
    return {
      broker: { ...broker, hasPassword: password !== '' },
      brokerState: this.line ? this.states.of(BROKER) : null,
      logFolder: this.files.logFolder,
      hasMetricsKey: this.metricsKey.isMade,
    };
  }

  async setBroker({ password, ...input }: BrokerInput): Promise<IntakePlaces> {
    this.files.broker.change((now) => ({ ...input, password: password ?? now.password }));
    this.line?.end();
    this.line = null;
    this.states.forget(BROKER);
    if (this.isOn) await this.look();
    return this.places();
  }

  /** What is said at the broker within a few seconds. @throws ProblemError where there is none, or it does not answer. */
  async topics(): Promise<TopicsHeard> {
    const broker = this.files.broker.get();
    const { address } = broker;
    if (address === null) throw problem(airErrors, 'no-broker');
    const heard = await hearForAWhile({ ...broker, address });
    if ('fault' in heard) throw problem(airErrors, heard.fault === 'not-nearby' ? 'not-nearby' : 'broker-silent');
    return { offers: sources.offersIn(heard.messages, this.clock.now()), topics: heard.messages.length };
  }

  /** What an address says now, without keeping it. @throws ProblemError where nothing comes from there. */
  async tryAddress({ address, options }: PollTry): Promise<PollTried> {
    const answer = await askAt(address);
    if ('fault' in answer) {
      const code = answer.fault === 'not-nearby' ? 'not-nearby' : 'address-silent';
      throw problem(airErrors, code, { fields: { 'intake.address': airErrors[code].title } });
    }
    const { readings, vitals, setAside } = readSaid(answer.text, this.clock.now(), options);
    const last = readings.at(-1);
    return { reading: last ? { temperatureC: last.temperatureC, humidityPct: last.humidityPct } : null, vitals, setAside };
  }

  /** Keeps what waits before the database closes. */
  async beforeApplicationShutdown(): Promise<void> {
    this.isOn = false;
    if (this.soon) clearTimeout(this.soon);
    this.line?.end();
    for (const { polling } of this.polls.values()) polling.stop();
    this.folder?.close();
    await Promise.all([this.inbox.flush(), this.reading]);
  }
}

const mayConcern = (written: Written): boolean =>
  written === 'unknown' || (written !== 'nothing' && written.table === getTableName(devices));
