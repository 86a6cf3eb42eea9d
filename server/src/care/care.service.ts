import {
  type CarriedCleaning,
  careErrors,
  type Cleaning,
  type CleaningsQuery,
  commonErrors,
  type FinishCleaning,
  type ItemPage,
  type SaveEvents,
  type StartCleaning,
} from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { summaryWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearService } from '../shelf/index.js';
import { begunBy, problem, toldFor } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { CareRepository, type KeptCleaning } from './care.repository.js';
import { CleaningEnding } from './cleaningEnding.js';
import { PlanRequestService } from './planRequest.service.js';

/** Plans, and the cleanings that follow them. */
@Injectable()
export class CareService {
  constructor(
    private readonly database: Database,
    private readonly repository: CareRepository,
    private readonly gear: GearService,
    private readonly settings: SettingsService,
    private readonly requests: PlanRequestService,
    private readonly ending: CleaningEnding,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  plan(request: care.PlanRequest): care.CleaningPlan {
    return care.planCleaning(request);
  }

  /** Fixes the plan for what was last seen on a thing and opens it at the bench. */
  start({ itemId, place, conditions, schools = {}, kit }: StartCleaning): Promise<Cleaning> {
    return this.database.transaction(async (db) => {
      const { request } = await this.requests.forThing(db, itemId, { place, conditions, schools, kit });
      const open = await this.repository.openOf(db, itemId);
      if (open) throw problem(careErrors, 'cleaning-open', { current: open });
      const plan = care.planCleaning(request);
      if (plan.steps.length === 0) throw problem(careErrors, 'nothing-to-clean', { detail: summaryWords(plan.summary) });
      const id = this.ids.next();
      await this.repository.insert(db, { id, itemId, request, chosenSchools: schools, plan, events: [], startedAt: this.clock.now() });
      return this.view(db, await this.repository.versioned.find(db, id));
    });
  }

  async get(id: string): Promise<Cleaning> {
    const { db } = this.database;
    return this.view(db, await this.repository.versioned.find(db, id));
  }

  async list({ open, limit }: CleaningsQuery): Promise<Cleaning[]> {
    const { db } = this.database;
    return Promise.all((await this.repository.list(db, open, limit)).map((c) => this.view(db, c)));
  }

  /** Saves what was done so far; a dry run that was done is remembered for every later sensor clean. */
  save(id: string, { version, events }: SaveEvents): Promise<Cleaning> {
    return this.database.transaction(async (db) => {
      const { plan } = await this.repository.versioned.open(db, id);
      if (care.benchState(plan, events).rehearsed) await this.settings.rehearsed(db, await this.settings.today(db));
      return this.update(db, id, version, { events });
    });
  }

  /** Makes the plan anew from the drawer and schools of now, keeping what was done. */
  remake(id: string, version: number): Promise<Cleaning> {
    return this.database.transaction(async (db) => {
      const cleaning = await this.repository.versioned.open(db, id);
      const request = await this.requestNow(db, cleaning);
      return this.update(db, id, version, { request, plan: care.remakePlan(cleaning.plan, cleaning.events, request) });
    });
  }

  /** Writes the journal, the surfaces, the contact counts and the drawer, all or none of them. */
  finish(id: string, { version, acceptShort = false, at }: FinishCleaning): Promise<ItemPage> {
    return this.database
      .transaction(async (db) => {
        const cleaning = await this.repository.versioned.open(db, id);
        const when = toldFor(at, this.clock.now());
        await this.update(db, id, version, { startedAt: begunBy(cleaning.startedAt, when), finishedAt: when });
        await this.ending.write(db, cleaning, when, acceptShort);
        return cleaning.itemId;
      })
      .then((itemId) => this.gear.page(itemId));
  }

  /**
   * Takes in a cleaning as a device kept it: what only one of both went on with is taken, and the same sent twice is one.
   * An end is of when it was, not of now, and what the drawer held less of than was used is counted as used up.
   *
   * @throws ProblemError 409 `cleaning-told-twice` where both went on differently, `cleaning-finished` where it was
   * finished without what the device did, `cleaning-open` where another one of the thing is open; each with what there is.
   */
  carry(id: string, carried: CarriedCleaning): Promise<Cleaning> {
    return this.database.transaction(async (db) => {
      const known = await this.repository.find(db, id);
      if (known && known.itemId !== carried.itemId) throw problem(careErrors, 'cleaning-not-found');
      const cleaning = known ?? (await this.begunElsewhere(db, id, carried));
      const events = care.benchTogether(cleaning.plan, carried.base ?? [], carried.events, cleaning.events);
      if (known?.finishedAt) {
        if (events && care.isSameBench(events, known.events)) return this.view(db, known);
        throw problem(careErrors, 'cleaning-finished', { current: await this.view(db, known) });
      }
      if (events === null) throw problem(careErrors, 'cleaning-told-twice', { current: await this.view(db, cleaning) });
      if (care.benchState(cleaning.plan, events).rehearsed) await this.settings.rehearsed(db, await this.settings.today(db));
      if (carried.endedAgoS === null) return this.update(db, id, cleaning.version, { events });
      const finishedAt = this.clock.ago(carried.endedAgoS);
      const ended = await this.update(db, id, cleaning.version, { events, finishedAt });
      await this.ending.write(db, ended, finishedAt, true);
      return ended;
    });
  }

  /** Drops a cleaning nobody has touched anything in. */
  drop(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      const cleaning = await this.repository.versioned.open(db, id);
      const touched = Object.keys(care.benchState(cleaning.plan, cleaning.events).contacts).length > 0;
      if (touched) throw problem(careErrors, 'already-touched', { current: cleaning });
      await this.repository.remove(db, id);
    });
  }

  /** A cleaning that began on a device, by the plan that follows from what it was planned from there. */
  private async begunElsewhere(db: Db, id: string, carried: CarriedCleaning): Promise<KeptCleaning> {
    const { itemId, request, schools, startedAgoS, endedAgoS } = carried;
    const item = await this.gear.get(db, itemId);
    const plan = care.planCleaning(request);
    if (plan.steps.length === 0) throw problem(careErrors, 'nothing-to-clean', { detail: summaryWords(plan.summary) });
    if (item.kind !== request.item.kind)
      throw problem(commonErrors, 'bad-input', { fields: { 'request.item.kind': `This thing is a ${care.kindFacts(item.kind).name}.` } });
    const open = endedAgoS === null ? await this.repository.openOf(db, itemId) : null;
    if (open && open.events.length > 0) throw problem(careErrors, 'cleaning-open', { current: await this.view(db, open) });
    // One in which nothing was done is most likely the same: begun there, and the answer never reached the device.
    if (open) await this.repository.remove(db, open.id);
    await this.repository.insert(db, {
      id,
      itemId,
      request,
      chosenSchools: schools,
      plan,
      events: [],
      startedAt: this.clock.ago(startedAgoS),
      finishedAt: endedAgoS === null ? null : this.clock.ago(endedAgoS),
    });
    return this.repository.versioned.find(db, id);
  }

  private requestNow(db: Db, { request, chosenSchools }: KeptCleaning): Promise<care.PlanRequest> {
    return this.requests.withHouse(db, request, {
      place: request.place,
      conditions: request.conditions,
      schools: chosenSchools,
      kit: request.kit,
    });
  }

  private async view(db: Db, { chosenSchools, ...cleaning }: KeptCleaning): Promise<Cleaning> {
    if (cleaning.finishedAt) return { ...cleaning, staleBecause: [] };
    const now = await this.requestNow(db, { ...cleaning, chosenSchools });
    return { ...cleaning, staleBecause: care.staleBecause(cleaning.plan, cleaning.events, cleaning.request, now) };
  }

  private async update(
    db: Db,
    id: string,
    version: number,
    change: Parameters<CareRepository['versioned']['update']>[3],
  ): Promise<Cleaning> {
    return this.view(db, await this.repository.versioned.update(db, id, version, change, (cleaning) => this.view(db, cleaning)));
  }
}
