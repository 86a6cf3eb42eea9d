import type { Today } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';

type Duty = schedule.Duty;
/** Tasks of one kind that may wait a little: they stand in one line. */
export type DueGroup = { code: schedule.DutyCode; duties: Duty[]; minutes: number };

/** So many stand by themselves before the rest is grouped (our choice: what one does in an evening). */
const MOST_BY_THEMSELVES = 4;
/** So many needs that do no harm yet are shown before the rest is folded (our choice). */
const MOST_MILD = 6;

/** What stands where on Today. */
export type TodayView = {
  /** Things that warm up. */
  waiting: Duty[];
  /** Everything that is graver than routine: all that is grave, the first of what is mild, the rest folded. */
  needs: { shown: Duty[]; folded: Duty[] };
  /** Routine: the first few by themselves, the rest by what is to be done. */
  due: { first: Duty[]; groups: DueGroup[]; minutes: number };
};

const isMild = ({ gravity }: Duty): boolean => gravity === 'spoils' || gravity === 'worsens';
const minutesOf = (duties: readonly Duty[]): number => duties.reduce((sum, d) => sum + d.minutes, 0);

/** What does harm is all shown; what only grows worse or spoils pictures is folded where it is many, never a single one. */
export function needsInOrder(needs: readonly Duty[]): TodayView['needs'] {
  const mild = needs.filter(isMild);
  const most = mild.length <= MOST_MILD + 1 ? mild.length : MOST_MILD;
  const folded = mild.slice(most);
  return { shown: needs.filter((d) => !folded.includes(d)), folded };
}

/** The first few by themselves, the rest by what is to be done; a task that stands alone in the rest is a group of one. */
export function dueInGroups(due: readonly Duty[]): TodayView['due'] {
  const minutes = minutesOf(due);
  // One more line for the last is no shorter than the entry itself.
  if (due.length <= MOST_BY_THEMSELVES + 1) return { first: [...due], groups: [], minutes };
  const rest = due.slice(MOST_BY_THEMSELVES);
  const codes = [...new Set(rest.map((d) => d.code))];
  return {
    first: due.slice(0, MOST_BY_THEMSELVES),
    groups: codes.map((code) => {
      const duties = rest.filter((d) => d.code === code);
      return { code, duties, minutes: minutesOf(duties) };
    }),
    minutes,
  };
}

/** The duties of today, which come ranked, under their headings. */
export function todayView(duties: readonly Duty[]): TodayView {
  const isWaiting = (d: Duty) => d.code === 'warm-up';
  const rest = duties.filter((d) => !isWaiting(d));
  return {
    waiting: duties.filter(isWaiting),
    needs: needsInOrder(rest.filter((d) => d.gravity !== 'routine')),
    due: dueInGroups(rest.filter((d) => d.gravity === 'routine')),
  };
}

/** "3 more: Look through it with a torch". */
export const groupTitle = ({ code, duties }: DueGroup): string => `${duties.length} more: ${schedule.dutyFacts(code).name}`;

/** "28 things on the shelf, 2 not looked at yet." */
export function greeting({ items, neverLooked }: Today['counts']): string {
  return `${items} ${items === 1 ? 'thing' : 'things'} on the shelf${neverLooked > 0 ? `, ${neverLooked} not looked at yet` : ''}.`;
}

/** What is said where nothing needs one: of what nobody has looked at yet nothing is known, not even that it is good enough. */
export function calmWords({ items, neverLooked }: Today['counts']): string {
  if (neverLooked === 0) return 'Nothing needs you. Whatever was found is good enough for the picture.';
  if (neverLooked === items) return 'Nothing needs you that is known of: a look tells.';
  return 'Nothing that was found needs you. Of what nobody has looked at yet, a look tells.';
}
