import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs';
import { familyOf, natureOf } from '../care/index.js';
import { hashOf } from './mixed.js';
import type { PracticeCase } from './questions.js';

/** A run through a case, as it ended. */
export type PracticeRun = { caseId: string; asked: number; right: number; at: string };

/** What one practises: all of it, or a special run. */
export const PRACTICES = ['all', 'sensor', 'fungus', 'sand', 'dark'] as const;
export type Practice = (typeof PRACTICES)[number];

const LOOSE_OUT_THERE = ['grit', 'dust', 'salt', 'splash'];
const isSand = ({ request: { place, conditions = {}, findings } }: PracticeCase): boolean =>
  place === 'field' && (!!conditions.blowingSand || !!conditions.wind || findings.some(({ soil }) => LOOSE_OUT_THERE.includes(soil)));

/** Whether a case belongs to it. In the dark anything may be asked: nothing is shown, all of it is told. */
export function isOf(practice: Practice, one: PracticeCase): boolean {
  switch (practice) {
    case 'sensor':
      return one.request.findings.some(({ surface }) => familyOf(surface) === 'sensor');
    case 'fungus':
      return one.request.findings.some(({ soil }) => natureOf(soil) === 'growth');
    case 'sand':
      return isSand(one);
    case 'all':
    case 'dark':
      return true;
    default:
      return practice satisfies never;
  }
}

/**
 * FSRS (Ye, Su & Cao 2022; its kept library), by days: nobody sits before it to see a case again ten minutes later. Without
 * chance: the same runs come back on the same days.
 */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false });
const HARD_FROM = 2 / 3;
/** All right is good; two in three was hard; less has to be learnt again. */
export const gradeOf = ({ asked, right }: Pick<PracticeRun, 'asked' | 'right'>): Grade =>
  right >= asked ? Rating.Good : right / asked >= HARD_FROM ? Rating.Hard : Rating.Again;

/** When each case that was practised comes back. @param runs oldest first. */
export function comesBack(runs: readonly PracticeRun[]): Map<string, Date> {
  const cards = new Map<string, Card>();
  for (const run of runs) {
    const at = new Date(run.at);
    const card: Card = cards.get(run.caseId) ?? createEmptyCard<Card>(at);
    cards.set(run.caseId, scheduler.next(card, at, gradeOf(run)).card);
  }
  return new Map([...cards].map(([id, { due }]) => [id, due]));
}

/** What asks little comes once what asks more is known. */
const isShort = ({ questions }: PracticeCase): boolean => questions.length < 3;

/** The next case, and why this one: it is due again, it is new, or it is the first to come back. */
export type NextCase = { case: PracticeCase; because: 'due' | 'new' | 'soonest' };

/** What to practise next: what went wrong and is due first, then what is new, then what comes back soonest; null where there is none. */
export function nextCase(cases: readonly PracticeCase[], runs: readonly PracticeRun[], practice: Practice, now: Date): NextCase | null {
  const own = cases.filter((one) => isOf(practice, one));
  const back = comesBack(runs);
  const dueAt = (one: PracticeCase): number => back.get(one.id)!.getTime();
  const known = own.filter(({ id }) => back.has(id)).sort((a, b) => dueAt(a) - dueAt(b));
  const [first] = known;
  if (first && dueAt(first) <= now.getTime()) return { case: first, because: 'due' };
  const fresh = own
    .filter(({ id }) => !back.has(id))
    .sort((a, b) => Number(isShort(a)) - Number(isShort(b)) || hashOf(a.id) - hashOf(b.id))[0];
  if (fresh) return { case: fresh, because: 'new' };
  return first ? { case: first, because: 'soonest' } : null;
}

/** How it goes: cases that were practised, that are due now, and how many of all answers lately were right. */
export type PracticeState = { practised: number; of: number; due: number; right: number; asked: number };
const LATELY = 10;
export function practiceState(cases: readonly PracticeCase[], runs: readonly PracticeRun[], practice: Practice, now: Date): PracticeState {
  const ids = new Set(cases.filter((one) => isOf(practice, one)).map(({ id }) => id));
  const own = runs.filter(({ caseId }) => ids.has(caseId));
  const back = comesBack(own);
  const lately = own.slice(-LATELY);
  return {
    practised: back.size,
    of: ids.size,
    due: [...back.values()].filter((due) => due <= now).length,
    right: lately.reduce((sum, { right }) => sum + right, 0),
    asked: lately.reduce((sum, { asked }) => sum + asked, 0),
  };
}
