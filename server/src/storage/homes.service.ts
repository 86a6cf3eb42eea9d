import type { HomesPage, HomeToBe } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { join } from 'node:path';
import { Database, type Db } from '../db/index.js';
import { WORKERS } from '../paths.js';
import { EndedApart, Memo, runApart } from '../platform/index.js';
import { HouseholdService } from './household.service.js';

/** So long the solver may think of what the search does not prove. */
const SOLVER_S = 5;
/** Three questions of the longest search, and the solver after each. */
const APART = { ms: 3 * (SOLVER_S * 1000 + 3_000), memoryMb: 512 };

type Answers = { homes: storage.Homes; more: storage.Homes[] };
/** Where each thing lives best; null where it was not found in time. */
type Found = { household: Awaited<ReturnType<HouseholdService['get']>>; answers: Answers | null };

/** Where everything lives best: one answer for every page. */
@Injectable()
export class HomesService {
  private readonly memo = new Memo();

  constructor(
    private readonly database: Database,
    private readonly households: HouseholdService,
  ) {}

  async page(): Promise<HomesPage> {
    const { household, answers } = await this.find(this.database.db);
    const places = new Map(household.places.map((p) => [p.id, { id: p.id, name: p.name }]));
    const unmeasured = household.places.filter((p) => p.meanPct === null).map(({ id, name }) => ({ id, name }));
    if (!answers) return { found: false, unmeasured };
    const { homes, moves } = storage.homesOf(household, answers.homes);
    const placeOf = (id: string | null) => (id === null ? null : places.get(id)!);
    return {
      found: true,
      proven: answers.homes.proven,
      unmeasured,
      moves: moves.map(({ thingId, fromId, toId, gain: _, aside }) => ({
        itemId: thingId,
        name: household.names.get(thingId)!,
        from: placeOf(fromId),
        to: placeOf(toId),
        aside,
        against: fromId === null ? null : storage.againstPlace(household.places.find((p) => p.id === fromId)!),
        reasons: homes.get(thingId)!.reasons,
      })),
      stay: [...homes.values()].filter((h) => h.stays && h.placeId !== null).length,
      noRoom: [...homes].filter(([, h]) => h.placeId === null).map(([id]) => ({ id, name: household.names.get(id)! })),
      more: storage.MORE_PLACES.flatMap((more, i) => {
        const things = storage.broughtBy(more, household, answers.homes, answers.more[i]!);
        const { kind, volumeL, gelG } = more;
        return things === null ? [] : [{ kind, volumeL, gelG, things }];
      }),
    };
  }

  /** Where each thing lives best, by its id; empty where that was not found in time. */
  async homes(db: Db): Promise<ReadonlyMap<string, HomeToBe>> {
    const { household, answers } = await this.find(db);
    if (!answers) return new Map();
    const names = new Map(household.places.map((p) => [p.id, p.name]));
    return new Map(
      [...storage.homesOf(household, answers.homes).homes].map(([id, { placeId, stays, reasons }]) => [
        id,
        { place: placeId === null ? null : { id: placeId, name: names.get(placeId)! }, stays, reasons },
      ]),
    );
  }

  /** The same household is not asked about twice. */
  private async find(db: Db): Promise<Found> {
    const household = await this.households.get(db);
    const { names: _, ...asked } = household;
    const answers = await this.memo.get('homes', JSON.stringify(asked), () => answersOf(asked));
    return { household, answers };
  }
}

async function answersOf(household: storage.Household): Promise<Answers | null> {
  const questions = [household, ...storage.MORE_PLACES.map((more) => storage.withOneMore(household, more))].map(storage.householdQuestion);
  try {
    const [homes, ...more] = await runApart<storage.Homes[]>(join(WORKERS, 'homes.mjs'), { questions, seconds: SOLVER_S }, APART);
    return { homes: homes!, more };
  } catch (error) {
    if (!(error instanceof EndedApart)) throw error;
    return null;
  }
}
