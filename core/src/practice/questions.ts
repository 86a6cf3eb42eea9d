import {
  type Because,
  BEFORE,
  type CleaningPlan,
  methodFacts,
  type Method,
  planCleaning,
  type PlanRequest,
  type Refusal,
  requestOf,
  type SchoolNote,
  type Schools,
  type Situation,
  SITUATIONS,
  type Step,
  type Surface,
  type Use,
  type Verdict,
} from '../care/index.js';
import { mixed } from './mixed.js';

/** What is asked of a case, and on which surface. */
export type Ask =
  | { asks: 'verdict'; surface: Surface }
  | { asks: 'where-first' }
  | { asks: 'rung-first'; surface: Surface; /** Air was tried, and did not do it. */ afterAir: boolean }
  | { asks: 'never'; surface: Surface }
  | { asks: 'amount'; step: Step }
  | { asks: 'still-there'; step: Step };

/** What one may choose. `again`: the same once more; `harder`: the same with more force. */
export type Choice =
  | { is: 'verdict'; verdict: Verdict }
  | { is: 'surface'; surface: Surface }
  | { is: 'method'; method: Method; surface: Surface }
  | { is: 'amount'; use: Use }
  | { is: 'then'; then: 'climb' | 'again' | 'harder' | 'stop'; method: Method | null };

/** What that choice would have done, or why it is the right one. */
export type Why =
  | { says: 'because'; because: Because }
  | { says: 'in-this-order'; first: Surface; then: Surface }
  | { says: 'gentlest-first'; first: Method }
  | { says: 'rule'; refusal: Refusal }
  | { says: 'is-fine-here' }
  | { says: 'too-much' | 'so-much'; surface: Surface }
  | { says: 'two-tries' | 'force-wears' | 'a-rung-is-left' | 'nothing-is-left' };

export type PracticeChoice = { choice: Choice; right: boolean; why: Why };
export type PracticeQuestion = {
  /** Within its case. */
  id: string;
  ask: Ask;
  choices: PracticeChoice[];
  /** What good practitioners of other schools would do instead. */
  others: SchoolNote[];
};
/** Something lies on the bench: what it is and what the lamp shows, and what is asked of whoever stands before it. */
export type PracticeCase = { id: string; told: string; request: PlanRequest; questions: PracticeQuestion[] };

type Making = { id: string; plan: CleaningPlan; request: PlanRequest };
const MOST_CHOICES = 4;

/** What becomes of a surface in a plan, and why; null where it is more than one thing, as where the rest waits for home. */
function fateOf({ steps, isolate, deferred, handOver, replace, openings, leaveAlone, worthIt }: CleaningPlan, surface: Surface) {
  const on = <T extends { surface: Surface }>(all: readonly T[]): T | undefined => all.find((e) => e.surface === surface);
  if (isolate?.surface === surface) return { verdict: 'isolate' as const, because: isolate };
  const worth = on(worthIt);
  const fates = [
    ['clean', on(steps) && worth],
    ['wait', on(deferred)],
    ['weigh', on(openings)],
    ['hand-over', on(handOver)],
    ['replace', on(replace)],
    ['leave', on(leaveAlone)],
  ] as const;
  const own = fates.filter(([, entry]) => entry);
  return own.length === 1 ? { verdict: own[0]![0], because: own[0]![1]! } : null;
}

const DECOYS: readonly Verdict[] = ['clean', 'leave', 'hand-over', 'wait', 'isolate', 'replace'];

function verdictQuestion({ id, plan, request }: Making): PracticeQuestion | null {
  // Where several surfaces are dirty, the one that is not simply cleaned is the one to think about.
  const fates = [...new Set(request.findings.map((f) => f.surface))].flatMap((surface) => {
    const fate = fateOf(plan, surface);
    return fate ? [{ surface, ...fate }] : [];
  });
  const asked = fates.find(({ verdict }) => verdict !== 'clean') ?? fates[0];
  if (!asked) return null;
  const { surface, verdict, because } = asked;
  const others = mixed(
    `${id}/decoys`,
    DECOYS.filter((v) => v !== verdict),
  ).slice(0, MOST_CHOICES - 1);
  const choices = [verdict, ...others].map((v) => ({
    choice: { is: 'verdict' as const, verdict: v },
    right: v === verdict,
    why: { says: 'because' as const, because },
  }));
  return { id: 'verdict', ask: { asks: 'verdict', surface }, choices: mixed(`${id}/verdict`, choices), others: [] };
}

/** Whether a reason puts one surface before another, at once or by way of those between. */
function comesBefore(first: Surface, then: Surface): boolean {
  const next = BEFORE.filter(([earlier]) => earlier === first).map(([, later]) => later);
  return next.includes(then) || next.some((between) => comesBefore(between, then));
}

function orderQuestion({ id, plan }: Making): PracticeQuestion | null {
  const surfaces = [...new Set(plan.steps.map((s) => s.surface))];
  const first = surfaces[0];
  if (first === undefined || surfaces.length < 2) return null;
  // Two that no reason puts one before the other are no question.
  const after = surfaces.slice(1).filter((s) => comesBefore(first, s));
  if (after.length === 0) return null;
  const choices = [first, ...after].slice(0, MOST_CHOICES).map((surface) => ({
    choice: { is: 'surface' as const, surface },
    right: surface === first,
    why: { says: 'in-this-order' as const, first, then: surface === first ? after[0]! : surface },
  }));
  return { id: 'where-first', ask: { asks: 'where-first' }, choices: mixed(`${id}/where`, choices), others: [] };
}

/** Ways that are refused on a surface and not taken there in another step, each once, by the first reason. */
function refusedOn(plan: CleaningPlan, surface: Surface): { method: Method; refusal: Refusal }[] {
  const all = plan.refused.flatMap((refusal) =>
    refusal.method !== undefined && refusal.surface === surface && refusal.tool === undefined && refusal.material === undefined
      ? [{ method: refusal.method, refusal }]
      : [],
  );
  const taken = methodsOn(plan, surface);
  return all.filter(({ method }, i) => !taken.includes(method) && all.findIndex((one) => one.method === method) === i);
}

const methodsOn = (plan: CleaningPlan, surface: Surface): Method[] => [
  ...new Set(plan.steps.filter((s) => s.surface === surface).map((s) => s.method)),
];

/** A way that is harsher than another; one that is as gentle is no mistake to begin with. */
const isHarsher = (than: Method) => (method: Method) => methodFacts(method).level > methodFacts(than).level;

function rungQuestion({ id, plan }: Making, surface: Surface): PracticeQuestion | null {
  const methods = methodsOn(plan, surface);
  // That air comes first is soon known: what comes once it did not do it is worth asking.
  const afterAir = methods[0] === 'blow' && methods.length > 1;
  const first = methods[afterAir ? 1 : 0]!;
  const refused = refusedOn(plan, surface);
  const wrong: PracticeChoice[] = [
    ...methods.filter(isHarsher(first)).map((method) => ({
      choice: { is: 'method' as const, method, surface },
      right: false,
      why: { says: 'gentlest-first' as const, first },
    })),
    ...refused.map(({ method, refusal }) => ({
      choice: { is: 'method' as const, method, surface },
      right: false,
      why: { says: 'rule' as const, refusal },
    })),
  ];
  if (wrong.length === 0) return null;
  const right = { choice: { is: 'method' as const, method: first, surface }, right: true, why: { says: 'gentlest-first' as const, first } };
  const choices = [right, ...mixed(`${id}/rungs`, wrong).slice(0, MOST_CHOICES - 1)];
  const others = plan.steps.find((s) => s.surface === surface && s.method === first)!.schoolNotes;
  return {
    id: 'rung-first',
    ask: { asks: 'rung-first', surface, afterAir },
    choices: mixed(`${id}/rung`, choices),
    others: oneEach(others),
  };
}

const oneEach = (notes: readonly SchoolNote[]): SchoolNote[] =>
  notes.filter((note, i) => note.others.length > 0 && notes.findIndex(({ school }) => school === note.school) === i);

function neverQuestion({ id, plan }: Making, surface: Surface): PracticeQuestion | null {
  const methods = methodsOn(plan, surface);
  const refused = refusedOn(plan, surface);
  if (refused.length === 0 || methods.length < 2) return null;
  // What is never right teaches less than what is wrong here.
  const here = refused.filter(({ refusal: { rule } }) => rule !== 'no-canned-air-inside');
  const { method, refusal } = mixed(`${id}/never`, here.length > 0 ? here : refused)[0]!;
  const right = { choice: { is: 'method' as const, method, surface }, right: true, why: { says: 'rule' as const, refusal } };
  const fine = methods
    .slice(0, MOST_CHOICES - 1)
    .map((m) => ({ choice: { is: 'method' as const, method: m, surface }, right: false, why: { says: 'is-fine-here' as const } }));
  return { id: 'never', ask: { asks: 'never', surface }, choices: mixed(`${id}/nevers`, [right, ...fine]), others: [] };
}

/** So many times as much, and so many drops more, is plainly too much. */
const [FLOOD, MORE] = [8, 3];

function amountQuestion({ id, plan }: Making): PracticeQuestion | null {
  const step = plan.steps.find((s) => s.amount?.unit === 'drop' && s.material !== null);
  if (!step) return null;
  const { quantity } = step.amount!;
  const use = (n: number): Use => ({ material: step.material!, amount: { quantity: n, unit: 'drop' } });
  const choices: PracticeChoice[] = [
    { choice: { is: 'amount', use: use(quantity) }, right: true, why: { says: 'so-much', surface: step.surface } },
    { choice: { is: 'amount', use: use(quantity + MORE) }, right: false, why: { says: 'too-much', surface: step.surface } },
    { choice: { is: 'amount', use: use(quantity * FLOOD) }, right: false, why: { says: 'too-much', surface: step.surface } },
  ];
  return { id: 'amount', ask: { asks: 'amount', step }, choices: mixed(`${id}/amount`, choices), others: [] };
}

function stopQuestion({ id, plan }: Making, surface: Surface): PracticeQuestion | null {
  const own = plan.steps.filter((s) => s.surface === surface);
  const [step] = mixed(
    `${id}/step`,
    own.filter((s) => s.contact && s.look?.asks === 'clean'),
  );
  if (!step) return null;
  const next = step.onNoChange === 'climb' ? (own[own.indexOf(step) + 1]?.method ?? null) : null;
  const stops = next === null;
  const then = (way: 'climb' | 'again' | 'harder' | 'stop', method: Method | null): Choice => ({ is: 'then', then: way, method });
  const choices: PracticeChoice[] = [
    { choice: then('stop', null), right: stops, why: { says: stops ? 'nothing-is-left' : 'a-rung-is-left' } },
    { choice: then('again', step.method), right: false, why: { says: 'two-tries' } },
    { choice: then('harder', step.method), right: false, why: { says: 'force-wears' } },
    ...(next === null ? [] : [{ choice: then('climb', next), right: true, why: { says: 'a-rung-is-left' as const } }]),
  ];
  return { id: 'still-there', ask: { asks: 'still-there', step }, choices: mixed(`${id}/stop`, choices), others: [] };
}

/** The questions of a case, in the order of the work; each has one right answer. */
function questionsOf(making: Making): PracticeQuestion[] {
  const { plan } = making;
  // Of several surfaces the one with the longest ladder teaches most.
  const surfaces = [...new Set(plan.steps.map((s) => s.surface))].sort((a, b) => methodsOn(plan, b).length - methodsOn(plan, a).length);
  const surface = surfaces[0];
  const all = [
    verdictQuestion(making),
    orderQuestion(making),
    ...(surface === undefined
      ? []
      : [rungQuestion(making, surface), neverQuestion(making, surface), amountQuestion(making), stopQuestion(making, surface)]),
  ];
  return all.filter((q) => q !== null);
}

/** That something is simply cleaned, or left, is no case by itself; what waits, is set apart or handed over is. */
const isWorthIt = ({ length }: readonly PracticeQuestion[], plan: CleaningPlan): boolean =>
  length >= 2 || (length === 1 && !['clean', 'leave'].includes(plan.summary.says));

/** A situation as a case of the practice; null where it asks too little. Its own schools stand above those it is practised by. */
function caseOf(situation: Situation, schools: Partial<Schools>): PracticeCase | null {
  const { id, told } = situation;
  const own = requestOf(situation);
  const request = { ...own, schools: { ...schools, ...own.schools } };
  const plan = planCleaning(request);
  const questions = questionsOf({ id, request, plan });
  return isWorthIt(questions, plan) ? { id, told, request, questions } : null;
}

let made: { by: string; cases: readonly PracticeCase[] } | null = null;
/**
 * Every case of the book that can be practised, by one's own schools. They are made once for the same schools, when they are
 * first asked for: that plans the whole book.
 */
export function practiceCases(schools: Partial<Schools> = {}): readonly PracticeCase[] {
  const by = JSON.stringify(schools);
  if (made?.by !== by) made = { by, cases: SITUATIONS.flatMap((situation) => caseOf(situation, schools) ?? []) };
  return made.cases;
}
