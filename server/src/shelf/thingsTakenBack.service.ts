import { itemInput, JOI_OPTIONS } from '@bright-keeper/contract';
import { care, gear, type schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Db } from '../db/index.js';
import { GearRepository, VerdictsService } from '../gear/index.js';
import { ProblemError } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { StayRepository } from '../places/index.js';
import { BACK_ON_THE_SHELF, FIELDS, type Edited } from './edits.js';
import { checkTogether } from './together.js';

export type Turn = { kind: 'archived' | 'restored' | 'quarantined' | 'released'; gone?: gear.Gone };
type Of<Data> = Omit<schedule.Entry, 'data'> & { data: Data };
/** What a turn is taken back from: the last of its pair. */
const PAIR: Record<Turn['kind'], readonly Turn['kind'][]> = {
  archived: ['archived', 'restored'],
  restored: ['archived', 'restored'],
  quarantined: ['quarantined', 'released'],
  released: ['quarantined', 'released'],
};
/** What one deed writes is of one moment, within the time a transaction takes. */
const ONE_DEED_MS = 30_000;

/** Edits of a thing, and its comings and goings from the shelf, taken back. */
@Injectable()
export class ThingsTakenBackService {
  constructor(
    private readonly repository: GearRepository,
    private readonly verdicts: VerdictsService,
    private readonly journal: JournalRepository,
    private readonly stays: StayRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** What stood there before stands there again. @returns why the edit stands; null where it is taken back. */
  async edit(db: Db, entry: Of<Edited>): Promise<schedule.KeptReason | null> {
    const { changed, was = {}, before = {} } = entry.data;
    const fields = FIELDS.filter((field) => changed.includes(field));
    if (fields.some((field) => before[field] === undefined)) return 'not-kept';
    const edits = await this.journal.ofKind(db, entry.subject.id, 'edited');
    const since = edits.slice(edits.findIndex(({ id }) => id === entry.id) + 1);
    if (since.some(({ data }) => data.kind === 'edited' && data.changed.some((name) => changed.includes(name)))) return 'changed-since';

    const { version, ...item } = await this.repository.versioned.find(db, entry.subject.id);
    const told = gear.PARTICULAR_IDS.filter((id) => changed.includes(id));
    const others = Object.entries(item.particulars).filter(([id]) => !told.includes(id as gear.ParticularId));
    const { name, kind, traits, notes, acquiredOn, belongsTo } = { ...item, ...before };
    const input = { name, kind, traits, notes, acquiredOn, belongsTo, particulars: { ...Object.fromEntries(others), ...was } };
    // Of another kind it may have been told since what this one has not.
    if (itemInput.validate(input, JOI_OPTIONS).error) return 'changed-since';
    if (fields.includes('belongsTo') && belongsTo !== null && !(await this.mayBelong(db, item.id, belongsTo))) return 'changed-since';
    const now = await this.repository.versioned.update(db, item.id, version, { ...input, updatedAt: this.clock.now() });
    await this.repository.dropStatesBeyond(db, now.id, care.surfacesOf(now.kind, now.traits));
    if (fields.includes('traits') || fields.includes('kind')) await this.verdicts.judge(db, now);
    return this.undone(db, entry);
  }

  /** Back on the shelf or off it, back into quarantine or out of it, as it was before. @returns why it stands; null where it is taken back. */
  async turn(db: Db, entry: Of<Turn>): Promise<schedule.KeptReason | null> {
    const itemId = entry.subject.id;
    const { kind } = entry.data;
    const all = await this.journal.ofThing(db, itemId, this.clock.now());
    const turns = all.filter(({ data }) => PAIR[kind].some((turn) => turn === data.kind));
    if (turns.at(-1)?.id !== entry.id) return 'changed-since';
    const at = Date.parse(entry.at);
    if (kind === 'released' && (await this.stays.ofItem(db, itemId)).some((s) => Date.parse(s.since) > at)) return 'moved-since';
    if (kind === 'archived' || kind === 'quarantined') await this.lieAgain(db, itemId, at);
    const before = turns.at(-2);
    const gone = before?.data.kind === 'archived' ? before.data.gone : undefined;
    const change = {
      archived: BACK_ON_THE_SHELF,
      restored: {
        archivedAt: before ? new Date(before.at) : this.clock.now(),
        goneWhy: gone?.why ?? null,
        goneOn: gone?.on ?? null,
        goneFor: gone?.for ?? null,
      },
      quarantined: { status: 'in-use' as const },
      released: { status: 'quarantined' as const },
    }[kind];
    const { version } = await this.repository.versioned.find(db, itemId);
    await this.repository.versioned.update(db, itemId, version, { ...change, updatedAt: this.clock.now() });
    if (kind === 'quarantined') await this.freeNeighbours(db, itemId, at);
    return this.undone(db, entry);
  }

  private async mayBelong(db: Db, id: string, belongsTo: string): Promise<boolean> {
    try {
      await checkTogether(db, this.repository, id, belongsTo);
      return true;
    } catch (error) {
      if (error instanceof ProblemError) return false;
      throw error;
    }
  }

  /** It lies where it lay when it was taken out, unless it was put somewhere since. */
  private async lieAgain(db: Db, itemId: string, at: number): Promise<void> {
    const last = (await this.stays.ofItem(db, itemId)).at(-1);
    if (!last?.until) return;
    const sinceMs = Date.parse(last.until) - at;
    if (sinceMs >= 0 && sinceMs < ONE_DEED_MS) await this.stays.reopen(db, itemId, new Date(last.until));
  }

  /** What lay beside it is not asked to be looked through any more. */
  private async freeNeighbours(db: Db, itemId: string, at: number): Promise<void> {
    const { name } = await this.repository.versioned.find(db, itemId);
    for (const told of await this.journal.isolatedBeside(db, name, new Date(at), new Date(at + ONE_DEED_MS))) await this.undone(db, told);
  }

  private async undone(db: Db, { id: entryId, subject }: Pick<schedule.Entry, 'id' | 'subject'>): Promise<null> {
    await this.journal.add(db, [{ id: this.ids.next(), at: this.clock.now(), subject, data: { kind: 'undone', entryId } }]);
    return null;
  }
}
