import type { Item } from '@bright-keeper/contract';
import { care, inspection } from '@bright-keeper/core';
import { Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { isDeepStrictEqual } from 'node:util';
import { Database, type Db } from '../db/index.js';
import { SettingsService } from '../settings/index.js';
import { type FoundState, GearRepository } from './gear.repository.js';

/**
 * What was seen stays; what it asks for follows from the thing as it is said to be, the schools one follows and the rules
 * of this program. When one of the three changes, every surface is judged anew, so that the shelf says what the plan
 * would say. An end at the bench stands: no judging knows better than the hand that was there.
 */
@Injectable()
export class VerdictsService implements OnApplicationBootstrap {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly settings: SettingsService,
  ) {
    settings.whenSchoolsChange((db) => this.judgeAll(db));
  }

  /** The rules may have changed with the program. */
  async onApplicationBootstrap(): Promise<void> {
    if ((await this.outdated(this.database.db)).length > 0) await this.database.transaction((db) => this.judgeAll(db));
  }

  /** Judges one thing that was said to be another. */
  judge = (db: Db, item: Item): Promise<void> => this.save(db, this.outdated(db, item.id));

  /** Judges everything. */
  judgeAll = (db: Db): Promise<void> => this.save(db, this.outdated(db));

  private async save(db: Db, outdated: Promise<FoundState[]>): Promise<void> {
    for (const { itemId, state } of await outdated) await this.repository.saveStates(db, itemId, [state]);
  }

  /** The surfaces whose verdict is no longer what would be said of them, with what would. */
  private async outdated(db: Db, itemId?: string): Promise<FoundState[]> {
    const [found, { schools }] = await Promise.all([this.repository.found(db, itemId), this.settings.get(db)]);
    return found.flatMap(({ kind, traits, state, ...of }) => {
      if (care.isBenchEnd(state.because) || !state.findings.some((f) => f.severity > 0)) return [];
      const findings = state.findings.map((f) => ({ ...f, surface: state.surface }));
      const judged = { ...state, ...inspection.assessSurface({ kind, traits }, findings, schools) };
      return isDeepStrictEqual(judged, state) ? [] : [{ ...of, kind, traits, state: judged }];
    });
  }
}
