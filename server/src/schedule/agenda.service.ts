import type { Item } from '@bright-keeper/contract';
import { schedule, storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { DeviceService } from '../air/device.service.js';
import { Database, type Db } from '../db/database.js';
import { GearRepository } from '../gear/gear.repository.js';
import { OpenWorkRepository } from '../gear/openWork.repository.js';
import { JournalRepository } from '../journal/journal.repository.js';
import { Clock } from '../platform/clock.js';
import { SettingsService } from '../settings/settings.service.js';
import { ClimateService } from '../storage/climate.service.js';
import { StayRepository } from '../storage/stay.repository.js';
import { TimerService } from '../storage/timer.service.js';
import { SuppliesService } from '../supplies/supplies.service.js';
import { OutingRepository } from '../trip/outing.repository.js';
import { RhythmRepository } from './rhythm.repository.js';

/** Duties of things: what an item's page and the shelf ask for. */
const OF_THINGS = schedule.DUTY_CODES.filter((code) => schedule.dutyFacts(code).about === 'thing');

type Asked = { until?: schedule.Day; changes?: readonly schedule.RhythmChange[]; only?: readonly schedule.DutyCode[] };
export type ThingDuties = { duties: schedule.Duty[]; away: { why: schedule.AwayReason; since: string; until: string | null } | null };

/** Gathers the facts and asks core for the one agenda that every page reads. */
@Injectable()
export class AgendaService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearRepository,
    private readonly openWork: OpenWorkRepository,
    private readonly stays: StayRepository,
    private readonly climate: ClimateService,
    private readonly timers: TimerService,
    private readonly devices: DeviceService,
    private readonly supplies: SuppliesService,
    private readonly outings: OutingRepository,
    private readonly journal: JournalRepository,
    private readonly rhythms: RhythmRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  /** All that is due and falls due, up to a day; 12 months where none is given. */
  async agenda({ until, changes, only }: Asked = {}, db: Db = this.database.db): Promise<schedule.Agenda> {
    const facts = await this.facts(db);
    const entries = await this.journal.forDuties(db);
    return schedule.agendaFrom(facts, entries, changes ?? (await this.rhythms.all(db)), {
      now: this.clock.now().toISOString(),
      ...(until ? { until } : {}),
      ...(only ? { only } : {}),
    });
  }

  /** What is at hand or comes next for some things, by their ids; the soonest first. */
  async ofThings(db: Db, things: readonly Item[]): Promise<Map<string, ThingDuties>> {
    const onShelf = things.filter((t) => t.archivedAt === null);
    const ids = onShelf.map((t) => t.id);
    const facts = await this.thingFacts(db, onShelf);
    const entries = await this.journal.forDuties(db, ids);
    const now = this.clock.now().toISOString();
    const { duties } = schedule.agendaFrom(facts, entries, await this.rhythms.all(db), { now, only: OF_THINGS, until: now.slice(0, 10) });
    const journal = new schedule.Journal(entries, facts.timeZone);
    const soonest = duties
      .filter((d) => d.ahead === 0)
      .sort((a, b) => a.window.due.localeCompare(b.window.due) || a.id.localeCompare(b.id));
    return new Map(
      onShelf.map((thing) => {
        const away = schedule.awayOf(thing, { journal });
        return [
          thing.id,
          {
            duties: soonest.filter((d) => d.subject.id === thing.id),
            away: away && { why: away.why, since: away.since, until: away.until },
          },
        ];
      }),
    );
  }

  private async facts(db: Db): Promise<schedule.Facts> {
    const things = await this.gear.all(db);
    const [ofThings, hygrometers, supplies] = [
      await this.thingFacts(db, things),
      await this.devices.all(db),
      await this.supplies.dated(db),
    ];
    const names = new Map(things.map((t) => [t.id, t.name]));
    return {
      ...ofThings,
      hygrometers: hygrometers.map((d) => ({
        id: d.id,
        name: d.name,
        outdoor: d.outdoor,
        placeName: d.placeName,
        addedAt: d.addedAt,
        silent: d.silent,
        lastHeardAt: d.latest?.at ?? null,
      })),
      supplies,
      timers: (await this.timers.all(db)).map((t) => ({ ...t, itemName: t.itemId ? (names.get(t.itemId) ?? null) : null })),
    };
  }

  /** Facts for duties of things: with the air of the places they lie in, and where they were taken. */
  private async thingFacts(db: Db, things: readonly Item[]): Promise<schedule.Facts> {
    const { timeZone } = await this.settings.get(db);
    const ids = things.map((t) => t.id);
    const states = await this.gear.statesOf(db, ids);
    const open = await this.openWork.all(db);
    const stays = new Map((await this.stays.open(db)).map((s) => [s.itemId, s]));
    return {
      ...schedule.NO_FACTS,
      timeZone,
      things: things.map(({ id, name, kind, traits, status, createdAt }): schedule.ThingFacts => {
        const stay = stays.get(id);
        return {
          id,
          name,
          kind,
          traits,
          status,
          addedAt: createdAt,
          surfaces: states.get(id) ?? [],
          open: open.filter((o) => o.itemId === id).map((o) => ({ work: o.work, id: o.id, startedAt: o.startedAt.toISOString() })),
          stay: stay
            ? {
                placeId: stay.placeId,
                name: stay.name,
                forTravel: storage.placeFacts(stay.kind).forTravel,
                since: stay.since.toISOString(),
              }
            : null,
        };
      }),
      places: await this.climate.facts(db),
      outings: (await this.outings.dated(db)).map(({ id, name, from, to, notedAt, itemIds, met, frames, lensChanges, hours }) => ({
        id,
        name,
        from,
        to,
        notedAt,
        itemIds,
        met,
        counts: {
          ...(frames === null ? {} : { frames }),
          ...(lensChanges === null ? {} : { 'lens-changes': lensChanges }),
          ...(hours === null ? {} : { hours }),
        },
      })),
    };
  }
}
