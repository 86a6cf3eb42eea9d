import { ANSWERS, workThrough, type Answer, type CleaningPlan } from '../care/index.js';
import { consumptionOf, type Taking } from './drawer.js';
import { materialsIn } from './outlook.js';

/** What a clean takes of fluids, wipes and swabs: where each surface comes clean at the first try; and at the most. */
export type Needed = { least: Taking[]; most: Taking[] };

const sameThing = (a: Taking, b: Taking): boolean => a.id === b.id && a.thingId === b.thingId;

/** The larger of each: what stops one surface early may let another take more. */
const larger = (one: readonly Taking[], other: readonly Taking[]): Taking[] => [
  ...one.map((t) => ({ ...t, quantity: Math.max(t.quantity, other.find((o) => sameThing(o, t))?.quantity ?? 0) })),
  ...other.filter((o) => !one.some((t) => sameThing(o, t))),
];

/** What a plan will take, before anybody is at the bench: with the same answer to every look, whichever that is. */
export function neededBy(plan: CleaningPlan): Needed {
  const takenWith = (answer: Answer): Taking[] => materialsIn(consumptionOf(plan, workThrough(plan, [answer])));
  return { least: takenWith('clean-enough'), most: ANSWERS.map(takenWith).reduce(larger) };
}
