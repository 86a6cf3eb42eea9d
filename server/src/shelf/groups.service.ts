import type { GroupQuery, ShelfGroups } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { PlaceService } from '../places/index.js';
import { SettingsService } from '../settings/index.js';
import { GearService } from './gear.service.js';

/** The shelf in groups, with how much there is of each and what it is worth. */
@Injectable()
export class GroupsService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly shelf: GearService,
    private readonly places: PlaceService,
    private readonly settings: SettingsService,
  ) {}

  async groups({ by, ...query }: GroupQuery): Promise<ShelfGroups> {
    const { db } = this.database;
    const today = await this.settings.today(db);
    const due = query.due ? await this.shelf.firstDue(db) : [];
    const groups = gear.groupsBy(by, await this.repository.grouped(db, query, today, due));
    const names = by === 'place' ? new Map((await this.places.all(db)).map(({ id, name }) => [id, name])) : null;
    const named = groups.map((group) => ({ ...group, name: group.key && (names?.get(group.key) ?? group.key) }));
    const known = named.filter(({ key }) => key !== null).sort((a, b) => a.name!.localeCompare(b.name!));
    return { groups: [...known, ...named.filter(({ key }) => key === null)] };
  }
}
