import { type CorrectLook, inspectionErrors, type ItemPage } from '@bright-keeper/contract';
import { type care, inspection, type schedule } from '@bright-keeper/core';
import { keptWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { InspectionService, lookData } from '../inspection/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { GearService } from '../shelf/index.js';
import { staleNow } from '../versioned/index.js';
import { type Past, PastRepository } from './past.repository.js';

type LookEntry = schedule.Entry & { data: Extract<schedule.JournalData, { kind: 'look' }> };

/** Looks that are over: corrected or taken back, and what is known of the thing then. */
@Injectable()
export class PastLooksService {
  constructor(
    private readonly database: Database,
    private readonly repository: PastRepository,
    private readonly gear: GearRepository,
    private readonly shelf: GearService,
    private readonly looks: InspectionService,
    private readonly journal: JournalRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** As if it had never been looked at then. @returns why it stands; null where it is taken back. */
  async takeBackIn(db: Db, entry: LookEntry): Promise<schedule.KeptReason | null> {
    const { lookId, seen } = entry.data;
    const itemId = entry.subject.id;
    // An earlier version did not keep what was seen.
    if (!seen) return 'not-kept';
    const kept = await this.whyItStands(db, itemId, lookId, seen);
    if (kept) return kept;
    await this.journal.addForThings(db, [this.undone(itemId, entry.id)]);
    await this.settle(db, itemId, seen);
    return null;
  }

  /**
   * What was seen after all: what is known of the thing is as if that had been said then, and the log tells what was said
   * before.
   *
   * @throws ProblemError 409 where a clean rests on what was said, 404 where there is no such look or it is not over.
   */
  correct(id: string, { version, answers }: CorrectLook): Promise<ItemPage> {
    return this.database
      .transaction(async (db) => {
        const look = await this.repository.look(db, id);
        const entryId = look && (await this.repository.entryOfLook(db, id));
        const entry = entryId ? await this.journal.find(db, entryId) : null;
        if (!look?.finishedAt || !entry || entry.data.kind !== 'look') throw problem(inspectionErrors, 'look-not-found');
        if (look.version !== version) throw staleNow(await this.looks.get(id, db));
        await this.looks.checkSurfaces(db, look.itemId, answers);
        const item = await this.shelf.get(db, look.itemId);
        const { schools } = await this.settings.get(db);
        const known = inspection.knownFromLook(item, answers, schools);
        if (known.length === 0) throw problem(inspectionErrors, 'nothing-looked-at');
        const said = (from: typeof answers, surface: care.Surface) => from.find((a) => a.surface === surface && !a.noted)?.findings;
        const all = [...new Set([...answers, ...look.answers].map((a) => a.surface))];
        const changed = all.filter((surface) => JSON.stringify(said(answers, surface)) !== JSON.stringify(said(look.answers, surface)));
        const kept = await this.whyItStands(db, look.itemId, id, changed);
        if (kept) throw problem(inspectionErrors, 'look-stands', { detail: keptWords(kept) });
        await this.repository.saveAnswers(db, id, version, answers);
        const { verdicts, notes, photos = 0 } = entry.data;
        const at = new Date(entry.at);
        await this.journal.addForThings(db, [
          this.undone(look.itemId, entry.id),
          { id: this.ids.next(), itemId: look.itemId, at, data: { ...lookData(id, answers, known, photos), before: { verdicts, notes } } },
        ]);
        await this.settle(db, look.itemId, changed);
        return look.itemId;
      })
      .then((itemId) => this.shelf.page(itemId));
  }

  /** What a later clean, or one that is under way, began from is not taken from under it. */
  private async whyItStands(
    db: Db,
    itemId: string,
    lookId: string,
    surfaces: readonly care.Surface[],
  ): Promise<schedule.KeptReason | null> {
    if (surfaces.length === 0) return null;
    if (await this.repository.isBeingCleaned(db, itemId)) return 'under-way';
    const past = await this.repository.of(db, itemId);
    const look = past.find(({ id }) => id === lookId);
    if (!look) return 'gone';
    if (past.some((other) => isLater(other, look) && hasCleaned(other, surfaces))) return 'cleaned-since';
    // What a line knew of its surfaces when it was split off stands in the log of the other one.
    const splits = await this.journal.ofKind(db, itemId, 'split');
    return splits.some(({ data }) => data.kind === 'split' && data.of === 'from') ? 'split-off' : null;
  }

  /** What is known of these surfaces by all that stands. */
  private async settle(db: Db, itemId: string, surfaces: readonly care.Surface[]): Promise<void> {
    const item = await this.shelf.get(db, itemId);
    const { schools } = await this.settings.get(db);
    const told = (await this.repository.of(db, itemId)).map((past) => past.told);
    const known = inspection.knownFromAll(item, told, schools).filter((state) => surfaces.includes(state.surface));
    for (const surface of surfaces) await this.repository.forget(db, itemId, surface);
    await this.gear.saveStates(
      db,
      itemId,
      known.map((state) => ({ ...state, knownSince: new Date(state.knownSince) })),
    );
  }

  private undone(itemId: string, entryId: string) {
    return { id: this.ids.next(), itemId, at: this.clock.now(), data: { kind: 'undone', entryId } as const };
  }
}

const isLater = (a: Past, b: Past): boolean => Date.parse(a.told.at) >= Date.parse(b.told.at);
const hasCleaned = ({ told }: Past, surfaces: readonly care.Surface[]): boolean =>
  'cleaning' in told && surfaces.some((s) => told.cleaning.outcomes[s] !== undefined && told.cleaning.outcomes[s] !== 'not-reached');
