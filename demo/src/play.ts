import 'reflect-metadata';
import type { ItemInput } from '@bright-keeper/contract';
import { care, type schedule, MS_PER_DAY, MS_PER_MINUTE } from '@bright-keeper/core';
import {
  AppModule,
  CareService,
  DataFolder,
  Disk,
  DutyService,
  GearService,
  InspectionService,
  OutingService,
  SeededIds,
  SetClock,
  SuppliesService,
  type Database,
} from '@bright-keeper/server';
import { NestFactory } from '@nestjs/core';
import { BODIES, FILTERS } from './bodiesAndFilters.js';
import { DRAWER } from './drawer.js';
import { takeFrames } from './frames.js';
import { furnish } from './furnish.js';
import { INVENTORY } from './inventory.js';
import { inSeason, OUTINGS } from './outings.js';
import { LENSES } from './lenses.js';
import { OTHERS } from './otherThings.js';
import type { DemoThing, Happening, Seen } from './story.js';
import { glanceAt, upkeepOf } from './upkeep.js';

export const THINGS: DemoThing[] = [...LENSES, ...BODIES, ...FILTERS, ...OTHERS];

type Services = { gear: GearService; inspection: InspectionService; care: CareService; duties: DutyService };
type Event = { at: Date; play: () => Promise<void> };

/** Work happens in the late afternoon; things of the same day follow each other a few minutes apart. */
const instant = (loadedAt: Date, daysAgo: number, order: number): Date =>
  new Date(Math.min(loadedAt.getTime() - daysAgo * MS_PER_DAY, loadedAt.getTime() - MS_PER_MINUTE) - (1000 - order) * 1000);

const answersFor = (surfaces: readonly care.Surface[], seen: Seen, notes: Partial<Record<care.Surface, string>>) =>
  surfaces.map((surface) => ({
    surface,
    findings: Object.entries(seen[surface] ?? {}).map(([soil, severity]) => ({ soil: soil as care.Soil, severity })),
    note: notes[surface] ?? '',
  }));

/** What the keeper's fingers and eyes say where the bench waits for them. */
function nextBenchEvent(plan: care.CleaningPlan, state: care.BenchState): care.BenchEvent {
  const step = state.step!;
  if (state.phase === 'prepare') return { type: 'ready' };
  const waiting = state.phase === 'step' ? care.waitingFor(state) : null;
  if (waiting === 'dry-run') return { type: 'rehearsed', step: step.id };
  if (waiting === 'power') return { type: 'power-checked', step: step.id, heldOpen: step.sensor!.heldOpen };
  if (waiting === 'turning') return { type: 'turning', step: step.id, effort: 'hard' };
  if (waiting) throw new Error(`the demo keeper does not know how to do: ${waiting}`);
  if (state.phase === 'step' || state.phase === 'round') return { type: 'done', step: step.id };
  if (state.phase === 'reading') return { type: 'reading', surface: step.surface, reading: 'unsure' };
  if (step.look!.asks === 'turning') return { type: 'turning', step: step.id, effort: 'light' };
  return { type: 'answer', step: step.id, answer: answerAt(plan, step, state.attempt) };
}

/** Loosens, climbs to the first wipe, tries it twice, and calls it clean. */
function answerAt(plan: care.CleaningPlan, step: care.Step, attempt: number): care.Answer {
  if (step.look!.asks === 'grains' || step.look!.asks === 'crystals') return 'clean-enough';
  if (step.level < 3 && plan.steps.some((s) => s.surface === step.surface && s.level > step.level)) return 'no-change';
  return attempt === 1 && step.level >= 3 ? 'better' : 'clean-enough';
}

function benchEvents(plan: care.CleaningPlan, upTo: number): care.BenchEvent[] {
  const events: care.BenchEvent[] = [];
  for (let state = care.benchState(plan, events); state.phase !== 'close' && events.length < upTo; state = care.benchState(plan, events))
    events.push(nextBenchEvent(plan, state));
  return events;
}

async function look(
  services: Services,
  clock: SetClock,
  itemId: string,
  thing: DemoThing,
  happening: Extract<Happening, { did: 'look' }>,
): Promise<void> {
  const doc = await services.inspection.start(itemId);
  const surfaces = care.surfacesOf(thing.kind, thing.traits);
  const reached = happening.unfinished ? surfaces.slice(0, 3) : surfaces;
  const saved = await services.inspection.save(doc.id, {
    version: doc.version,
    at: surfaces[reached.length] ?? null,
    answers: answersFor(reached, happening.seen, happening.notes ?? {}),
  });
  clock.set(new Date(clock.now().getTime() + 7 * MS_PER_MINUTE));
  if (!happening.unfinished) await services.inspection.finish(doc.id, { version: saved.version, at: null });
}

async function clean(services: Services, clock: SetClock, itemId: string, happening: Extract<Happening, { did: 'clean' }>): Promise<void> {
  const { place = 'home', conditions, unfinished } = happening;
  const cleaning = await services.care.start({ itemId, place, ...(conditions ? { conditions } : {}) });
  const saved = await services.care.save(cleaning.id, {
    version: cleaning.version,
    events: benchEvents(cleaning.plan, unfinished ? 3 : Infinity),
  });
  clock.set(new Date(clock.now().getTime() + 14 * MS_PER_MINUTE));
  if (!unfinished) await services.care.finish(cleaning.id, { version: saved.version, at: null });
}

/** A look that goes over some surfaces and finds what was known of them. */
async function glance(services: Services, itemId: string, surfaces: readonly care.Surface[]): Promise<void> {
  const page = await services.gear.page(itemId);
  if (page.openLookId) return;
  const known = new Map(page.surfaces.map((s) => [s.surface, s.findings]));
  const doc = await services.inspection.start(itemId);
  const answers = surfaces.map((surface) => ({ surface, findings: known.get(surface) ?? [], note: '' }));
  const saved = await services.inspection.save(doc.id, { version: doc.version, at: null, answers });
  await services.inspection.finish(doc.id, { version: saved.version, at: null });
}

async function markDone(services: Services, itemId: string, code: schedule.DutyCode): Promise<void> {
  await services.duties.done({ code, subject: { kind: 'thing', id: itemId }, at: null });
}

async function quarantine(services: Services, itemId: string): Promise<void> {
  const { version } = await services.gear.page(itemId);
  await services.gear.setStatus(itemId, { version, status: 'quarantined' });
}

function happen(services: Services, clock: SetClock, itemId: string, thing: DemoThing, happening: Happening): Promise<void> {
  switch (happening.did) {
    case 'look':
      return look(services, clock, itemId, thing, happening);
    case 'clean':
      return clean(services, clock, itemId, happening);
    case 'care':
      return markDone(services, itemId, happening.task);
    case 'glance':
      return glance(services, itemId, glanceAt(thing, happening.at));
    case 'quarantine':
      return quarantine(services, itemId);
    default:
      return happening satisfies never;
  }
}

/**
 * Plays the household's past through the real services with a clock that is set to each day in turn, so that
 * every verdict, touch count and due window is the application's own. The same day of loading gives the same
 * data, ids included.
 */
export async function playDemo(database: Database, loadedAt: Date): Promise<void> {
  const clock = new SetClock(loadedAt);
  const context = await NestFactory.createApplicationContext(
    AppModule.with({ database, clock, ids: new SeededIds(clock), disk: new Disk(null), data: new DataFolder(null) }),
    {
      logger: ['error'],
    },
  );
  const services: Services = {
    gear: context.get(GearService),
    inspection: context.get(InspectionService),
    care: context.get(CareService),
    duties: context.get(DutyService),
  };
  const ids = new Map<DemoThing, string>();
  const events: Event[] = THINGS.flatMap((thing, i) => {
    const came = instant(loadedAt, thing.cameDaysAgo, i);
    const input: ItemInput = {
      name: thing.name,
      kind: thing.kind,
      traits: thing.traits,
      notes: thing.notes ?? '',
      particulars: INVENTORY[thing.name] ?? {},
      acquiredOn: came.toISOString().slice(0, 10),
    };
    const add: Event = { at: came, play: async () => void ids.set(thing, (await services.gear.add(input)).id) };
    // A clean on the day of a look comes after it.
    const rest = [...thing.history, ...upkeepOf(thing, i)].map((h, j): Event => ({
      at: instant(loadedAt, h.daysAgo, 100 + i + j * 30),
      play: () => happen(services, clock, ids.get(thing)!, thing, h),
    }));
    return [add, ...rest];
  });
  events.sort((a, b) => a.at.getTime() - b.at.getTime());
  for (const { at, play } of events) {
    clock.set(at);
    await play();
  }
  const itemIds = new Map([...ids.entries()].map(([thing, id]) => [thing.name, id]));
  await furnish(context, clock, loadedAt, itemIds);
  // The drawer is as it stands today: what past cleans used up was replaced.
  clock.set(loadedAt);
  const drawer = context.get(SuppliesService);
  for (const { demoted, ...supply } of DRAWER) {
    const added = await drawer.add(supply);
    if (demoted) await drawer.demote(added.id, added.version);
  }
  await drawer.setIsAll(true);
  await noteOutings(context.get(OutingService), loadedAt, itemIds);
  await takeFrames(context, clock, loadedAt, itemIds);
  clock.set(loadedAt);
}

/** Outings as they are noted at home; days count back from the day of loading. */
async function noteOutings(outings: OutingService, loadedAt: Date, itemIds: ReadonlyMap<string, string>): Promise<void> {
  const day = (daysAgo: number) => new Date(loadedAt.getTime() - daysAgo * MS_PER_DAY).toISOString().slice(0, 10);
  for (const { fromDaysAgo, toDaysAgo, things, ...outing } of OUTINGS)
    await outings.add({
      ...outing,
      name: inSeason(outing.name, day(fromDaysAgo)),
      from: day(fromDaysAgo),
      to: day(toDaysAgo),
      itemIds: things.map((name) => itemIds.get(name)!),
    });
}
