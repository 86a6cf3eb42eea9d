import type { Item } from '@bright-keeper/contract';
import { care, schedule, storage, trip, MS_PER_MINUTE } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import {
  calibrations,
  climateEvents,
  devices,
  deviceStays,
  readingDays,
  cleanings,
  teardowns,
  items,
  surfaceStates,
  looks,
  journalEntries,
  dismissedSpots,
  sensorFrames,
  settings,
  places,
  stays,
  timers,
  supplies,
  outings,
  rhythms,
} from '../tables/index.js';
import { DeviceService } from '../air/index.js';
import { Kept, Said, Database, type Db } from '../db/index.js';
import { GearRepository, OpenWorkRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, grouped, onceFor, inSteps } from '../platform/index.js';
import { SensorService } from '../sensor/index.js';
import { SettingsService } from '../settings/index.js';
import { ClimateService, TimerService } from '../storage/index.js';
import { StayRepository } from '../places/index.js';
import { SuppliesService } from '../supplies/index.js';
import { outingFacts, OutingRepository } from '../trip/index.js';
import { RhythmRepository } from './rhythm.repository.js';

/** Up to so many things are reckoned by themselves. */
const FEW = 3;
/** What is known of things is made from these, and all that falls due from these and the rest. */
const OF_THE_SHELF = [
  ...[items, surfaceStates, looks, cleanings, teardowns, stays, places, sensorFrames, dismissedSpots, outings, settings],
  // How long a clean takes hangs on what there is to do it with.
  supplies,
];
const MADE_FROM = [
  ...[...OF_THE_SHELF, timers],
  // Of the air it is what it says that counts; salt tests and gel are entries of the journal too.
  ...[calibrations, climateEvents, journalEntries, rhythms],
];
/** What the air says is made from these. */
const OF_THE_AIR = [devices, deviceStays, calibrations, readingDays, climateEvents, places, settings];
/** Duties of things: what an item's page and the shelf ask for. */
const OF_THINGS = schedule.DUTY_CODES.filter((code) => schedule.dutyFacts(code).about === 'thing');

type AirNow = Pick<schedule.Facts, 'places' | 'hygrometers'>;
type Asked = { until?: schedule.Day; changes?: readonly schedule.RhythmChange[]; only?: readonly schedule.DutyCode[] };
export type ThingDuties = {
  duties: schedule.Duty[];
  away: { why: schedule.AwayReason; since: string; until: string | null; to: string | null; estimate: number | null } | null;
  noted: schedule.Noted[];
};

type House = Pick<care.PlanRequest, 'onHand' | 'moreOnHand' | 'schools' | 'sensorRehearsed'>;

/** How long its clean takes: the very minutes its plan tells; nothing where nothing asks for one. */
function cleanMinutesOf(item: care.PlanRequest['item'], states: readonly schedule.SurfaceFacts[], house: House): { cleanMinutes?: number } {
  if (!states.some((s) => s.verdict === 'clean' || s.verdict === 'isolate')) return {};
  const findings = states.flatMap((s) => s.findings.map((f) => ({ ...f, surface: s.surface })));
  const { minutes } = care.planCleaning({ item, findings, place: 'home', ...house }).totals;
  return minutes > 0 ? { cleanMinutes: minutes } : {};
}

/** Gathers the facts and asks core for the one agenda that every page reads. */
@Injectable()
export class AgendaService {
  private readonly kept = new Kept<schedule.Agenda>();
  private readonly air = new Kept<{ air: AirNow; said: number }>();
  private readonly said = new Said();
  private readonly turns = new Kept<ReadonlyMap<string, number>>();
  private readonly shelf = new Kept<schedule.ThingFacts[]>();
  private readonly oneLookEach = onceFor(({ duties }: schedule.Agenda) => schedule.oneLookEach(duties));
  /** What is at hand or comes next of each thing, the soonest first. */
  private readonly soonest = onceFor(({ duties }: schedule.Agenda) =>
    grouped(
      duties
        .filter((d) => d.ahead === 0 && OF_THINGS.includes(d.code))
        .sort((a, b) => a.window.due.localeCompare(b.window.due) || a.id.localeCompare(b.id)),
      (d) => d.subject.id,
    ),
  );

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
    private readonly sensors: SensorService,
    private readonly journal: JournalRepository,
    private readonly rhythms: RhythmRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  /** All that is due and falls due, up to a day; 12 months where none is given. */
  async agenda(asked: Asked = {}, db: Db = this.database.db): Promise<schedule.Agenda> {
    const minute = this.minute();
    const { air, said } = await this.airKept(minute, db);
    if (asked.until || asked.changes || asked.only) return this.reckoned(asked, air, db);
    return this.kept.get(this.database.stampFor(db, MADE_FROM, minute, said), () => this.reckoned(asked, air, db));
  }

  /** What an outing asks for: nothing once it is removed. */
  async askedByOuting(id: string, db: Db = this.database.db): Promise<schedule.Duty[]> {
    const { air } = await this.airKept(this.minute(), db);
    const [facts, entries, changes] = await Promise.all([this.facts(air, db), this.journal.forDuties(db), this.rhythms.all(db)]);
    const outing = facts.outings.find((o) => o.id === id);
    const { things, timeZone, ...around } = facts;
    return outing ? trip.afterTripCare({ outing, things, timeZone, now: this.clock.now().toISOString(), entries, changes, around }) : [];
  }

  /** The duties of an agenda as they are asked for: one look of a thing answers all that wait for one. */
  toAsk(agenda: schedule.Agenda): readonly schedule.Duty[] {
    return this.oneLookEach(agenda);
  }

  private async reckoned({ until, changes, only }: Asked, air: AirNow, db: Db): Promise<schedule.Agenda> {
    const [facts, entries, rhythms] = await Promise.all([this.facts(air, db), this.journal.forDuties(db), changes ?? this.rhythms.all(db)]);
    const now = this.clock.now().toISOString();
    return inSteps(schedule.agendaInSteps(facts, entries, rhythms, { now, ...(until ? { until } : {}), ...(only ? { only } : {}) }));
  }

  /** Some of what is kept hangs on the clock alone: it is kept by the minute. */
  private minute(): number {
    return Math.floor(this.clock.now().getTime() / MS_PER_MINUTE);
  }

  private airKept(minute: number, db: Db) {
    return this.air.get(this.database.stampFor(db, OF_THE_AIR, minute), async () => {
      const air = await this.airNow(db);
      return { air, said: this.said.of(air) };
    });
  }

  /** What the air says to duties. Most readings change nothing of it: the risk goes by whole hours. */
  private async airNow(db: Db): Promise<AirNow> {
    const { timeZone } = await this.settings.get(db);
    const dewFrom = await this.devices.dewFrom(db, timeZone);
    return {
      places: await this.climate.facts(db),
      hygrometers: (await this.devices.heard(db)).map(({ id, name, outdoor, placeName, addedAt, silent, latest, lastWord }) => ({
        id,
        name,
        outdoor,
        placeName,
        addedAt,
        silent,
        // When one was heard last matters only of one that is silent.
        lastHeardAt: silent ? (latest?.at ?? null) : null,
        batteryLow: lastWord?.lowSince ? { since: lastWord.lowSince, at: lastWord.at, pct: lastWord.batteryPct } : null,
        ...(outdoor && { dewFrom }),
      })),
    };
  }

  /** What is at hand or comes next for some things, by their ids; the soonest first. */
  async ofThings(db: Db, things: readonly Item[]): Promise<Map<string, ThingDuties>> {
    const onShelf = things.filter((t) => t.archivedAt === null);
    // A page of the shelf reads the agenda that is kept for all; a single thing is quicker reckoned by itself.
    const few = onShelf.length <= FEW;
    const asked = this.journal.forDuties(db, few ? onShelf.map((t) => t.id) : undefined);
    const [agenda, entries, { timeZone }] = await Promise.all([
      few ? this.narrow(db, onShelf, asked) : this.agenda({}, db),
      asked,
      this.settings.get(db),
    ]);
    const dutiesOf = this.soonest(agenda);
    const journal = new schedule.Journal(entries, timeZone, this.clock.now().toISOString());
    return new Map(
      onShelf.map((thing) => {
        const away = schedule.awayOf(thing, { journal });
        return [
          thing.id,
          {
            duties: dutiesOf.get(thing.id) ?? [],
            away: away && { why: away.why, since: away.since, until: away.until, to: away.to ?? null, estimate: away.estimate ?? null },
            noted: schedule.notedOutdoors(thing, journal.of({ kind: 'thing', id: thing.id })),
          },
        ];
      }),
    );
  }

  private async narrow(db: Db, onShelf: readonly Item[], asked: Promise<readonly schedule.Entry[]>): Promise<schedule.Agenda> {
    const air = await this.climate.facts(db);
    const [around, things, entries, rhythms] = await Promise.all([
      this.around(air, db),
      this.thingsFrom(db, onShelf, schedule.dampPlaces(air)),
      asked,
      this.rhythms.all(db),
    ]);
    const now = this.clock.now().toISOString();
    const until = schedule.localDay(now, around.timeZone);
    return schedule.agendaFrom({ ...around, things }, entries, rhythms, { now, only: OF_THINGS, until });
  }

  private async facts({ places, hygrometers }: AirNow, db: Db): Promise<schedule.Facts> {
    const damp = schedule.dampPlaces(places);
    const [things, supplies, around, timers] = await Promise.all([
      this.shelf.get(this.database.stampFor(db, OF_THE_SHELF, damp.join(), await this.settings.today(db)), async () =>
        this.thingsFrom(db, await this.gear.all(db), damp),
      ),
      this.supplies.dated(db),
      this.around(places, db),
      this.timers.all(db),
    ]);
    const names = new Map(things.map((t) => [t.id, t.name]));
    return {
      ...around,
      things,
      hygrometers,
      supplies,
      timers: timers.map((t) => ({ ...t, itemName: t.itemId ? (names.get(t.itemId) ?? null) : null })),
    };
  }

  /** What duties of things hang on besides the things: the air of the places they lie in, and where they were taken. */
  private async around(air: AirNow['places'], db: Db): Promise<schedule.Facts> {
    const [{ timeZone }, outings] = await Promise.all([this.settings.get(db), this.outings.dated(db)]);
    return {
      ...schedule.NO_FACTS,
      timeZone,
      places: air,
      outings: outings.map(outingFacts),
    };
  }

  /** What plans are made with, whatever the thing: the drawer, the schools, whether the dry run was done. */
  private async house(db: Db): Promise<House> {
    const [drawer, { schools, sensorRehearsedOn }] = await Promise.all([this.supplies.onHand(db, 'home', null), this.settings.get(db)]);
    return { ...drawer, schools, sensorRehearsed: sensorRehearsedOn !== null };
  }

  /** When it is the turn of each thing that came in among many. @param damp places in which growth is not ruled out */
  private async firstTurns(db: Db, damp: readonly string[]): Promise<ReadonlyMap<string, number>> {
    const { timeZone } = await this.settings.get(db);
    const today = await this.settings.today(db);
    return this.turns.get(this.database.stampFor(db, [items, settings, stays], damp.join(), today), async () => {
      const [newcomers, lying] = await Promise.all([this.gear.newcomers(db), damp.length > 0 ? this.stays.open(db) : []]);
      const isDamp = new Set(lying.filter((stay) => damp.includes(stay.placeId)).map((stay) => stay.itemId));
      return schedule.firstTurns(
        newcomers.map((thing) => ({ ...thing, isDamp: isDamp.has(thing.id) })),
        timeZone,
        today,
      );
    });
  }

  /** Each thing with what was last seen of it, what was begun on it, and where it lies. */
  private async thingsFrom(db: Db, things: readonly Item[], damp: readonly string[]): Promise<schedule.ThingFacts[]> {
    const ids = things.map((t) => t.id);
    const some = things.length <= FEW ? ids : undefined;
    const [turns, states, begun, lying, lay, sensors, house] = await Promise.all([
      this.firstTurns(db, damp),
      this.gear.statesOf(db, ids),
      this.openWork.all(db),
      this.stays.open(db, some),
      this.stays.ended(db, some),
      this.sensors.bodies(db),
      this.house(db),
    ]);
    const open = grouped(begun, (o) => o.itemId);
    const stays = new Map(lying.map((s) => [s.itemId, s]));
    const stayed = grouped(lay, (s) => s.itemId);
    return things.map(({ id, name, kind, traits, status, createdAt }): schedule.ThingFacts => {
      const stay = stays.get(id);
      const turn = turns.get(id);
      return {
        id,
        name,
        kind,
        traits,
        status,
        addedAt: createdAt,
        ...(turn === undefined ? {} : { turn }),
        surfaces: states.get(id) ?? [],
        sensor: sensors.get(id) ?? null,
        ...cleanMinutesOf({ kind, traits }, states.get(id) ?? [], house),
        stayed: (stayed.get(id) ?? []).map(({ placeId, name, since, until }) => ({
          ...{ placeId, name },
          since: since.toISOString(),
          until: until.toISOString(),
        })),
        open: (open.get(id) ?? []).map((o) => ({ work: o.work, id: o.id, startedAt: o.startedAt.toISOString() })),
        stay: stay
          ? {
              placeId: stay.placeId,
              name: stay.name,
              forTravel: storage.placeFacts(stay.kind).forTravel,
              aired: storage.placeFacts(stay.kind).aired,
              since: stay.since.toISOString(),
            }
          : null,
      };
    });
  }
}
