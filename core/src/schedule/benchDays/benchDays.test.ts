import * as packed from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { addDays, GRAVITY_WEIGHT, setUpFacts, weekdayOf, type Gravity, type SetUpId } from '../index.js';
import {
  benchProgramme,
  planBenchDays,
  planFromSolver,
  remedyInSteps,
  type Remedy,
  taskId,
  type BenchOptions,
  type BenchPlan,
  type BenchTask,
} from './index.js';

import { searchExactly } from './search.js';

const MONDAY = '2026-03-02';

/** Seeded numbers below n. */
const dice = (seed: number) => {
  let state = seed >>> 0;
  return (n: number) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * n);
  };
};

const SET_UPS: (SetUpId | undefined)[] = [undefined, 'air', 'wet-work', 'torch-and-loupe', 'camera-open'];
const GRAVE: Gravity[] = ['routine', 'routine', 'spoils', 'harms'];

type Case = { tasks: BenchTask[]; options: BenchOptions };
function drawCase(seed: number, most: { tasks: number; days: number }): Case {
  const roll = dice(seed);
  const span = 3 + roll(most.days - 2);
  const tasks = Array.from({ length: 1 + roll(most.tasks) }, (_, i): BenchTask => {
    const earliest = addDays(MONDAY, roll(span));
    const latest = addDays(earliest, roll(Math.max(1, span - 1)));
    const setUp = SET_UPS[roll(SET_UPS.length)];
    return {
      id: `t${i}`,
      ruleId: 'r',
      subjectId: `s${i}`,
      earliest,
      due: earliest,
      latest,
      minutes: 2 + roll(25),
      gravity: GRAVE[roll(GRAVE.length)]!,
      ...(setUp ? { setUp } : {}),
    };
  });
  const awayFrom = addDays(MONDAY, roll(span));
  const weekdays = [0, 1, 2, 3, 4, 5, 6].filter(() => roll(4) > 0);
  return {
    tasks,
    options: {
      from: MONDAY,
      to: addDays(MONDAY, span),
      minutesPerDay: 15 + roll(40),
      ...(roll(2) ? { availableWeekdays: weekdays } : {}),
      ...(roll(2) ? { away: [{ from: awayFrom, to: addDays(awayFrom, roll(3)) }] } : {}),
    },
  };
}

/** The twin: every way to put each task on each day of its window or nowhere, nothing clever. */
function bruteForce({ tasks, options }: Case): { cost: number; days: number } {
  const days: string[] = [];
  for (let d = options.from; d <= options.to; d = addDays(d, 1)) {
    const free = !options.availableWeekdays || options.availableWeekdays.includes(weekdayOf(d));
    if (free && !(options.away ?? []).some((a) => a.from <= d && d <= a.to)) days.push(d);
  }
  const weightOf = (t: BenchTask) => GRAVITY_WEIGHT[t.gravity!];
  let best = { cost: Infinity, days: Infinity };
  const on: BenchTask[][] = days.map(() => []);
  const minutes = (list: BenchTask[]) =>
    list.reduce((s, t) => s + t.minutes, 0) +
    [...new Set(list.flatMap((t) => t.setUp ?? []))].reduce((s, u) => s + setUpFacts(u).minutes, 0);
  const walk = (i: number, cost: number) => {
    if (cost > best.cost) return;
    if (i === tasks.length) {
      const used = on.filter((l) => l.length > 0).length;
      if (cost < best.cost || used < best.days) best = { cost, days: used };
      return;
    }
    const task = tasks[i]!;
    days.forEach((day, d) => {
      if (day < task.earliest || day > task.latest) return;
      on[d]!.push(task);
      if (minutes(on[d]!) <= options.minutesPerDay!) walk(i + 1, cost);
      on[d]!.pop();
    });
    walk(i + 1, cost + weightOf(task));
  };
  walk(0, 0);
  return best;
}

const costOf = (plan: BenchPlan) => plan.late.reduce((sum, { window }) => sum + GRAVITY_WEIGHT[window.gravity!], 0);

/** What every plan keeps to, whatever it is asked. */
function lawsHold({ tasks, options }: Case, plan: BenchPlan): void {
  const placed = plan.days.flatMap((d) => d.tasks);
  expect([...placed, ...plan.late.map((l) => l.window)].map(taskId).sort()).toEqual(tasks.map(taskId).sort());
  for (const { day, tasks: on, minutes, setUps } of plan.days) {
    expect(minutes).toBeLessThanOrEqual(options.minutesPerDay ?? Infinity);
    expect(minutes).toBe(on.reduce((s, t) => s + t.minutes, 0) + setUps.reduce((s, u) => s + setUpFacts(u).minutes, 0));
    for (const t of on) expect(t.earliest <= day && day <= t.latest).toBe(true);
    if (options.availableWeekdays) expect(options.availableWeekdays).toContain(weekdayOf(day));
    for (const a of options.away ?? []) expect(a.from <= day && day <= a.to).toBe(false);
    const orders = on.map((t) => (t.setUp ? setUpFacts(t.setUp).order : 99));
    expect(orders).toEqual([...orders].sort((a, b) => a - b));
  }
  expect(plan.fewest).toBeLessThanOrEqual(plan.days.length);
}

type Solver = {
  solve: (lp: string, options: object) => { Status: string; ObjectiveValue: number; Columns: Record<string, { Primal: number }> };
};
// The types describe a module where Node sees CommonJS.
const loadSolver = packed.default as unknown as () => Promise<Solver>;

function smallestRemedy(...asked: Parameters<typeof remedyInSteps>): Remedy | null {
  const steps = remedyInSteps(...asked);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

describe('bench days', () => {
  it('are as few as every way of trying finds, over 500 seeded small cases with minutes, weekdays and absences', () => {
    for (let seed = 1; seed <= 500; seed++) {
      const one = drawCase(seed, { tasks: 6, days: 8 });
      const plan = planBenchDays(one.tasks, one.options);
      const best = bruteForce(one);
      lawsHold(one, plan);
      expect({ cost: costOf(plan), days: plan.days.length }, `seed ${seed}`).toEqual(best);
      expect(plan.proven, `seed ${seed}`).toBe(true);
      expect(plan.fewest, `seed ${seed}`).toBe(best.days);
    }
  });

  it('put nothing outside its window, keep the minutes, and replan to the same, over middle cases', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const one = drawCase(seed * 7919, { tasks: 40, days: 42 });
      const plan = planBenchDays(one.tasks, one.options);
      lawsHold(one, plan);
      expect(planBenchDays(one.tasks, one.options)).toEqual(plan);
      // Pinned to where they lie, nothing moves.
      const pinned = plan.days.flatMap((d) => d.tasks.map((t) => ({ ...t, pinnedTo: d.day })));
      const again = planBenchDays(pinned, one.options);
      expect(again.days.map((d) => [d.day, d.tasks.map(taskId)])).toEqual(plan.days.map((d) => [d.day, d.tasks.map(taskId)]));
    }
  });

  it('never become more when a weekday is added', () => {
    for (let seed = 1; seed <= 150; seed++) {
      const one = drawCase(seed * 104_729, { tasks: 6, days: 9 });
      const weekdays = one.options.availableWeekdays ?? [1, 3, 6];
      const plan = planBenchDays(one.tasks, { ...one.options, availableWeekdays: weekdays });
      const more = planBenchDays(one.tasks, { ...one.options, availableWeekdays: [0, 1, 2, 3, 4, 5, 6] });
      expect(costOf(more) < costOf(plan) || (costOf(more) === costOf(plan) && more.days.length <= plan.days.length), `seed ${seed}`).toBe(
        true,
      );
    }
  });

  it('are packed by set-up: three looks with the torch take one laying out', () => {
    const look = (id: string): BenchTask => ({
      ruleId: 'look',
      subjectId: id,
      earliest: MONDAY,
      due: MONDAY,
      latest: addDays(MONDAY, 9),
      minutes: 8,
      setUp: 'torch-and-loupe',
    });
    const plan = planBenchDays([look('a'), look('b'), look('c')], { from: MONDAY, to: addDays(MONDAY, 20), minutesPerDay: 30 });
    expect(plan.days.map((d) => [d.tasks.length, d.minutes])).toEqual([[3, 28]]);
  });

  it('say why it is that day, and what they leave out and why', () => {
    const task = (id: string, earliest: string, latest: string, minutes = 10): BenchTask => ({
      ruleId: 'r',
      subjectId: id,
      earliest,
      due: earliest,
      latest,
      minutes,
    });
    const options = { from: MONDAY, to: addDays(MONDAY, 13), availableWeekdays: [0], minutesPerDay: 60 };
    const plan = planBenchDays(
      [
        task('closes', MONDAY, addDays(MONDAY, 8)),
        task('over', '2026-02-01', '2026-02-10'),
        task('midweek', MONDAY, addDays(MONDAY, 3)),
        task('long', MONDAY, addDays(MONDAY, 13), 90),
      ],
      options,
    );
    expect(plan.days.map((d) => [d.day, d.because])).toEqual([['2026-03-08', { because: 'window-closes', taskId: 'r/closes' }]]);
    expect(Object.fromEntries(plan.late.map((l) => [l.window.subjectId, l.reason]))).toEqual({
      over: 'over',
      midweek: 'no-day',
      long: 'too-long',
    });
  });

  it('keep what is gravest when not all of it fits', () => {
    const task = (id: string, gravity: Gravity): BenchTask => ({
      ruleId: 'r',
      subjectId: id,
      earliest: MONDAY,
      due: MONDAY,
      latest: MONDAY,
      minutes: 20,
      gravity,
    });
    const plan = planBenchDays([task('a', 'routine'), task('b', 'spreads'), task('c', 'routine')], {
      from: MONDAY,
      to: MONDAY,
      minutesPerDay: 40,
    });
    expect(plan.late.map((l) => [l.window.subjectId, l.reason])).toEqual([['c', 'no-room']]);
    expect(plan.days[0]!.tasks.map((t) => t.subjectId)).toContain('b');
  });

  it.each([
    ['a span that ends before it begins', { from: MONDAY, to: addDays(MONDAY, -1) }, /ends on/],
    ['a day without a minute', { from: MONDAY, to: MONDAY, minutesPerDay: 0 }, /at least one/],
    ['a weekday that is none', { from: MONDAY, to: MONDAY, availableWeekdays: [7] }, /Saturday/],
  ])('refuse %s', (_title, options, message) => expect(() => planBenchDays([], options)).toThrow(message));

  it('refuse a window that ends before it begins, and say which', () => {
    const backwards: BenchTask = {
      ruleId: 'light-test',
      subjectId: 'a',
      earliest: '2026-03-09',
      due: '2026-03-09',
      latest: '2026-03-08',
      minutes: 5,
    };
    expect(() => planBenchDays([backwards], { from: MONDAY, to: addDays(MONDAY, 20) })).toThrow(/light-test\/a ends on 2026-03-08/);
  });
});

describe('the smallest change that makes it fit', () => {
  const task = (id: string, minutes: number): BenchTask => ({
    ruleId: 'r',
    subjectId: id,
    earliest: MONDAY,
    due: MONDAY,
    latest: addDays(MONDAY, 6),
    minutes,
  });

  it('is so many minutes more, in fives', () => {
    const options = { from: MONDAY, to: addDays(MONDAY, 6), availableWeekdays: [0], minutesPerDay: 30 };
    expect(smallestRemedy([task('a', 20), task('b', 27)], options)).toEqual({ change: 'minutes', minutesPerDay: 50, more: 20 });
  });
  it('is another weekday where minutes do not help', () => {
    const midweek: BenchTask = { ...task('a', 20), latest: addDays(MONDAY, 2) };
    expect(smallestRemedy([midweek], { from: MONDAY, to: addDays(MONDAY, 6), availableWeekdays: [0], minutesPerDay: 30 })).toEqual({
      change: 'weekday',
      weekday: 1,
    });
  });
  it('is none where all fits', () => {
    expect(smallestRemedy([task('a', 20)], { from: MONDAY, to: addDays(MONDAY, 6), minutesPerDay: 30 })).toBeNull();
  });
});

/** Reference solver: HiGHS, mixed-integer, over the same question written out in full. */
describe('the exact solver', () => {
  let solver: Solver;
  beforeAll(async () => {
    solver = await loadSolver();
  });

  it('finds no fewer days than are proven, and settles what the search left open, over 50 middle cases', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const one = drawCase(seed * 31_337, { tasks: 24, days: 21 });
      const plan = planBenchDays(one.tasks, one.options);
      const programme = benchProgramme(one.tasks, one.options);
      const solved = solver.solve(programme.lp, { output_flag: false, mip_rel_gap: 0 });
      const exact = planFromSolver(programme, {
        optimal: solved.Status === 'Optimal',
        value: (name) => solved.Columns[name]?.Primal ?? 0,
        bound: solved.ObjectiveValue,
      });
      lawsHold(one, exact);
      expect(exact.proven, `seed ${seed}`).toBe(true);
      if (plan.proven) expect([costOf(plan), plan.days.length], `seed ${seed}`).toEqual([costOf(exact), exact.days.length]);
      else
        expect(
          costOf(exact) < costOf(plan) || (costOf(exact) === costOf(plan) && exact.days.length <= plan.days.length),
          `seed ${seed}`,
        ).toBe(true);
      if (costOf(exact) === 0) expect(plan.fewest, `seed ${seed}`).toBeLessThanOrEqual(exact.days.length);
    }
  });
});

describe('a club with thousands of tasks', () => {
  it('has its search ended before the stack is, with the placement it began with', () => {
    const jobs = Array.from({ length: 20_000 }, (_, i) => ({
      task: { id: `t${i}`, ruleId: 'r', subjectId: 's', earliest: MONDAY, due: MONDAY, latest: MONDAY, minutes: 1 },
      first: 0,
      last: 0,
      minutes: 1,
      setUp: null,
      weight: 1,
    }));
    const start = { slotOf: jobs.map(() => 0), cost: 1, days: 1 };
    const found = searchExactly([{ day: MONDAY, minutes: 30_000 }], jobs, start, 1, 1_000_000);
    expect(found).toEqual({ placement: start, proven: false });
  });
});
