import { type BenchDays, type BenchQuery, type BenchTimes, type PlannedTask } from '@bright-keeper/contract';
import { schedule, DAYS_A_WEEK, MINUTES_A_DAY } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { createHash } from 'node:crypto';
import { Database } from '../db/index.js';
import { inSteps } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { AgendaService } from '../agenda/index.js';
import { BenchTimesRepository } from './benchTimes.repository.js';
import { BusyRepository } from './busy.repository.js';
import { benchTimes, busyCalendars } from '../tables/index.js';
import { solveProgramme } from './solver.js';

/** How far ahead bench days are proposed (our choice: what one can keep in mind). */
const WEEKS_AHEAD = 8;
/** The solver may think so long. */
const SOLVER_S = 2;
const MOST_KEPT = 20;

/** Duties that are done at a bench, by hand; a timer, an answer or a parcel is not, and growth waits for no bench day. */
const AT_THE_BENCH: readonly schedule.DoneBy[] = ['look', 'mark', 'plan', 'go-on', 'frame', 'salt-test', 'wash'];
/** What goes to others or is an errand is no work of the bench. */
const NEVER_PLANNED: readonly schedule.DutyCode[] = ['isolate', 'hand-over', 'weigh', 'replace', 'wait', 'cap-missing'];
const isErrand = ({ code, facts }: schedule.Duty): boolean =>
  NEVER_PLANNED.includes(code) || (facts.says === 'sensor' && facts.advice === 'hand-over');

const taskOf = (duty: schedule.Duty, today: schedule.Day, firstFree: schedule.Day): PlannedTask => {
  const window = schedule.openWindow(duty, today, firstFree);
  return {
    id: duty.id,
    ruleId: duty.code,
    subjectId: duty.subject.id,
    ...window,
    minutes: duty.minutes,
    setUp: duty.setUp,
    gravity: duty.gravity,
    pinnedTo: duty.plannedOn,
    duty,
  };
};

type Settled = Pick<BenchDays, 'plan' | 'remedy'>;
/** `final` once nobody looks for a better one any more. */
type Answer = Settled & { final: boolean };

/** Proposes the fewest bench days, and settles by an exact solver what the search leaves open. */
@Injectable()
export class BenchDaysService {
  private readonly settled = new Map<string, Settled>();
  /** What the solver is at; who asks the same meanwhile waits for the same answer. */
  private readonly asked = new Map<string, Promise<Settled>>();
  /** The usual question, by the agenda it was asked of: as long as that is kept, so is its answer. */
  private readonly usual = new WeakMap<schedule.Agenda, { stamp: string; answer: BenchDays; settled: boolean }>();

  constructor(
    private readonly database: Database,
    private readonly agenda: AgendaService,
    private readonly times: BenchTimesRepository,
    private readonly busy: BusyRepository,
    private readonly settings: SettingsService,
  ) {}

  /**
   * The bench days of a span, the next eight weeks where none is said. In haste the best of the search is told while
   * the solver still looks for a better one.
   */
  async days({ from, to }: BenchQuery, { hasty = false }: { hasty?: boolean } = {}): Promise<BenchDays> {
    const agenda = await this.agenda.agenda();
    if (from || to) {
      const { final: _, ...answer } = await this.reckoned({ ...(from ? { from } : {}), ...(to ? { to } : {}) }, agenda, hasty);
      return answer;
    }
    const stamp = this.database.changes.stampOf(benchTimes, busyCalendars);
    const kept = this.usual.get(agenda);
    // While the solver is at it the same is told in haste; once it is done its answer is.
    if (kept?.stamp === stamp && (kept.settled || (hasty && this.asked.size > 0))) return kept.answer;
    const { final, ...answer } = await this.reckoned({}, agenda, hasty);
    this.usual.set(agenda, { stamp, answer, settled: final });
    return answer;
  }

  private async reckoned({ from, to }: BenchQuery, agenda: schedule.Agenda, hasty: boolean): Promise<BenchDays & { final: boolean }> {
    const { db } = this.database;
    const { today } = agenda;
    const times = await this.times.get(db);
    const begins = from && from > today ? from : today;
    const ends = to && to >= begins ? to : schedule.addDays(begins, WEEKS_AHEAD * DAYS_A_WEEK);
    const minutesOn = await this.busyMinutes(times, begins, ends);
    const options: schedule.BenchOptions = {
      from: begins,
      to: ends,
      availableWeekdays: times.weekdays,
      minutesPerDay: times.minutesPerDay,
      away: times.away,
      minutesOn,
    };
    const tasks = this.tasks(agenda, options);
    const { plan, remedy, final } = await this.answer(tasks, options, hasty);
    return {
      today,
      from: begins,
      to: ends,
      times,
      plan,
      remedy,
      final,
      busyDays: Object.entries(minutesOn).map(([day, minutes]) => ({ day, minutes })),
    };
  }

  benchTimes(): Promise<BenchTimes> {
    return this.times.get(this.database.db);
  }

  save(times: BenchTimes): Promise<BenchTimes> {
    return this.database.transaction((db) => this.times.save(db, times));
  }

  /** What is due within the span, at hand or foreseen; what only a guess puts there waits for better knowledge. */
  private tasks(agenda: schedule.Agenda, options: schedule.BenchOptions): PlannedTask[] {
    const { to } = options;
    const { today } = agenda;
    const firstFree = schedule.firstFreeDay(options) ?? today;
    return this.agenda
      .toAsk(agenda)
      .filter((d) => AT_THE_BENCH.includes(schedule.dutyFacts(d.code).doneBy) && !isErrand(d))
      .filter((d) => d.plannedOn !== null || (d.window.latest <= to && !(d.ahead > 0 && d.estimate)))
      .map((d) => taskOf(d, today, firstFree));
  }

  /** The answer to a question that was asked before; every page asks the same one. */
  private async answer(tasks: readonly PlannedTask[], options: schedule.BenchOptions, hasty: boolean): Promise<Answer> {
    const key = createHash('sha256')
      .update(JSON.stringify([tasks, options]))
      .digest('hex');
    const known = this.settled.get(key);
    if (known) return { ...known, final: true };
    const running = this.asked.get(key);
    if (running && !hasty) return { ...(await running), final: true };
    const found = schedule.planBenchDays(tasks, options);
    if (found.proven && found.late.length === 0) return { ...(await this.keep(key, tasks, options, found)), final: true };
    const plan = async () => this.keep(key, tasks, options, found.proven ? found : await this.settle(tasks, options, found));
    const proof = running ?? plan();
    if (!running) {
      this.asked.set(key, proof);
      void proof.finally(() => this.asked.delete(key)).catch(() => undefined);
    }
    return hasty ? { plan: found, remedy: null, final: false } : { ...(await proof), final: true };
  }

  private async keep(
    key: string,
    tasks: readonly PlannedTask[],
    options: schedule.BenchOptions,
    plan: schedule.BenchPlan<PlannedTask>,
  ): Promise<Settled> {
    const settled = { plan, remedy: plan.late.length > 0 ? await inSteps(schedule.remedyInSteps(tasks, options)) : null };
    if (this.settled.size >= MOST_KEPT) this.settled.delete(this.settled.keys().next().value!);
    this.settled.set(key, settled);
    return settled;
  }

  /** The solver's answer to what the search did not prove, or the search's where that one is no better. */
  private async settle(
    tasks: readonly PlannedTask[],
    options: schedule.BenchOptions,
    found: schedule.BenchPlan<PlannedTask>,
  ): Promise<schedule.BenchPlan<PlannedTask>> {
    const programme = schedule.benchProgramme(tasks, options);
    const solved = await solveProgramme(programme.lp, SOLVER_S);
    if (!solved) return found;
    const value = (name: string) => solved.values[name] ?? 0;
    const exact = schedule.planFromSolver<PlannedTask>(programme, { optimal: solved.optimal, value, bound: found.fewest });
    return exact.proven || schedule.isBetterPlan(exact, found) ? exact : found;
  }

  /** On days where another calendar is busy from when the bench would begin, less time is left. */
  private async busyMinutes(
    { startsAt, minutesPerDay }: BenchTimes,
    from: schedule.Day,
    to: schedule.Day,
  ): Promise<Record<schedule.Day, number>> {
    const { timeZone } = await this.settings.get();
    const spans = schedule.mergedBusy((await this.busy.all(this.database.db)).flatMap((c) => c.busy));
    return schedule.freeMinutes(spans, { from, to, timeZone, startsAt, minutes: Math.min(minutesPerDay, MINUTES_A_DAY) });
  }
}
