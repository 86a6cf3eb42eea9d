import { OUTLETS, type Alarms, type AlarmsInput, type AlarmTried, type Outlet, type OutletState } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { alarmMessage, alarmParts, dutyWords } from '@bright-keeper/words';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { AgendaService } from '../agenda/index.js';
import { LIMITS } from '../limits.js';
import { Clock, DataFolder, Ids, log } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { AlarmFile, type KeptAlarms, type ToldOf, type Waiting } from './alarmFile.js';
import { handOver } from './outlets.js';

/** So often it is asked whether anything is an alarm, and whether what waits is taken now. */
const LOOK_EVERY_MS = 60_000;
const MS_PER_MINUTE = 60_000;
/** What is not taken is tried again after so many minutes each; then it is given up, since whatever lasts is told anew. */
const AGAIN_AFTER_MIN = [1, 5, 30, 120, 720] as const;

const isUsed = (kept: Pick<KeptAlarms, Outlet>, outlet: Outlet): boolean => kept[outlet] !== null;

/** Tells of alarms beyond this machine, where and when the household has asked for it. */
@Injectable()
export class AlarmsService implements BeforeApplicationShutdown {
  private readonly file: AlarmFile;
  private timer: NodeJS.Timeout | null = null;
  private looking: Promise<void> | null = null;

  constructor(
    private readonly agenda: AgendaService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
    folder: DataFolder,
  ) {
    this.file = new AlarmFile(folder.path);
  }

  /** Begins to look. */
  resume(): void {
    this.timer ??= setInterval(() => void this.look(), LOOK_EVERY_MS).unref();
  }

  /** Tells what is new, and hands over what waits; one look at a time. What fails is said in the log, and tried at the next. */
  look(): Promise<void> {
    this.looking ??= this.lookOnce()
      .catch((error: unknown) => log.warn({ error: String(error) }, 'alarms could not be looked for'))
      .finally(() => (this.looking = null));
    return this.looking;
  }

  private async lookOnce(): Promise<void> {
    this.file.refresh();
    const kept = this.file.get();
    const outlets = OUTLETS.filter((outlet) => isUsed(kept, outlet));
    if (outlets.length === 0) return;
    const now = this.clock.now();
    const { timeZone } = await this.settings.get();
    const alarms = await this.alarmsNow(kept.policy);
    const { tell, state } = schedule.alarmsToTell(alarms, kept.policy, kept.state, { now, timeZone });
    if (tell.length > 0 || JSON.stringify(state) !== JSON.stringify(kept.state))
      this.file.change((before) => {
        const waiting = [...before.waiting, ...this.messages(tell, outlets, now)].slice(-LIMITS.alarms.waiting);
        return { state: schedule.withoutLost(state, waiting), waiting };
      });
    await this.handOverDue(now);
  }

  private async alarmsNow({ kinds }: schedule.AlarmPolicy): Promise<schedule.Alarm[]> {
    const agenda = await this.agenda.agenda();
    return schedule.alarmsIn(this.agenda.toAsk(agenda), kinds);
  }

  private messages(alarms: readonly schedule.Alarm[], outlets: readonly Outlet[], now: Date): Waiting[] {
    if (alarms.length === 0) return [];
    const at = now.toISOString();
    const message = { ...alarmMessage(alarms), alarms: alarms.map(toTold) };
    return outlets.map((outlet) => ({ id: this.ids.next(), outlet, at, ...message, tries: 0, nextAt: at }));
  }

  private async handOverDue(now: Date): Promise<void> {
    for (const waiting of this.file.get().waiting) {
      if (Date.parse(waiting.nextAt) > now.getTime() || !this.waits(waiting)) continue;
      const { outlet } = waiting;
      const fault = await handOver(outlet, this.file.get(), waiting);
      const again = fault === null ? undefined : AGAIN_AFTER_MIN[waiting.tries];
      const last = { at: this.clock.now().toISOString(), fault };
      this.file.change((kept) => {
        const left = kept.waiting.flatMap((w) => {
          if (w.id !== waiting.id) return [w];
          if (again === undefined) return [];
          return [{ ...w, tries: w.tries + 1, nextAt: new Date(now.getTime() + again * MS_PER_MINUTE).toISOString() }];
        });
        const state = fault === null ? schedule.taken(kept.state, waiting.at) : kept.state;
        return { state: schedule.withoutLost(state, left), waiting: left, last: { ...kept.last, [outlet]: last } };
      });
    }
  }

  /** It may have been dropped with its outlet while others were handed over. */
  private waits = ({ id }: Waiting): boolean => this.file.get().waiting.some((one) => one.id === id);

  async get(): Promise<Alarms> {
    this.file.refresh();
    const { policy, webhook, mail, state, waiting, last } = this.file.get();
    const toldAt = new Map(state.told.filter((t) => t.taken).map(({ key, at }) => [key, at]));
    const now = await this.alarmsNow({ ...policy, kinds: schedule.ALARM_KINDS });
    return {
      policy,
      webhook: webhook && { address: webhook.address, hasSecret: webhook.secret !== '' },
      mail: mail && withoutPassword(mail),
      now: now.map(({ key, kind, duty }) => ({
        kind,
        name: duty.subject.name,
        title: dutyWords(duty).title,
        toldAt: toldAt.get(key) ?? null,
      })),
      waiting: waiting.length,
      last,
    };
  }

  /**
   * Where a secret is not told anew the one that is kept stays. What waited for an outlet that is used no more is dropped,
   * and told anew to those that are used where nobody took it.
   */
  async set({ policy, webhook, mail }: AlarmsInput): Promise<Alarms> {
    this.file.change((kept) => {
      const next = {
        policy,
        webhook: webhook && { ...webhook, secret: webhook.secret ?? kept.webhook?.secret ?? '' },
        mail: mail && { ...mail, password: mail.password ?? kept.mail?.password ?? '' },
      };
      const left = kept.waiting.filter(({ outlet }) => isUsed(next, outlet));
      return { ...next, state: schedule.withoutLost(kept.state, left), waiting: left };
    });
    return this.get();
  }

  /** Sends a message of no matter to each outlet that is used. */
  async try(): Promise<AlarmTried> {
    const kept = this.file.get();
    const at = this.clock.now().toISOString();
    const message = { at, subject: 'a message to try', text: 'Alarms of this household will come here.', alarms: [] };
    const tried = await Promise.all(
      OUTLETS.map(async (outlet): Promise<[Outlet, OutletState | null]> => [
        outlet,
        isUsed(kept, outlet) ? { at, fault: await handOver(outlet, kept, message) } : null,
      ]),
    );
    const last = Object.fromEntries(tried) as AlarmTried;
    this.file.change((now) => ({ last: { webhook: last.webhook ?? now.last.webhook, mail: last.mail ?? now.last.mail } }));
    return last;
  }

  async beforeApplicationShutdown(): Promise<void> {
    if (this.timer) clearInterval(this.timer);
    await this.looking;
  }
}

const toTold = (alarm: schedule.Alarm): ToldOf => ({ kind: alarm.kind, about: alarm.duty.subject.name, ...alarmParts(alarm) });

function withoutPassword({ password, ...mail }: NonNullable<KeptAlarms['mail']>): NonNullable<Alarms['mail']> {
  return { ...mail, hasPassword: password !== '' };
}
