import {
  careErrors,
  type Cleaning,
  type CleaningsQuery,
  type FinishCleaning,
  type Item,
  type ItemPage,
  type SaveEvents,
  type StartCleaning,
  type SurfaceState,
} from '@bright-keeper/contract';
import { care, inspection, supplies } from '@bright-keeper/core';
import { summaryWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { GearService } from '../shelf/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { JournalRepository } from '../journal/index.js';
import { SettingsService } from '../settings/index.js';
import { SuppliesService } from '../supplies/index.js';
import { CareRepository, type KeptCleaning } from './care.repository.js';
import { FieldService } from './field.service.js';
import { PlanRequestService } from './planRequest.service.js';

/** What still lies on a surface after it was cleaned: what no step of the plan was for. */
function leftOn(state: SurfaceState, outcome: care.Outcome, plan: care.CleaningPlan): SurfaceState['findings'] {
  if (outcome !== 'clean-enough') return state.findings;
  const removed = new Set(plan.steps.filter((s) => s.surface === state.surface).flatMap((s) => s.removes));
  return state.findings.filter((f) => !removed.has(f.soil));
}

/** What an end at the bench says of a surface whatever else is known of it; null where a fresh assessment says it. */
const VERDICT_OF: Record<care.Outcome, { verdict: care.Verdict; because: care.BenchEnd } | null> = {
  'clean-enough': null,
  left: null,
  'not-reached': null,
  'stopped-by-grit': null,
  'stopped-by-salt': null,
  'film-left': { verdict: 'clean', because: { reason: 'film-left' } },
  'lies-deeper': { verdict: 'hand-over', because: { reason: 'lies-deeper' } },
  'is-damage': { verdict: 'leave', because: { reason: 'is-damage' } },
  'did-not-come-off': { verdict: 'hand-over', because: { reason: 'did-not-come-off' } },
  'shutter-closed-on-it': { verdict: 'hand-over', because: { reason: 'shutter-closed-on-it' } },
};

/** Plans, and the cleanings that follow them. */
@Injectable()
export class CareService {
  constructor(
    private readonly database: Database,
    private readonly repository: CareRepository,
    private readonly gear: GearService,
    private readonly gearRepository: GearRepository,
    private readonly journal: JournalRepository,
    private readonly settings: SettingsService,
    private readonly drawer: SuppliesService,
    private readonly requests: PlanRequestService,
    private readonly field: FieldService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  plan(request: care.PlanRequest): care.CleaningPlan {
    return care.planCleaning(request);
  }

  /** Fixes the plan for what was last seen on a thing and opens it at the bench. */
  start({ itemId, place, conditions, schools = {} }: StartCleaning): Promise<Cleaning> {
    return this.database.transaction(async (db) => {
      const { request } = await this.requests.forThing(db, itemId, { place, conditions, schools });
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
  finish(id: string, { version, acceptShort = false }: FinishCleaning): Promise<ItemPage> {
    return this.database
      .transaction(async (db) => {
        const cleaning = await this.repository.versioned.open(db, id);
        const item = await this.gear.get(db, cleaning.itemId);
        const at = this.clock.now();
        const outcomes = care.outcomesOf(cleaning.plan, cleaning.events);
        await this.update(db, id, version, { finishedAt: at });
        await this.drawer.take(db, supplies.consumptionOf(cleaning.plan, cleaning.events), acceptShort);
        await this.writeStates(db, item, cleaning, outcomes, at);
        await this.writeContactsAndLog(db, cleaning, outcomes, at);
        await this.field.putOff(db, item.id, cleaning.plan.deferred);
        return item.id;
      })
      .then((itemId) => this.gear.page(itemId));
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

  private requestNow(db: Db, { request, chosenSchools }: KeptCleaning): Promise<care.PlanRequest> {
    return this.requests.withHouse(db, request, { place: request.place, conditions: request.conditions, schools: chosenSchools });
  }

  private async view(db: Db, { chosenSchools, ...cleaning }: KeptCleaning): Promise<Cleaning> {
    if (cleaning.finishedAt) return { ...cleaning, staleBecause: [] };
    const now = await this.requestNow(db, { ...cleaning, chosenSchools });
    return { ...cleaning, staleBecause: care.staleBecause(cleaning.plan, cleaning.events, cleaning.request, now) };
  }

  private async writeStates(
    db: Db,
    item: Item,
    { plan, request }: KeptCleaning,
    outcomes: ReturnType<typeof care.outcomesOf>,
    at: Date,
  ): Promise<void> {
    const states = (await this.gearRepository.statesOf(db, [item.id])).get(item.id) ?? [];
    const worked = states.filter((s) => outcomes[s.surface] && outcomes[s.surface] !== 'not-reached');
    await this.gearRepository.saveStates(
      db,
      item.id,
      worked.map((state) => {
        const outcome = outcomes[state.surface]!;
        const findings = leftOn(state, outcome, plan);
        const assessed = inspection.assessSurface(
          item,
          findings.map((f) => ({ ...f, surface: state.surface })),
          request.schools,
        );
        return { surface: state.surface, findings, knownSince: at, ...(VERDICT_OF[outcome] ?? assessed) };
      }),
    );
  }

  private async writeContactsAndLog(db: Db, cleaning: KeptCleaning, outcomes: ReturnType<typeof care.outcomesOf>, at: Date): Promise<void> {
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

  private async update(
    db: Db,
    id: string,
    version: number,
    change: Parameters<CareRepository['versioned']['update']>[3],
  ): Promise<Cleaning> {
    return this.view(db, await this.repository.versioned.update(db, id, version, change, (cleaning) => this.view(db, cleaning)));
  }
}
