import type { Inventory, InventoryThing, Item } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { GearRepository, ItemFileRepository } from '../gear/index.js';
import { StayRepository } from '../places/index.js';

/** The whole inventory with pictures and papers, as it is printed. */
@Injectable()
export class InventoryService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly files: ItemFileRepository,
    private readonly stays: StayRepository,
  ) {}

  async inventory(): Promise<Inventory> {
    const { db } = this.database;
    const [things, gone, files, stays] = await Promise.all([
      this.repository.all(db),
      this.repository.gone(db),
      this.files.all(db),
      this.stays.open(db),
    ]);
    const faces = await this.files.faces(
      db,
      [...things, ...gone].map(({ id }) => id),
    );
    const places = new Map(stays.map(({ itemId, placeId, name }) => [itemId, { id: placeId, name }]));
    const printed = (item: Item): InventoryThing => ({
      ...item,
      face: faces.get(item.id) ?? null,
      place: places.get(item.id) ?? null,
      files: files.get(item.id) ?? [],
    });
    return { things: things.map(printed), gone: gone.map(printed) };
  }
}
