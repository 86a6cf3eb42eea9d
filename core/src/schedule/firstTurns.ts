import type { Traits } from '../care/knowledge/index.js';
import { addDays, daysBetween, inOrder, later, localDay, type Day } from './day.js';

/** `isDamp`: it lies where growth is not ruled out. */
type Newcomer = { id: string; traits: Traits; addedAt: string; isDamp?: boolean };

/** So many first looks fall to a week: what an evening at the bench holds (our choice). */
const A_WEEK = 4;
/** However large the shelf, its first round ends within a quarter (our choice). */
const ROUND_WEEKS = 12;
/** What was made up to this year is mostly turned by hand and greased: it is seen to first (common practice). */
const MECHANICAL_UNTIL = 1980;

/** What is looked at first of things that come in together: the old and the mechanical, where growth and oil sit. */
const isCareful = ({ traits: { yearMade, helicoidExposed } }: Newcomer): boolean =>
  (yearMade ?? Infinity) <= MECHANICAL_UNTIL || !!helicoidExposed;

type Came = { id: string; on: Day; isFirst: boolean; addedAt: string };
/** How many days after it came each has its turn, those that come first before the others of their day. */
function turnsOf(came: readonly Came[]): Map<string, number> {
  const inTurn = came.toSorted(
    (a, b) =>
      inOrder(a.on, b.on) || Number(b.isFirst) - Number(a.isFirst) || a.addedAt.localeCompare(b.addedAt) || a.id.localeCompare(b.id),
  );
  const aWeek = Math.max(A_WEEK, Math.ceil(inTurn.length / ROUND_WEEKS));
  const days: Day[] = [];
  const turns = new Map<string, number>();
  for (const [i, { id, on }] of inTurn.entries()) {
    const day = i < aWeek ? on : later(on, addDays(days[i - aWeek]!, 7));
    days.push(day);
    turns.set(id, daysBetween(on, day));
  }
  return turns;
}

/**
 * A first shelf is not an emergency: the first look of each thing has a day of its own, so that what comes in together
 * is spread over the weeks, the old, the mechanical and what lies damp first. That a place is damp is often known only later:
 * what lies there is moved forward to today then, and is not overdue by it.
 *
 * @param things the whole shelf.
 * @param timeZone IANA name of the household's zone.
 * @returns by its id how many days after it came a thing is due; what does not wait is left out.
 */
export function firstTurns(things: readonly Newcomer[], timeZone: string, today: Day): Map<string, number> {
  const came = things.map((thing) => ({
    id: thing.id,
    on: localDay(thing.addedAt, timeZone),
    isFirst: isCareful(thing),
    isDamp: thing.isDamp === true,
    addedAt: thing.addedAt,
  }));
  const usual = turnsOf(came);
  const damp = came.filter((thing) => thing.isDamp);
  const moved = damp.length === 0 ? usual : turnsOf(came.map((thing) => ({ ...thing, isFirst: thing.isFirst || thing.isDamp })));
  const turns = new Map(moved);
  for (const { id, on } of damp) turns.set(id, Math.min(usual.get(id)!, Math.max(moved.get(id)!, daysBetween(on, today))));
  return new Map([...turns].filter(([, days]) => days > 0));
}
