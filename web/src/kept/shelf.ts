import type { Shelf, ShelfItem } from '@bright-keeper/contract';
import { gear, schedule } from '@bright-keeper/core';

type Test = (item: ShelfItem) => boolean;

/** What the address asks of a thing; each as the household's own shelf does, but for where it lies, which is not kept here. */
function testsOf(query: URLSearchParams, today: string): Test[] {
  const is = (key: string, test: (asked: string) => Test): Test[] => {
    const asked = query.get(key);
    return asked ? [test(asked)] : [];
  };
  const monthEnds = schedule.addMonths(today, 1);
  const dueTest: Record<string, Test> = {
    overdue: ({ nextDue }) => nextDue !== null && nextDue.window.latest < today,
    'this-month': ({ nextDue }) => nextDue !== null && nextDue.window.due <= monthEnds,
  };
  return [
    ...is(
      'search',
      (sought) =>
        ({ name, notes, particulars }) =>
          [name, notes, ...gear.wordsTold(particulars)].some((told) => told.toLowerCase().includes(sought.toLowerCase())),
    ),
    ...is('tag', (tag) => (item) => gear.hasTag(item.particulars, tag)),
    ...is('kind', (kind) => (item) => item.kind === kind),
    ...is('status', (status) => (item) => item.status === status),
    ...is(
      'needs',
      (need) =>
        ({ verdict }) =>
          need === 'never-looked' ? verdict === null : verdict === need,
    ),
    ...is('due', (due) => dueTest[due] ?? (() => true)),
  ];
}

const byName = (a: ShelfItem, b: ShelfItem) => a.name.localeCompare(b.name);
const ORDERS: Record<string, (a: ShelfItem, b: ShelfItem) => number> = {
  name: byName,
  added: (a, b) => b.createdAt.localeCompare(a.createdAt),
  due: (a, b) => (a.nextDue?.window.due ?? '9').localeCompare(b.nextDue?.window.due ?? '9') || byName(a, b),
};

/**
 * The shelf as its address asks for it, from all things that are kept here.
 *
 * @param today YYYY-MM-DD.
 */
export function shelfFrom(all: readonly ShelfItem[], query: URLSearchParams, today: string): Shelf {
  const tests = testsOf(query, today);
  const items = all.filter((item) => tests.every((test) => test(item))).sort(ORDERS[query.get('sort') ?? 'name'] ?? byName);
  return { items, nextCursor: null, total: items.length };
}
