import { schedule } from '@bright-keeper/core';

/** 500 things with four rhythms each, a year of journal, a year ahead; aims: agenda under 50 ms, bench days under 100 ms. */
const THINGS = 500;
const NOW = '2026-06-01T10:00:00Z';
const TODAY = '2026-06-01';

/** Seeded numbers below n. */
let state = 4_872;
const roll = (n: number): number => {
  state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
  return Math.floor((state / 2 ** 32) * n);
};
const pick = <T>(list: readonly T[]): T => list[roll(list.length)]!;

const KINDS = ['lens', 'lens', 'lens', 'mirrorless-body', 'filter', 'binocular'] as const;
const things: schedule.ThingFacts[] = Array.from({ length: THINGS }, (_, i) => ({
  id: `thing-${i}`,
  name: `Thing ${i}`,
  kind: pick(KINDS),
  traits: {},
  status: 'in-use',
  addedAt: `2025-0${1 + roll(9)}-10T10:00:00Z`,
  surfaces: [],
  open: [],
  stay: null,
}));
const journal: schedule.Entry[] = things.flatMap((thing, i) =>
  Array.from({ length: 6 }, (_, k): schedule.Entry => {
    const at = `${schedule.addDays(TODAY, -1 - roll(300))}T12:00:00Z`;
    const subject = { kind: 'thing', id: thing.id } as const;
    const data: schedule.JournalData =
      k % 2 === 0
        ? { kind: 'look', lookId: 'l', looked: 1, notes: [], verdicts: [] }
        : { kind: 'care', task: pick(['exercise', 'shell-and-contacts', 'battery-contacts']) };
    return { id: `e${i}-${k}`, at, subject, data };
  }),
);
/** Every fourth rule is the keeper's own, of another form than the usual. */
const rhythms: schedule.RhythmChange[] = things
  .filter((_, i) => i % 4 === 0)
  .map(({ id }) => ({
    code: 'light-test',
    scope: { for: 'subject', id },
    rhythm: {
      triggers: [
        {
          on: 'calendar',
          rrule: pick(['FREQ=MONTHLY;BYDAY=1SA', 'FREQ=MONTHLY;INTERVAL=2', 'FREQ=YEARLY;BYMONTH=11;BYMONTHDAY=1']),
          from: pick(['last-done', '2024-01-06']),
        },
      ],
      earlyDays: 7,
      lateDays: 7,
      minutes: 8,
    },
  }));
const facts: schedule.Facts = { ...schedule.NO_FACTS, timeZone: 'Europe/Lisbon', things };

const median = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
function timed<T>(work: () => T, runs: number): { ms: number; value: T } {
  let value = work();
  const times = Array.from({ length: runs }, () => {
    const begin = performance.now();
    value = work();
    return performance.now() - begin;
  });
  return { ms: median(times), value };
}

const agenda = timed(() => schedule.agendaFrom(facts, journal, rhythms, { now: NOW }), 31);
console.log(`agenda of ${THINGS} things, 12 months: ${agenda.value.duties.length} duties in ${agenda.ms.toFixed(0)} ms (aim: under 50 ms)`);

const to = schedule.addDays(TODAY, 56);
const tasks = agenda.value.duties
  .filter((d) => d.window.latest <= to)
  .map((d): schedule.BenchTask => ({
    id: d.id,
    ruleId: d.code,
    subjectId: d.subject.id,
    ...schedule.openWindow(d, TODAY, TODAY),
    minutes: d.minutes,
    setUp: d.setUp,
    gravity: d.gravity,
  }));
const plan = timed(() => schedule.planBenchDays(tasks, { from: TODAY, to, availableWeekdays: [0, 3, 6], minutesPerDay: 240 }), 5);
console.log(
  `bench days of ${tasks.length} tasks over 8 weeks: ${plan.value.days.length} days, at least ${plan.value.fewest}, ${plan.value.late.length} late, ` +
    `${plan.value.proven ? 'proven' : 'left to the solver'}, in ${plan.ms.toFixed(0)} ms (aim: under 100 ms)`,
);
