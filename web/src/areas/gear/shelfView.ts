import { type ShelfGroup, NO_PLACE } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { capital } from '@bright-keeper/words';
import { outside } from '../../outside';
import { VERDICT_WORDS } from '../../ui/words';
import type { ShelfFilters } from './queries';

/** How a shelf is laid out: as the screen is wide, or as one likes it. */
export const LAYOUTS = { auto: 'As wide as the screen', rows: 'Rows', cards: 'Cards' } as const;
export type Layout = keyof typeof LAYOUTS;

/** Columns that may stand beside the name of a thing. */
export const COLUMN_WORDS = {
  kind: 'Kind',
  needs: 'Last verdict',
  due: 'Next',
  place: 'Place',
  serial: 'Serial number',
  maker: 'Maker and model',
  worth: 'Worth',
  came: 'Came',
} as const;
export type ColumnId = keyof typeof COLUMN_WORDS;
export const COLUMN_IDS = Object.keys(COLUMN_WORDS) as ColumnId[];
const USUAL_COLUMNS: readonly ColumnId[] = ['kind', 'needs', 'due'];

/** What stays as it was chosen when one comes back: how the shelf is laid out. */
export type ShelfView = { layout: Layout; columns: readonly ColumnId[]; sort: string; by: gear.Grouping | null };
const USUAL: ShelfView = { layout: 'auto', columns: USUAL_COLUMNS, sort: '', by: null };
const PLACE = 'shelf-view';

const isOneOf = <T extends string>(all: readonly T[], one: unknown): one is T => all.some((each) => each === one);

/** What this browser remembers, as far as it is still something we know. */
export function recalledView(): ShelfView {
  try {
    const { layout, columns, sort, by } = JSON.parse(outside.recall(PLACE) ?? '{}') as Record<string, unknown>;
    return {
      layout: isOneOf(Object.keys(LAYOUTS) as Layout[], layout) ? layout : USUAL.layout,
      columns: Array.isArray(columns) ? COLUMN_IDS.filter((id) => columns.includes(id)) : USUAL.columns,
      sort: isOneOf(['due', 'added'], sort) ? sort : '',
      by: isOneOf(gear.GROUPINGS, by) ? by : null,
    };
  } catch {
    return USUAL;
  }
}
export const rememberView = (view: ShelfView): void => outside.remember(PLACE, JSON.stringify(view));

/** What leaves things out and stays chosen; a search is for one thing, and ends with it. */
const KEPT_FILTERS = ['tag', 'kind', 'needs', 'due', 'out', 'status', 'archived'];
const KEPT_PLACE = 'shelf-filters';

/** What was left out of the shelf when one went, as an address says it; nothing where all of it was there. */
export const recalledFilters = (): string => keptOf(new URLSearchParams(outside.recall(KEPT_PLACE) ?? '')).toString();
export const rememberFilters = (params: URLSearchParams): void => outside.remember(KEPT_PLACE, keptOf(params).toString());
const keptOf = (params: URLSearchParams): URLSearchParams =>
  new URLSearchParams([...params].filter(([key, value]) => KEPT_FILTERS.includes(key) && value !== ''));

export const GROUPING_WORDS: Record<gear.Grouping, string> = { place: 'place', kind: 'kind', tag: 'tag', verdict: 'last verdict' };
const NONE_WORDS: Record<gear.Grouping, string> = {
  place: 'In no place we know',
  kind: '',
  tag: 'Without a tag',
  verdict: 'Not looked at',
};

/** What a group is called. */
export function groupTitle(by: gear.Grouping, { key, name }: ShelfGroup): string {
  if (key === null) return NONE_WORDS[by];
  if (by === 'kind') return capital(care.kindFacts(key as care.ItemKind).plural);
  return by === 'verdict' ? VERDICT_WORDS[key as care.Verdict] : (name ?? key);
}

/** The filters that leave a group of what these leave. */
export function filtersOf(by: gear.Grouping, key: string | null, filters: ShelfFilters): ShelfFilters {
  const own: Record<gear.Grouping, () => ShelfFilters> = {
    place: () => ({ place: key ?? NO_PLACE }),
    kind: () => ({ kind: key as care.ItemKind }),
    tag: () => (key === null ? { untagged: true } : { tag: key }),
    verdict: () => ({ needs: key === null ? 'never-looked' : (key as care.Verdict) }),
  };
  return { ...filters, ...own[by]() };
}
