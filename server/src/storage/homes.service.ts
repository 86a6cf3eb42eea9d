import type { HomesPage, HomeToBe } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { join } from 'node:path';
import { Database, type Db } from '../db/index.js';
import { WORKERS } from '../paths.js';
import { log, Memo, runApart } from '../platform/index.js';
import { HouseholdService } from './household.service.js';

/** So long the solver may think of what the search does not prove; only whoever asks for all of it waits for that. */
const SOLVER_S = 5;
/** The longest search takes half a second a question (measured: 300 things in 12 places). */
const APART = { ms: 10_000, memoryMb: 512 };

type Household = Awaited<ReturnType<HouseholdService['get']>>;
/** The best homes of a household; null where they were not found in time. `key` tells one household from another. */
type Found = { household: Household; key: string; homes: storage.Homes | null };

/** Where everything lives best: one answer for every page. */
@Injectable()
export class HomesService {
  private readonly memo = new Memo();
  private proof: { key: string; homes: storage.Homes } | null = null;

  constructor(
    private readonly database: Database,
    private readonly households: HouseholdService,
  ) {}

  async page(): Promise<HomesPage> {
    const found = await this.find(this.database.db);
    const { household } = found;
    const best = await this.proven(found);
    const places = new Map(household.places.map((p) => [p.id, { id: p.id, name: p.name }]));
    const unmeasured = household.places.filter((p) => p.meanPct === null).map(({ id, name }) => ({ id, name }));
    if (!best) return { found: false, unmeasured };
    const { homes, moves } = storage.homesOf(household, best);
    const more = await this.memo.get('more', found.key, () =>
      ask(
        storage.MORE_PLACES.map((m) => storage.withOneMore(household, m)),
        0,
      ),
    );
    const placeOf = (id: string | null) => (id === null ? null : places.get(id)!);
    return {
      found: true,
      proven: best.proven,
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
      more: storage.MORE_PLACES.flatMap((one, i) => {
        const things = more && storage.broughtBy(one, household, best, more[i]!);
        const { kind, volumeL, gelG } = one;
        return things === null ? [] : [{ kind, volumeL, gelG, things }];
      }),
    };
  }

  /** Where each thing lives best, by its id; empty where that was not found in time. */
  async homes(db: Db): Promise<ReadonlyMap<string, HomeToBe>> {
    const { household, homes } = await this.find(db);
    if (!homes) return new Map();
    const names = new Map(household.places.map((p) => [p.id, p.name]));
    return new Map(
      [...storage.homesOf(household, homes).homes].map(([id, { placeId, stays, reasons }]) => [
        id,
        { place: placeId === null ? null : { id: placeId, name: names.get(placeId)! }, stays, reasons },
      ]),
    );
  }

  /** The same household is not asked about twice; what was proven of it since is what every page says. */
  private async find(db: Db): Promise<Found> {
    const household = await this.households.get(db);
    const { names: _, ...asked } = household;
    const key = JSON.stringify(asked);
    const homes = this.proof?.key === key ? this.proof.homes : await this.memo.get('homes', key, () => askOne(household, 0));
    // A machine that was busy may have time the next time.
    if (!homes) this.memo.forget('homes');
    return { household, key, homes };
  }

  private async proven({ household, key, homes }: Found): Promise<storage.Homes | null> {
    if (!homes || homes.proven) return homes;
    const solved = await this.memo.get('proof', key, () => askOne(household, SOLVER_S));
    if (solved) this.proof = { key, homes: solved };
    return solved ?? homes;
  }
}

/** The best homes of each of these, in a thread of their own; null where they were not found in time. */
async function ask(households: readonly storage.Household[], seconds: number): Promise<storage.Homes[] | null> {
  const questions = households.map(storage.householdQuestion);
  try {
    const limits = { ...APART, ms: APART.ms + seconds * 1000 };
    return await runApart<storage.Homes[]>(join(WORKERS, 'homes.mjs'), { questions, seconds }, limits);
  } catch (error) {
    // Whatever hinders it, the pages that only mention a home go on without.
    log.warn({ error: (error as Error).message }, 'the best homes were not found');
    return null;
  }
}

const askOne = async (household: storage.Household, seconds: number): Promise<storage.Homes | null> =>
  (await ask([household], seconds))?.[0] ?? null;
