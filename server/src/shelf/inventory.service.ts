import { commonErrors, type Inventory, type InventoryThing, type Item } from '@bright-keeper/contract';
import { record, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository, ItemFileRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { StayRepository } from '../places/index.js';
import { SettingsService } from '../settings/index.js';

type Places = ReadonlyMap<string, { id: string; name: string }>;
const placesOf = (stays: readonly { itemId: string; placeId: string; name: string }[]): Places =>
  new Map(stays.map(({ itemId, placeId, name }) => [itemId, { id: placeId, name }]));

/** The whole inventory with pictures and papers, as it is printed: as it stands, or as it stood. */
@Injectable()
export class InventoryService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly files: ItemFileRepository,
    private readonly stays: StayRepository,
    private readonly journal: JournalRepository,
    private readonly settings: SettingsService,
  ) {}

  /** @param on as it stood at the end of that day. @throws ProblemError where that is still to come. */
  async inventory(on?: schedule.Day): Promise<Inventory> {
    const { db } = this.database;
    const today = await this.settings.today(db);
    if (on !== undefined && on > today) throw problem(commonErrors, 'in-the-future', { fields: { on: 'This day is still to come.' } });
    return on === undefined || on === today ? this.now(db) : this.asOf(db, on);
  }

  private async now(db: Db): Promise<Inventory> {
    const [things, gone, stays] = await Promise.all([this.repository.all(db), this.repository.gone(db), this.stays.open(db)]);
    return this.printed(db, things, gone, placesOf(stays));
  }

  private async asOf(db: Db, on: schedule.Day): Promise<Inventory> {
    const { timeZone } = await this.settings.get(db);
    const dayOf = (instant: string): schedule.Day => schedule.localDay(instant, timeZone);
    const endOfDay = new Date(schedule.startOfDay(schedule.addDays(on, 1), timeZone) - 1);
    const [ever, edits, stays] = await Promise.all([this.repository.ever(db), this.journal.edits(db), this.stays.at(db, endOfDay)]);
    const then = ever.flatMap((item) => {
      const own = (edits.get(item.id) ?? []).map((edit) => ({ ...edit, day: dayOf(edit.at) }));
      const was = record.asOfDay(item, dayOf(item.createdAt), own, on);
      // What was put away by then is in no inventory, unless it was gone.
      const away = item.gone === null && item.archivedAt !== null && dayOf(item.archivedAt) <= on;
      return was && !away ? [was] : [];
    });
    const inventory = await this.printed(
      db,
      then.filter(({ gone }) => gone === null),
      then.filter(({ gone }) => gone !== null),
      placesOf(stays),
    );
    const byThen = ({ files, ...thing }: InventoryThing): InventoryThing => ({
      ...thing,
      files: files.filter(({ at }) => dayOf(at) <= on),
    });
    return { things: inventory.things.map(byThen), gone: inventory.gone.map(byThen) };
  }

  private async printed(db: Db, things: readonly Item[], gone: readonly Item[], places: Places): Promise<Inventory> {
    const ids = [...things, ...gone].map(({ id }) => id);
    const [files, faces] = await Promise.all([this.files.all(db), this.files.faces(db, ids)]);
    const printed = (item: Item): InventoryThing => ({
      ...item,
      face: faces.get(item.id) ?? null,
      place: places.get(item.id) ?? null,
      files: files.get(item.id) ?? [],
    });
    return { things: things.map(printed), gone: gone.map(printed) };
  }
}
