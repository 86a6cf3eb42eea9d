import type { Today } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';

export type DueEntry = Today['due'][number];
/** Tasks of one kind that may wait a little: they stand in one line. */
export type DueGroup = { task: schedule.TaskId; entries: DueEntry[]; minutes: number };

/** So many stand by themselves before the rest is grouped (our choice: what one does in an evening). */
const MOST_BY_THEMSELVES = 4;

const URGENCIES: readonly schedule.Urgency[] = ['overdue', 'due', 'soon', 'later'];
const rank = ({ urgency, task, due }: DueEntry): string => `${URGENCIES.indexOf(urgency)} ${schedule.rhythm(task).once ? 0 : 1} ${due}`;

/** What is overdue comes first, what has a cause of its own before what only recurs; then by day. */
export const byConsequence = (due: readonly DueEntry[]): DueEntry[] => [...due].sort((a, b) => rank(a).localeCompare(rank(b)));

/** The first few by themselves, the rest by what is to be done; a task that stands alone in the rest is a group of one. */
export function dueInGroups(due: readonly DueEntry[]): { first: DueEntry[]; groups: DueGroup[] } {
  const ranked = byConsequence(due);
  // One more line for the last is no shorter than the entry itself.
  if (ranked.length <= MOST_BY_THEMSELVES + 1) return { first: ranked, groups: [] };
  const rest = ranked.slice(MOST_BY_THEMSELVES);
  const tasks = [...new Set(rest.map((d) => d.task))];
  return {
    first: ranked.slice(0, MOST_BY_THEMSELVES),
    groups: tasks.map((task) => {
      const entries = rest.filter((d) => d.task === task);
      return { task, entries, minutes: entries.reduce((sum, d) => sum + d.minutes, 0) };
    }),
  };
}

/** "3 more: Look through it with a torch". */
export const groupTitle = ({ task, entries }: DueGroup): string => `${entries.length} more: ${schedule.rhythm(task).name}`;

type Need = Today['needs'][number];
/** So many mild needs are shown before the rest is folded (our choice). */
const MOST_MILD = 4;

/** What is grave is all shown; of what only wants a clean the first few, the rest folded. */
export function needsInOrder(needs: readonly Need[]): { grave: Need[]; mild: Need[]; folded: Need[] } {
  const mild = needs.filter((n) => n.verdict === 'clean');
  const shown = mild.length <= MOST_MILD + 1 ? mild.length : MOST_MILD;
  return { grave: needs.filter((n) => n.verdict !== 'clean'), mild: mild.slice(0, shown), folded: mild.slice(shown) };
}

/** "28 things on the shelf, 2 not looked at yet." */
export function greeting({ items, neverLooked }: Today['counts']): string {
  return `${items} ${items === 1 ? 'thing' : 'things'} on the shelf${neverLooked > 0 ? `, ${neverLooked} not looked at yet` : ''}.`;
}
