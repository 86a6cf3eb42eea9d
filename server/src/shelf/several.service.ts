import { gearErrors, type Item, type SplitItem } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { AgendaService } from '../agenda/index.js';
import { Database } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { StayRepository } from '../places/index.js';
import { Clock, Ids } from '../platform/index.js';

/** Several equal things on one line. */
@Injectable()
export class SeveralService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly agenda: AgendaService,
    private readonly journal: JournalRepository,
    private readonly stays: StayRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /**
   * Makes some of several equal things a line of their own: in the same place since the same day, in the same state, with
   * what is known of their surfaces. The looks of before were at the line it was: this one is asked to be looked at anew.
   *
   * @returns the new line.
   */
  split(id: string, { version, count }: SplitItem): Promise<Item> {
    return this.database.transaction(async (db) => {
      const item = await this.repository.versioned.find(db, id);
      const there = gear.countOf(item.particulars);
      if (item.archivedAt) throw problem(gearErrors, 'item-archived');
      if (count >= there) throw problem(gearErrors, 'too-few-to-split', { fields: { count: `There are ${there} of them.` } });
      if ((await this.agenda.ofThings(db, [item])).get(id)?.away) throw problem(gearErrors, 'split-while-away');

      const [at, newId] = [this.clock.now(), this.ids.next()];
      const { stays, goes } = gear.split(item.particulars, count);
      await this.repository.versioned.update(db, id, version, { particulars: stays, updatedAt: at });
      const { name, kind, traits, notes, acquiredOn, status } = item;
      await this.repository.insert(db, [
        { id: newId, name, kind, traits, notes, acquiredOn, status, particulars: goes, createdAt: at, updatedAt: at },
      ]);
      const known = (await this.repository.statesOf(db, [id])).get(id) ?? [];
      await this.repository.saveStates(
        db,
        newId,
        known.map((state) => ({ ...state, knownSince: new Date(state.knownSince) })),
      );
      const place = await this.stays.current(db, id);
      if (place)
        await this.stays.begin(db, { id: this.ids.next(), itemId: newId, placeId: place.id, since: new Date(place.since), until: null });
      await this.journal.addForThings(db, [
        { id: this.ids.next(), itemId: id, at, data: { kind: 'split', of: 'off', name, count } },
        { id: this.ids.next(), itemId: newId, at, data: { kind: 'split', of: 'from', name, count } },
      ]);
      return this.repository.versioned.find(db, newId);
    });
  }
}
