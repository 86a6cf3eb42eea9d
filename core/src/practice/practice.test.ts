import { describe, expect, it } from 'vitest';
import { care } from '../index.js';
import { practiceCases } from './questions.js';
import { comesBack, gradeOf, isOf, nextCase, type Practice, PRACTICES, type PracticeRun, practiceState } from './when.js';

const CASES = practiceCases();
const situationOf = (id: string) => care.SITUATIONS.find((s) => s.id === id)!;

describe('the cases of the practice', () => {
  it('are most of the book, each known by its situation, with one right answer to each question and no choice twice', () => {
    expect(CASES.length).toBeGreaterThan(350);
    for (const { id, questions } of CASES) {
      expect(situationOf(id).id).toBe(id);
      expect(new Set(questions.map((q) => q.id)).size).toBe(questions.length);
      for (const { id: asked, choices } of questions) {
        expect(
          choices.filter(({ right }) => right),
          `${id} ${asked}`,
        ).toHaveLength(1);
        expect(choices.length, `${id} ${asked}`).toBeGreaterThan(1);
        expect(new Set(choices.map(({ choice }) => JSON.stringify(choice))).size, `${id} ${asked}`).toBe(choices.length);
      }
    }
  });

  it('do not tell the right answer by its place', () => {
    const four = CASES.flatMap(({ questions }) => questions).filter(({ choices }) => choices.length === 4);
    const at = [0, 1, 2, 3].map((i) => four.filter(({ choices }) => choices[i]!.right).length / four.length);
    for (const share of at) expect(share, at.join(' ')).toBeGreaterThan(0.2);
  });

  it('are of one mind with the book: what it says waits, is left, renewed, handed over or set apart is the right answer', () => {
    let held = 0;
    for (const { id, questions } of CASES) {
      const { must } = situationOf(id);
      for (const { ask, choices } of questions) {
        if (ask.asks !== 'verdict') continue;
        const right = choices.find((c) => c.right)!.choice as { verdict: care.Verdict };
        const said: [readonly care.Surface[] | undefined, care.Verdict][] = [
          [must.waits, 'wait'],
          [must.leaves, 'leave'],
          [must.handsOver, 'hand-over'],
          [must.renews, 'replace'],
        ];
        for (const [surfaces, verdict] of said)
          if (surfaces?.includes(ask.surface)) {
            held++;
            // Growth that waits for home is set apart all the same, and that is what one does.
            if (right.verdict !== 'isolate') expect(right.verdict, id).toBe(verdict);
            else expect(must.isolates, id).not.toBe(false);
          }
      }
    }
    expect(held).toBeGreaterThan(80);
  });

  it('never call right what the planner refuses, nor wrong by a rule what it does', () => {
    for (const { id, request, questions } of CASES) {
      const plan = care.planCleaning(request);
      const done = (surface: care.Surface) => plan.steps.filter((s) => s.surface === surface).map((s) => s.method);
      for (const { ask, choices } of questions)
        for (const { choice, right, why } of choices) {
          if (choice.is !== 'method') continue;
          const isDone = done(choice.surface).includes(choice.method);
          expect(why.says === 'rule' ? !isDone : isDone, `${id} ${ask.asks} ${choice.method}`).toBe(true);
          if (ask.asks === 'rung-first' && right) {
            const first = done(choice.surface)[0]!;
            expect(ask.afterAir ? first : choice.method, id).toBe(ask.afterAir ? 'blow' : first);
          }
        }
    }
  });

  it('go on to the next rung while one is left, and stop where none is', () => {
    for (const { id, request, questions } of CASES) {
      const plan = care.planCleaning(request);
      for (const { ask, choices } of questions) {
        if (ask.asks !== 'still-there') continue;
        const own = plan.steps.filter((s) => s.surface === ask.step.surface);
        const next = own[own.findIndex((s) => s.id === ask.step.id) + 1];
        const right = choices.find((c) => c.right)!.choice;
        expect(right, id).toEqual(
          next && ask.step.onNoChange === 'climb'
            ? { is: 'then', then: 'climb', method: next.method }
            : { is: 'then', then: 'stop', method: null },
        );
      }
    }
  });

  it('have enough for every special run, and in each nothing else', () => {
    const of = (practice: Practice) => CASES.filter((one) => isOf(practice, one));
    for (const practice of PRACTICES) expect(of(practice).length, practice).toBeGreaterThan(12);
    for (const { request } of of('fungus')) expect(request.findings.some(({ soil }) => care.natureOf(soil) === 'growth')).toBe(true);
    for (const { request } of of('sensor')) expect(request.findings.some(({ surface }) => care.familyOf(surface) === 'sensor')).toBe(true);
    for (const { request } of of('sand')) expect(request.place).toBe('field');
    expect(of('dark')).toHaveLength(CASES.length);
  });
});

describe('what comes back when', () => {
  const START = Date.parse('2026-03-10T09:00:00.000Z');
  const at = (days: number) => new Date(START + days * 86_400_000);
  const run = (caseId: string, right: number, days = 0): PracticeRun => ({ caseId, asked: 5, right, at: at(days).toISOString() });
  const [one, two, three] = CASES.slice(0, 3).map(({ id }) => id) as [string, string, string];

  it('is sooner the worse it went, and later each time it goes well', () => {
    const due = (...rights: number[]) => {
      let days = 0;
      const runs: PracticeRun[] = [];
      for (const right of rights) {
        runs.push(run(one, right, days));
        days = (comesBack(runs).get(one)!.getTime() - START) / 86_400_000;
      }
      return days;
    };
    expect(due(2)).toBeLessThan(due(4));
    expect(due(4)).toBeLessThanOrEqual(due(5));
    let before = 0;
    const intervals = [1, 2, 3, 4, 5].map((n) => {
      const days = due(...Array.from({ length: n }, () => 5));
      const interval = days - before;
      before = days;
      return interval;
    });
    expect(intervals).toEqual([...intervals].sort((a, b) => a - b));
    expect(intervals.at(-1)).toBeGreaterThan(20);
    // What was known and then went wrong is back within days.
    expect(due(5, 5, 5, 0) - due(5, 5, 5)).toBeLessThan(7);
  });

  it('grades by how much was right', () => {
    expect([5, 4, 3, 0].map((right) => gradeOf({ asked: 5, right }))).toEqual([3, 2, 1, 1]);
    expect(gradeOf({ asked: 3, right: 2 })).toBe(2);
  });

  it('takes what is due first, the longest due before all, then what is new, then what comes back soonest', () => {
    const cases = CASES.slice(0, 3);
    const next = (runs: PracticeRun[], days: number) => nextCase(cases, runs, 'all', at(days));
    expect(next([], 0)!.because).toBe('new');
    // Nothing is due a minute later, so the new ones come.
    const wrong = [run(one, 0), run(two, 0, 0.0001)];
    expect(next(wrong, 0.01)).toMatchObject({ because: 'new', case: { id: three } });
    expect(next(wrong, 3)).toMatchObject({ because: 'due', case: { id: one } });
    expect(next([run(one, 5)], 0.0001)).toMatchObject({ because: 'new' });
    const all = [run(one, 5), run(two, 5, 1), run(three, 5, 2)];
    expect(next(all, 2)!.because).toBe('soonest');
    expect(next(all, 2)!.case.id).toBe(one);
    expect(nextCase([], [], 'all', at(0))).toBeNull();
    // The same runs have the same next case.
    expect(next(wrong, 3)!.case.id).toBe(next(wrong, 3)!.case.id);
  });

  it('is told as how many are known, due, and lately right', () => {
    const runs = [run(one, 5), run(two, 1), run('gone-from-the-book', 0)];
    expect(practiceState(CASES.slice(0, 3), runs, 'all', at(30))).toEqual({ practised: 2, of: 3, due: 2, right: 6, asked: 10 });
  });
});
