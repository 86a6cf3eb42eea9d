import type { Item, KeptOffer, KeptOffers, OfferInput, OfferUpdate } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { InspectionService } from '../inspection/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { GearService } from '../shelf/index.js';
import { OfferRepository } from './offer.repository.js';

/** What is kept of an offer beside its name and its note. */
const seenIn = ({ trouble, where, how, hands, sums, own }: OfferInput): record.OfferSeen => ({ trouble, where, how, hands, sums, own });
const kept = (input: OfferInput) => ({ name: input.name.trim(), note: input.note, seen: seenIn(input) });

/** Offers to buy something with a fault, until they are bought or declined. */
@Injectable()
export class OfferService {
  constructor(
    private readonly database: Database,
    private readonly repository: OfferRepository,
    private readonly gear: GearService,
    private readonly looks: InspectionService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async all(): Promise<KeptOffers> {
    return { offers: await this.repository.all(this.database.db) };
  }

  add(input: OfferInput): Promise<KeptOffer> {
    return this.database.transaction(async (db) => {
      const [id, at] = [this.ids.next(), this.clock.now()];
      await this.repository.insert(db, { id, ...kept(input), createdAt: at, updatedAt: at });
      return this.repository.versioned.find(db, id);
    });
  }

  update(id: string, { version, ...input }: OfferUpdate): Promise<KeptOffer> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.open(db, id);
      return this.repository.versioned.update(db, id, version, { ...kept(input), updatedAt: this.clock.now() });
    });
  }

  /** It came: it stands on the shelf since today, for what was asked, with what was seen of it as its first look. */
  bought(id: string, version: number): Promise<Item> {
    return this.database.transaction(async (db) => {
      const offer = await this.repository.versioned.open(db, id);
      const particulars = { condition: 'used' as const, paid: offer.sums.asked };
      const acquiredOn = await this.settings.today(db);
      const thing = { name: offer.name, kind: 'lens' as const, traits: {}, notes: offer.note, acquiredOn, particulars };
      const [itemId] = await this.gear.insertAll(db, [thing], 'added');
      const { surface, soil, severity } = record.seenOf(offer);
      await this.looks.seen(db, itemId!, [{ surface, findings: [{ soil, severity }], note: '' }]);
      await this.repository.versioned.update(db, id, version, { state: 'bought', itemId: itemId!, updatedAt: this.clock.now() });
      return this.gear.get(db, itemId!);
    });
  }

  declined(id: string, version: number): Promise<KeptOffer> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.open(db, id);
      return this.repository.versioned.update(db, id, version, { state: 'declined', updatedAt: this.clock.now() });
    });
  }

  /** Forgets an offer, over or not; what was bought by it stands on the shelf. */
  remove(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.find(db, id);
      await this.repository.remove(db, id);
    });
  }
}
