import type { Traits } from '../care/knowledge/index.js';
import { addDays, daysBetween, inOrder, later, localDay, type Day } from './day.js';

type Newcomer = { id: string; traits: Traits; addedAt: string };

/** So many first looks fall to a week: what an evening at the bench holds (our choice). */
const A_WEEK = 4;
/** However large the shelf, its first round ends within a quarter (our choice). */
const ROUND_WEEKS = 12;
/** What was made up to this year is mostly turned by hand and greased: it is seen to first (common practice). */
const MECHANICAL_UNTIL = 1980;

/** What is looked at first of things that come in together: the old and the mechanical, where growth and oil sit. */
const isCareful = ({ yearMade, helicoidExposed }: Traits): boolean => (yearMade ?? Infinity) <= MECHANICAL_UNTIL || !!helicoidExposed;

/**
 * A first shelf is not an emergency: the first look of each thing has a day of its own, so that what comes in together
 * is spread over the weeks, the careful first.
 *
 * @param things the whole shelf.
 * @param timeZone IANA name of the household's zone.
 * @returns by its id how many days after it came a thing is due; what does not wait is left out.
 */
export function firstTurns(things: readonly Newcomer[], timeZone: string): Map<string, number> {
  const came = things.map((t) => ({ id: t.id, on: localDay(t.addedAt, timeZone), careful: isCareful(t.traits), addedAt: t.addedAt }));
  came.sort(
    (a, b) =>
      inOrder(a.on, b.on) || Number(b.careful) - Number(a.careful) || a.addedAt.localeCompare(b.addedAt) || a.id.localeCompare(b.id),
  );
  const aWeek = Math.max(A_WEEK, Math.ceil(came.length / ROUND_WEEKS));
  const days: Day[] = [];
  const turns = new Map<string, number>();
  for (const [i, { id, on }] of came.entries()) {
    const day = i < aWeek ? on : later(on, addDays(days[i - aWeek]!, 7));
    days.push(day);
    if (day > on) turns.set(id, daysBetween(on, day));
  }
  return turns;
}
