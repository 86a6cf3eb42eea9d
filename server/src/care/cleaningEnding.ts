import type { Cleaning, Item } from '@bright-keeper/contract';
import { care, inspection, supplies } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { Ids } from '../platform/index.js';
import { GearService } from '../shelf/index.js';
import { SuppliesService } from '../supplies/index.js';
import { FieldService } from './field.service.js';

/** A cleaning as far as its end needs it. */
type Ended = Pick<Cleaning, 'id' | 'itemId' | 'plan' | 'request' | 'events' | 'startedAt'>;

/** What the end of a cleaning writes: the journal, the surfaces, the contact counts and the drawer. */
@Injectable()
export class CleaningEnding {
  constructor(
    private readonly gear: GearService,
    private readonly gearRepository: GearRepository,
    private readonly journal: JournalRepository,
    private readonly drawer: SuppliesService,
    private readonly field: FieldService,
    private readonly ids: Ids,
  ) {}

  /**
   * All of it in the caller's transaction.
   *
   * @param at when it was ended. What was seen of a surface later than that stands.
   * @param acceptShort what the drawer held less of than was used is counted as used up, and not asked about.
   */
  async write(db: Db, cleaning: Ended, at: Date, acceptShort: boolean): Promise<void> {
    const item = await this.gear.get(db, cleaning.itemId);
    const outcomes = care.outcomesOf(cleaning.plan, cleaning.events);
    await this.drawer.take(db, supplies.consumptionOf(cleaning.plan, cleaning.events), { at, acceptShort });
    await this.writeStates(db, item, cleaning, outcomes, at);
    await this.writeContactsAndLog(db, cleaning, outcomes, at);
    await this.field.putOff(db, item.id, cleaning.plan.deferred, at);
  }

  private async writeStates(
    db: Db,
    item: Item,
    { plan, request }: Ended,
    outcomes: ReturnType<typeof care.outcomesOf>,
    at: Date,
  ): Promise<void> {
    const states = (await this.gearRepository.statesOf(db, [item.id])).get(item.id) ?? [];
    const known = inspection.knownFromCleaning(item, states, { plan, outcomes, schools: request.schools });
    await this.gearRepository.saveStates(
      db,
      item.id,
      known.map((state) => ({ ...state, knownSince: at })),
    );
  }

  private async writeContactsAndLog(db: Db, cleaning: Ended, outcomes: ReturnType<typeof care.outcomesOf>, at: Date): Promise<void> {
    const { contacts, done } = care.benchState(cleaning.plan, cleaning.events);
    const { itemId, plan } = cleaning;
    const touched = Object.entries(contacts) as [care.Surface, number][];
    await this.gearRepository.addContacts(
      db,
      touched.map(([surface, touches]) => ({
        id: this.ids.next(),
        itemId,
        surface,
        touches,
        withoutEvidence: care.isWithoutEvidence(cleaning.request.findings.filter((f) => f.surface === surface)),
        at,
      })),
    );
    const doneSteps = plan.steps.filter((s) => done.includes(s.id));
    const tacky = plan.steps.some((s) => s.removes.includes('sticky-coating') && outcomes[s.surface] !== 'not-reached');
    await this.journal.addForThings(db, [
      {
        id: this.ids.next(),
        itemId,
        at,
        data: {
          kind: 'clean',
          cleaningId: cleaning.id,
          place: cleaning.request.place,
          outcomes,
          contacts,
          methods: [...new Set(doneSteps.map((s) => s.method))],
          minutes: Math.max(1, Math.round((at.getTime() - Date.parse(cleaning.startedAt)) / 60_000)),
          ...(tacky ? { tacky } : {}),
        },
      },
    ]);
  }
}
