import { inspectionErrors, type Item, type ItemPage, type LookAnswer, type LookDoc, type SaveLook } from '@bright-keeper/contract';
import { care, inspection, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { GearService } from '../shelf/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { JournalRepository } from '../journal/index.js';
import { SettingsService } from '../settings/index.js';
import { InspectionRepository } from './inspection.repository.js';
import { LookPhotoService } from './lookPhoto.service.js';

@Injectable()
export class InspectionService {
  constructor(
    private readonly database: Database,
    private readonly repository: InspectionRepository,
    private readonly gear: GearService,
    private readonly gearRepository: GearRepository,
    private readonly journal: JournalRepository,
    private readonly photos: LookPhotoService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Starts a look at a thing, or goes on with the one that is open. */
  start(itemId: string): Promise<LookDoc> {
    return this.database.transaction(async (db) => {
      const item = await this.gear.workable(db, itemId);
      const open = await this.repository.openOf(db, itemId);
      if (open) return open;
      const answers = await this.notedOutdoors(db, item);
      await this.repository.insert(db, { id: this.ids.next(), itemId, at: null, answers, startedAt: this.clock.now() });
      return (await this.repository.openOf(db, itemId))!;
    });
  }

  get(id: string): Promise<LookDoc> {
    return this.repository.versioned.find(this.database.db, id);
  }

  save(id: string, { version, at, answers }: SaveLook): Promise<LookDoc> {
    return this.database.transaction(async (db) => {
      const look = await this.repository.versioned.open(db, id);
      await this.checkSurfaces(db, look.itemId, answers);
      return this.repository.versioned.update(db, id, version, { at, answers });
    });
  }

  /** Writes what is known of each surface and the journal, together; the next look falls due from it. */
  finish(id: string, version: number): Promise<ItemPage> {
    return this.database
      .transaction(async (db) => {
        const look = await this.repository.versioned.open(db, id);
        // What was only expected there, and that nobody has confirmed, was not seen.
        const seen = look.answers.filter((a) => !a.noted);
        if (seen.length === 0) throw problem(inspectionErrors, 'nothing-looked-at');
        const at = this.clock.now();
        const item = await this.gear.get(db, look.itemId);
        const { schools } = await this.settings.get(db);
        const own = care.surfacesOf(item.kind, item.traits);
        const answers = seen.filter((a) => own.includes(a.surface));
        const states = answers.map(({ surface, findings }) => ({
          surface,
          findings,
          knownSince: at,
          ...inspection.assessSurface(
            item,
            findings.map((f) => ({ ...f, surface })),
            schools,
          ),
        }));
        const { photos } = await this.photos.of(id, db);
        await this.repository.versioned.update(db, id, version, { finishedAt: at });
        await this.gearRepository.saveStates(db, item.id, states);
        await this.journal.addForThings(db, [
          {
            id: this.ids.next(),
            itemId: item.id,
            at,
            data: {
              kind: 'look',
              lookId: id,
              looked: answers.length,
              seen: answers.map((a) => a.surface),
              ...(photos.length > 0 ? { photos: photos.length } : {}),
              verdicts: states
                .filter((s) => s.findings.length > 0)
                .map(({ surface, verdict, findings }) => ({ surface, verdict, findings })),
              notes: answers.filter((a) => a.note !== '').map(({ surface, note }) => ({ surface, note })),
            },
          },
        ]);
        return item.id;
      })
      .then((itemId) => this.gear.page(itemId));
  }

  /** Drops an open look; nothing of it was counted anywhere. */
  drop(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.open(db, id);
      await this.photos.removeAll(db, id);
      await this.repository.remove(db, id);
    });
  }

  /** What was noted of it outdoors and not looked at since, as what this look is likely to find. */
  private async notedOutdoors(db: Db, item: Item): Promise<LookAnswer[]> {
    const answers = new Map<care.Surface, LookAnswer>();
    for (const { surface, soil, severity, happening } of schedule.notedOutdoors(
      item,
      await this.journal.ofThing(db, item.id, this.clock.now()),
    )) {
      const before = answers.get(surface)?.findings ?? [];
      answers.set(surface, { surface, findings: [...before, { soil, severity }], note: '', noted: happening });
    }
    return [...answers.values()];
  }

  private async checkSurfaces(db: Db, itemId: string, answers: readonly LookAnswer[]): Promise<void> {
    const item = await this.gear.get(db, itemId);
    const own = care.surfacesOf(item.kind, item.traits);
    const stray = answers.findIndex((a) => !own.includes(a.surface));
    if (stray >= 0)
      throw problem(inspectionErrors, 'surface-not-there', {
        fields: {
          [`answers.${stray}.surface`]: `This ${care.kindFacts(item.kind).name} has no ${care.surfaceFacts(answers[stray]!.surface).name}.`,
        },
      });
  }
}
