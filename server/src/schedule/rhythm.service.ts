import { scheduleErrors, type KeptRhythm, type RhythmInput, type RhythmPreview, type SaveRhythm } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { rhythmTroubleWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { problem } from '../http/index.js';
import { Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { staleNow } from '../versioned/index.js';
import { AgendaService, RhythmRepository } from '../agenda/index.js';

/** Rhythms as the keeper sets them. */
@Injectable()
export class RhythmService {
  constructor(
    private readonly database: Database,
    private readonly repository: RhythmRepository,
    private readonly agenda: AgendaService,
    private readonly settings: SettingsService,
    private readonly ids: Ids,
  ) {}

  all(): Promise<readonly KeptRhythm[]> {
    return this.repository.all(this.database.db);
  }

  /** @throws ProblemError when nobody could keep it, or it was changed elsewhere. */
  async save({ version, ...input }: SaveRhythm): Promise<KeptRhythm> {
    await this.check(input);
    return this.database.transaction(async (db) => {
      const there = await this.repository.find(db, input.code, input.scope);
      if ((there?.version ?? null) !== version) throw staleNow(there);
      if (!there) await this.repository.insert(db, { ...input, id: this.ids.next() });
      else if (!(await this.repository.update(db, there.id, there.version, input.rhythm))) throw staleNow(there);
      return (await this.repository.find(db, input.code, input.scope))!;
    });
  }

  /** Back to what holds without it. */
  async remove(id: string): Promise<void> {
    if (!(await this.repository.remove(this.database.db, id))) throw problem(scheduleErrors, 'rhythm-not-found');
  }

  /** The next year of one duty as it is, and as it would be; nothing is saved. */
  async preview(input: RhythmInput): Promise<RhythmPreview> {
    await this.check(input);
    const changes = await this.repository.all(this.database.db);
    const only = [input.code];
    const { duties: before } = await this.agenda.agenda({ changes, only });
    const { duties: after } = await this.agenda.agenda({ changes: schedule.withChange(changes, input), only });
    return { before, after };
  }

  /** @throws ProblemError where nobody could keep it. */
  async check({ rhythm }: Pick<RhythmInput, 'rhythm'>): Promise<void> {
    const troubles = rhythm ? schedule.rhythmTroubles(rhythm, await this.settings.today()) : [];
    if (troubles.length === 0) return;
    const at = (t: schedule.RhythmTrouble) =>
      'trigger' in t ? `rhythm.triggers.${t.trigger}` : t.trouble === 'window-overlaps' ? 'rhythm.lateDays' : 'rhythm.triggers';
    throw problem(scheduleErrors, 'bad-rhythm', { fields: Object.fromEntries(troubles.map((t) => [at(t), rhythmTroubleWords(t)])) });
  }
}
