import type { Item } from '@bright-keeper/contract';
import { type care, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { GearService } from '../shelf/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { SuppliesService } from '../supplies/index.js';

/** What was chosen for one plan: where, in what weather, and schools laid over those of the settings. */
export type PlanChoices = {
  place: care.Place;
  conditions?: care.Conditions | undefined;
  schools?: Partial<care.Schools> | undefined;
  /** The kit that is along outdoors, by its name; null where none is named. */
  kit?: string | null | undefined;
};

/** Everything a plan is made from, as it is kept: the thing, what was last seen, the drawer and the schools. */
@Injectable()
export class PlanRequestService {
  constructor(
    private readonly gear: GearService,
    private readonly gearRepository: GearRepository,
    private readonly settings: SettingsService,
    private readonly drawer: SuppliesService,
    private readonly journal: JournalRepository,
    private readonly clock: Clock,
  ) {}

  async forThing(db: Db, itemId: string, choices: PlanChoices): Promise<{ item: Item; request: care.PlanRequest }> {
    const item = await this.gear.workable(db, itemId);
    const states = (await this.gearRepository.statesOf(db, [itemId])).get(itemId) ?? [];
    const found = states.flatMap((state) => state.findings.map((f) => ({ ...f, surface: state.surface })));
    const findings = schedule.withNoted(found, schedule.notedOutdoors(item, await this.journal.ofThing(db, itemId, this.clock.now())));
    return { item, request: await this.withHouse(db, { item: { kind: item.kind, traits: item.traits }, findings }, choices) };
  }

  /** The same thing and findings with the drawer, the schools and the practice of now. */
  async withHouse(
    db: Db,
    what: Pick<care.PlanRequest, 'item' | 'findings'>,
    { place, conditions, schools, kit = null }: PlanChoices,
  ): Promise<care.PlanRequest> {
    const drawer = await this.drawer.onHand(db, place, kit);
    const settings = await this.settings.get(db);
    return {
      ...what,
      place,
      ...(conditions ? { conditions } : {}),
      ...drawer,
      schools: { ...settings.schools, ...schools },
      sensorRehearsed: settings.sensorRehearsedOn !== null,
    };
  }
}
