import {
  type ArchiveItem,
  commonErrors,
  type DoneToMany,
  gearErrors,
  type Item,
  type ItemInput,
  type ItemPage,
  type ItemUpdate,
  type Log,
  type LogData,
  type LogQuery,
  type Shelf,
  type ShelfItem,
  type ShelfQuery,
  type StatusChange,
  type TagThings,
} from '@bright-keeper/contract';
import { care, gear, type schedule, MS_PER_DAY } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { readCursor, writeCursor, problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { AgendaService, type ThingDuties } from '../agenda/index.js';
import { SettingsService } from '../settings/index.js';
import { StayRepository } from '../places/index.js';
import { JournalRepository } from '../journal/index.js';
import { BACK_ON_THE_SHELF, changesOf } from './edits.js';
import { FittingService } from './fitting.service.js';
import { checkTogether } from './together.js';
import { type FirstDue, GearRepository, ItemFileRepository, OpenWorkRepository, VerdictsService } from '../gear/index.js';

const YEAR_DAYS = 365;
/** Who shared a place with fungus within this time is looked at (common practice: 12 weeks). */
const NEIGHBOUR_DAYS = 84;

/** What its last look asks for is told by its verdict, what was begun by its own row: the rest falls due. */
const fallsDue = ({ facts }: schedule.Duty): boolean => facts.says !== 'need' && facts.says !== 'open-work';

/** Of a line that stands for one thing, no count is kept. */
const settled = (particulars: gear.Particulars): gear.Particulars => gear.withCount(particulars, gear.countOf(particulars));

@Injectable()
export class GearService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly files: ItemFileRepository,
    private readonly openWork: OpenWorkRepository,
    private readonly agenda: AgendaService,
    private readonly journal: JournalRepository,
    private readonly stays: StayRepository,
    private readonly settings: SettingsService,
    private readonly verdicts: VerdictsService,
    private readonly fitting: FittingService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  add(input: ItemInput): Promise<Item> {
    return this.database.transaction(async (db) => {
      if (input.belongsTo) await checkTogether(db, this.repository, null, input.belongsTo);
      const [id] = await this.insertAll(db, [input], 'added');
      return this.get(db, id!);
    });
  }

  /** Puts many things on the shelf in the caller's transaction, and says so in the journal. */
  async insertAll(db: Db, inputs: readonly ItemInput[], how: 'added' | 'imported'): Promise<string[]> {
    const at = this.clock.now();
    const rows = inputs.map((input) => ({
      ...input,
      particulars: settled(input.particulars ?? {}),
      name: input.name.trim(),
      id: this.ids.next(),
      createdAt: at,
      updatedAt: at,
    }));
    await this.repository.insert(db, rows);
    await this.journal.addForThings(
      db,
      rows.map((row) => ({ id: this.ids.next(), itemId: row.id, at, data: { kind: how } })),
    );
    return rows.map((row) => row.id);
  }

  async shelf(query: ShelfQuery): Promise<Shelf> {
    const { db } = this.database;
    const today = await this.settings.today(db);
    const due = query.sort === 'due' || query.due ? await this.firstDue(db) : [];
    const { rows, total } = await this.repository.shelf(db, query, readCursor(query.cursor), today, due);
    const page = rows.slice(0, query.limit);
    const last = page.at(-1);
    const nextCursor = rows.length > query.limit && last ? writeCursor({ key: last.key, id: last.item.id }) : null;
    return {
      items: await this.withStates(
        db,
        page.map((r) => r.item),
      ),
      nextCursor,
      total,
    };
  }

  async page(id: string): Promise<ItemPage> {
    const { db } = this.database;
    const found = await this.get(db, id);
    const duties = this.agenda.ofThings(db, [found]);
    const [of, [item], open, touches, neighbours, fitting, files] = await Promise.all([
      duties.then((all) => all.get(id)),
      this.withStates(db, [found], duties),
      this.openWork.of(db, id),
      this.touches(db, found),
      found.status === 'quarantined' ? this.stays.neighboursOf(db, id, this.ago(NEIGHBOUR_DAYS)) : [],
      this.fitting.of(db, found),
      this.files.of(db, id),
    ]);
    return {
      ...item!,
      due: (of?.duties ?? []).filter(fallsDue),
      away: of?.away ?? null,
      noted: of?.noted ?? [],
      ...touches,
      ...fitting,
      files,
      neighbours,
      openTeardownId: open.teardown,
      openLookId: open.look,
      openCleaningId: open.cleaning,
    };
  }

  update(id: string, { version, ...given }: ItemUpdate): Promise<Item> {
    return this.database.transaction(async (db) => this.updateIn(db, { ...(await this.get(db, id)), version }, given));
  }

  /** Edits a thing in the caller's transaction. @param before as whoever edits it has seen it. */
  async updateIn(db: Db, before: Item, given: ItemInput): Promise<Item> {
    // Whoever says nothing of its particulars takes nothing from them but what another kind does not have.
    const particulars = settled(given.particulars ?? gear.ofKind(given.kind, before.particulars));
    const belongsTo = given.belongsTo === undefined ? before.belongsTo : given.belongsTo;
    if (belongsTo !== null && belongsTo !== before.belongsTo) await checkTogether(db, this.repository, before.id, belongsTo);
    const input = { ...given, particulars, belongsTo, name: given.name.trim() };
    const changes = changesOf(before, input);
    const { changed } = changes;
    const item = await this.change(db, before.id, before.version, input, { kind: 'edited', ...changes });
    await this.repository.dropStatesBeyond(db, item.id, care.surfacesOf(item.kind, item.traits));
    if (changed.includes('traits') || changed.includes('kind')) await this.verdicts.judge(db, item);
    return item;
  }

  /** Sets a thing apart in the caller's transaction, and has what lay beside it looked at. */
  async isolateIn(db: Db, id: string): Promise<void> {
    const { version } = await this.get(db, id);
    await this.setStatusIn(db, id, { version, status: 'quarantined' });
  }

  setStatus(id: string, change: StatusChange): Promise<Item> {
    return this.database.transaction((db) => this.setStatusIn(db, id, change));
  }

  private async setStatusIn(db: Db, id: string, { version, status }: StatusChange): Promise<Item> {
    const item = await this.change(db, id, version, { status }, { kind: status === 'quarantined' ? 'quarantined' : 'released' });
    if (status === 'quarantined') await this.isolate(db, item);
    return item;
  }

  /** Takes a thing off the shelf: for now, or because it is gone, from which day on nothing of it lies anywhere. */
  archive(id: string, { version, gone, together = false }: ArchiveItem): Promise<Item> {
    return this.database.transaction(async (db) => {
      if (!gone) return this.change(db, id, version, { archivedAt: this.clock.now() }, { kind: 'archived' });
      const { acquiredOn } = await this.get(db, id);
      if (gone.on > (await this.settings.today(db)))
        throw problem(commonErrors, 'in-the-future', { fields: { 'gone.on': 'This day is still to come.' } });
      if (acquiredOn !== null && gone.on < acquiredOn)
        throw problem(commonErrors, 'bad-input', { fields: { 'gone.on': `It came on ${acquiredOn}: it cannot have gone before.` } });
      const own = together ? (await this.repository.ownOf(db, [id])).get(id)!.map((thing) => thing.id) : [];
      const at = this.clock.now();
      // The sum that came stands with the thing itself.
      for (const part of await this.repository.findMany(db, own)) await this.letGo(db, part, { ...gone, for: null }, at);
      return this.letGo(db, { id, version }, gone, at);
    });
  }

  /** All that goes together goes in one moment. */
  private async letGo(db: Db, { id, version }: Pick<Item, 'id' | 'version'>, gone: gear.Gone, at: Date): Promise<Item> {
    await this.stays.end(db, id, at);
    const change = { archivedAt: at, goneWhy: gone.why, goneOn: gone.on, goneFor: gone.for };
    return this.change(db, id, version, change, { kind: 'archived', gone }, at);
  }

  restore(id: string, version: number): Promise<Item> {
    return this.database.transaction((db) => this.change(db, id, version, BACK_ON_THE_SHELF, { kind: 'restored' }));
  }

  /** Takes many things off the shelf, or puts them back, in one go. @returns those that were not so already. */
  archiveAll(itemIds: readonly string[], archived: boolean): Promise<DoneToMany> {
    return this.database.transaction(async (db) => {
      const at = this.clock.now();
      const found = (await this.repository.findMany(db, itemIds)).filter((i) => (i.archivedAt !== null) !== archived);
      for (const { id, version } of found)
        await this.change(db, id, version, archived ? { archivedAt: at } : BACK_ON_THE_SHELF, { kind: archived ? 'archived' : 'restored' });
      return { itemIds: found.map((i) => i.id) };
    });
  }

  /** Gives many things a tag, or takes it off them, in one go. @returns those that it changed. */
  tagAll({ itemIds: asked, tag, has }: TagThings): Promise<DoneToMany> {
    return this.database.transaction(async (db) => {
      const found = await this.repository.findMany(db, asked);
      const itemIds: string[] = [];
      for (const item of found) {
        const particulars = gear.tagged(item.particulars, tag, has);
        if (particulars === item.particulars) continue;
        await this.change(db, item.id, item.version, { particulars }, { kind: 'edited', ...changesOf(item, { ...item, particulars }) });
        itemIds.push(item.id);
      }
      return { itemIds };
    });
  }

  async log(id: string, { limit, cursor }: LogQuery): Promise<Log> {
    const { db } = this.database;
    await this.get(db, id);
    const entries = await this.journal.log(db, id, limit, readCursor(cursor));
    const page = entries.slice(0, limit);
    const last = page.at(-1);
    return { entries: page, nextCursor: entries.length > limit && last ? writeCursor({ key: last.at, id: last.id }) : null };
  }

  /** @throws ProblemError when there is no such thing. */
  get(db: Db, id: string): Promise<Item> {
    return this.repository.versioned.find(db, id);
  }

  /** The thing, if work may begin on it. */
  async workable(db: Db, id: string): Promise<Item> {
    const item = await this.get(db, id);
    if (item.archivedAt) throw problem(gearErrors, 'item-archived');
    return item;
  }

  /** Takes a thing out of its place and has everything that shared it looked through. */
  private async isolate(db: Db, item: Item): Promise<void> {
    const neighbours = await this.stays.neighboursOf(db, item.id, this.ago(NEIGHBOUR_DAYS));
    await this.stays.end(db, item.id, this.clock.now());
    const inUse = (
      await this.repository.findMany(
        db,
        neighbours.map((n) => n.itemId),
      )
    ).filter((n) => n.status === 'in-use');
    const at = this.clock.now();
    await this.journal.addForThings(
      db,
      inUse.map((n) => ({ id: this.ids.next(), itemId: n.id, at, data: { kind: 'neighbour-isolated', name: item.name } })),
    );
  }

  private ago(days: number): Date {
    return new Date(this.clock.now().getTime() - days * MS_PER_DAY);
  }

  /** Touches per surface over 12 months, with a gentle word where there is reason for one. */
  private async touches(db: Db, item: Item): Promise<Pick<ItemPage, 'contacts' | 'gentleWords'>> {
    const peers = (await this.repository.idsOfKind(db, item.kind)).filter((id) => id !== item.id);
    const rows = await this.repository.touchesSince(db, [item.id, ...peers], this.ago(YEAR_DAYS));
    const own = rows.filter((r) => r.itemId === item.id);
    const ofPeers = (surface: care.Surface) => peers.map((id) => rows.find((r) => r.itemId === id && r.surface === surface)?.touches ?? 0);
    const gentleWords: ItemPage['gentleWords'] = {};
    for (const { surface, touches, withoutEvidence } of own) {
      const word = care.gentleWord({ touches, withoutEvidence, peers: ofPeers(surface) });
      if (word) gentleWords[surface] = word;
    }
    return {
      contacts: Object.fromEntries(own.map((r) => [r.surface, r.touches])),
      gentleWords,
    };
  }

  private async change(db: Db, id: string, version: number, change: object, data: LogData, at = this.clock.now()): Promise<Item> {
    const item = await this.repository.versioned.update(db, id, version, { ...change, updatedAt: at });
    await this.journal.addForThings(db, [{ id: this.ids.next(), itemId: id, at, data }]);
    return item;
  }

  private async withStates(
    db: Db,
    items: readonly Item[],
    asked: Promise<ReadonlyMap<string, ThingDuties>> = this.agenda.ofThings(db, items),
  ): Promise<ShelfItem[]> {
    const ids = items.map((i) => i.id);
    const [states, faces, lies, duties] = await Promise.all([
      this.repository.statesOf(db, ids),
      this.files.faces(db, ids),
      this.stays.open(db, ids),
      asked,
    ]);
    const places = new Map(lies.map((l) => [l.itemId, { id: l.placeId, name: l.name, since: l.since.toISOString() }]));
    return items.map((item) => {
      const surfaces = states.get(item.id) ?? [];
      return {
        ...item,
        face: faces.get(item.id) ?? null,
        place: places.get(item.id) ?? null,
        surfaces,
        verdict: care.gravestOf(surfaces),
        nextDue: duties.get(item.id)?.duties.find(fallsDue) ?? null,
      };
    });
  }

  /** When each thing on the shelf first falls due, and how long it may wait at the latest. */
  async firstDue(db: Db): Promise<FirstDue[]> {
    const duties = await this.agenda.ofThings(db, await this.repository.all(db));
    return [...duties].flatMap(([item_id, of]) => {
      const windows = of.duties.filter(fallsDue).map((d) => d.window);
      const [first] = windows;
      return first ? [{ item_id, due: first.due, latest: windows.map((w) => w.latest).sort()[0]! }] : [];
    });
  }
}
