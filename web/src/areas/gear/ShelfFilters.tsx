import { useEffect, useState, type ReactNode } from 'react';
import { Button } from '../../ui/parts';
import { SearchField } from '../../ui/SearchField';
import { useVocabulary, type ShelfFilters } from './queries';
import { DUE_FILTERS_WORDS, KIND_OPTIONS, NEED_WORDS, OUT_WORDS, SORT_WORDS } from './shelfWords';

export const FILTER_KEYS = ['search', 'tag', 'kind', 'needs', 'due', 'out', 'status', 'archived', 'sort'] as const;
export const filtersFrom = (params: URLSearchParams): ShelfFilters =>
  Object.fromEntries(FILTER_KEYS.flatMap((key) => (params.get(key) ? [[key, params.get(key)]] : [])));

export type SetFilter = (key: (typeof FILTER_KEYS)[number], value: string) => void;

const SELECTS = [
  { key: 'kind', label: 'Kind', all: 'All kinds', options: KIND_OPTIONS },
  { key: 'needs', label: 'Last verdict', all: 'Any verdict', options: NEED_WORDS },
  { key: 'due', label: 'Due', all: 'Any due day', options: DUE_FILTERS_WORDS },
  { key: 'out', label: 'Outings', all: 'Out or not', options: OUT_WORDS },
  { key: 'status', label: 'Status', all: 'Any status', options: { 'in-use': 'In use', quarantined: 'Quarantine' } },
  { key: 'archived', label: 'Archive', all: 'On the shelf', options: { true: 'Archived' } },
  { key: 'sort', label: 'Sort', all: 'Sort: name', options: SORT_WORDS },
] as const;

/** The tags there are; one that is asked for and gone is still named. */
function tagSelect(tags: readonly { tag: string; things: number }[], asked: string | undefined) {
  const all = asked && !tags.some(({ tag }) => tag === asked) ? [...tags, { tag: asked, things: 0 }] : tags;
  const options: Record<string, string> = Object.fromEntries(all.map(({ tag, things }) => [tag, `${tag} (${things})`]));
  return { key: 'tag', label: 'Tag', all: 'Any tag', options } as const;
}

/** Typing in the search waits for a pause before it asks. */
const SEARCH_PAUSE_MS = 200;

/** What the shelf is searched, filtered and sorted by. */
export function Filters({ filters, set, children }: { filters: ShelfFilters; set: SetFilter; children: ReactNode }) {
  const asked = filters.search ?? '';
  const [typed, setTyped] = useState({ over: asked, text: asked });
  // Whatever else changes the search since is newer than what was typed before it.
  const search = typed.over === asked ? typed.text : asked;
  const [open, setOpen] = useState(false);
  const tags = useVocabulary().data?.tags ?? [];
  const selects = [...(tags.length > 0 || filters.tag ? [tagSelect(tags, filters.tag)] : []), ...SELECTS];
  const chosen = selects.filter(({ key }) => filters[key] !== undefined).length;
  useEffect(() => {
    if (search === asked) return;
    const timer = setTimeout(() => set('search', search), SEARCH_PAUSE_MS);
    return () => clearTimeout(timer);
  }, [search, asked, set]);
  return (
    <div className="mb-4 grid grid-cols-2 gap-2 md:flex md:flex-wrap">
      <SearchField
        className="col-span-2 md:w-72"
        label="Search the shelf"
        placeholder="Name, number, tag, place…"
        value={search}
        onChange={(text) => setTyped({ over: asked, text })}
      />
      {/* On a phone the choices wait behind one button, so that the shelf itself is seen. */}
      <Button className="col-span-2 md:hidden" aria-expanded={open} onClick={() => setOpen(!open)}>
        Filter and sort{chosen > 0 && ` (${chosen})`}
      </Button>
      <div className={open ? 'contents' : 'hidden md:contents'}>
        {selects.map(({ key, label, all, options }) => (
          <select
            key={key}
            aria-label={label}
            className="input md:w-auto md:max-w-44"
            value={String(filters[key] ?? '')}
            onChange={(e) => set(key, e.target.value)}
          >
            <option value="">{all}</option>
            {Object.entries(options).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        ))}
      </div>
      {children}
    </div>
  );
}
