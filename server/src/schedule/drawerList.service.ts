import type { BenchDayPage, Lacking, LaidOut, PlannedTask, WaitingCleans } from '@bright-keeper/contract';
import { care, schedule, supplies } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { AgendaService } from '../agenda/index.js';
import { PlanRequestService } from '../care/index.js';
import { Database, type Db } from '../db/index.js';
import { BenchDaysService } from './benchDays.service.js';

type Taken = Pick<LaidOut, 'thing' | 'label'> & { for: string };

/** One bench day with the one list of what to lay out: what its set-ups take, and what the plan of each clean takes. */
@Injectable()
export class DrawerListService {
  constructor(
    private readonly database: Database,
    private readonly agenda: AgendaService,
    private readonly bench: BenchDaysService,
    private readonly requests: PlanRequestService,
  ) {}

  async page(day: schedule.Day): Promise<BenchDayPage> {
    const { today, times, plan } = await this.bench.days({});
    const bench = plan.days.find((d) => d.day === day) ?? null;
    const taken: Taken[] = [];
    const lacking: Lacking[] = [];
    for (const task of bench?.tasks ?? []) {
      taken.push(...ofSetUp(task));
      if (task.duty.code !== 'clean') continue;
      const asked = await this.ofPlan(this.database.db, task);
      taken.push(...asked.taken);
      lacking.push(...asked.lacking);
    }
    return { today, day, times, bench, drawer: eachOnce(taken), lacking };
  }

  /** What the cleans take that are asked for now, each by its own plan; what is asked for later may be found otherwise. */
  async waiting(): Promise<WaitingCleans> {
    const { db } = this.database;
    const { duties } = await this.agenda.agenda();
    const ids = new Set(duties.filter(({ code, ahead }) => code === 'clean' && ahead === 0).map(({ subject }) => subject.id));
    const waiting = [];
    for (const id of ids) {
      const { request } = await this.requests.forThing(db, id, { place: 'home' });
      waiting.push(supplies.neededBy(care.planCleaning(request)));
    }
    return { waiting };
  }

  private async ofPlan(db: Db, { duty: { subject } }: PlannedTask): Promise<{ taken: Taken[]; lacking: Lacking[] }> {
    const { request } = await this.requests.forThing(db, subject.id, { place: 'home' });
    const { steps, missing } = care.planCleaning(request);
    return {
      taken: steps.flatMap((s) => s.takes.map((t) => ({ thing: t.id, label: t.label ?? care.thingName(t.id), for: subject.name }))),
      lacking: missing.flatMap((m) => {
        const thing = m.tool ?? m.material;
        return thing ? [{ thing: care.thingName(thing), for: subject.name }] : [];
      }),
    };
  }
}

const ofSetUp = ({ setUp, duty }: PlannedTask): Taken[] =>
  setUp ? schedule.setUpFacts(setUp).tools.map((thing) => ({ thing, label: care.thingName(thing), for: duty.subject.name })) : [];

/** Each thing once, with everything it is for; where a plan names the very one of the drawer, that one. */
function eachOnce(taken: readonly Taken[]): LaidOut[] {
  const named = new Set(taken.filter((t) => t.label !== care.thingName(t.thing)).map((t) => t.thing));
  const byLabel = new Map<string, LaidOut>();
  for (const { thing, label, for: what } of taken) {
    const vague = label === care.thingName(thing) && named.has(thing);
    const key = vague ? [...byLabel.keys()].find((k) => byLabel.get(k)!.thing === thing) : label;
    const there = key ? byLabel.get(key) : undefined;
    if (there) {
      if (!there.for.includes(what)) there.for.push(what);
    } else if (!vague) byLabel.set(label, { thing, label, for: [what] });
  }
  return [...byLabel.values()].sort((a, b) => a.label.localeCompare(b.label));
}
