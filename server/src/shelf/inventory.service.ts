import { commonErrors, type Inventory, type InventoryThing, type Item } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository, ItemFileRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { StayRepository } from '../places/index.js';
import { SettingsService } from '../settings/index.js';
import { PastShelfService } from './pastShelf.service.js';

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
    private readonly past: PastShelfService,
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
    const endOfDay = new Date(schedule.startOfDay(schedule.addDays(on, 1), timeZone) - 1);
    const [shelf, stays] = await Promise.all([this.past.read(db), this.stays.at(db, endOfDay)]);
    const then = shelf.on(on);
    const inventory = await this.printed(
      db,
      then.filter(({ gone }) => gone === null),
      then.filter(({ gone }) => gone !== null),
      placesOf(stays),
    );
    const byThen = ({ files, ...thing }: InventoryThing): InventoryThing => ({
      ...thing,
      files: files.filter(({ at }) => Date.parse(at) <= endOfDay.getTime()),
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
