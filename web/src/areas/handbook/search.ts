import MiniSearch from 'minisearch';
import type { Chapter, Entry } from './entries';

/** What people say for what the tables call otherwise. */
const SAME: Record<string, string> = {
  thumb: 'fingerprint',
  thumbprint: 'fingerprint',
  finger: 'fingerprint',
  mold: 'mould',
  mildew: 'mould',
  sand: 'grit',
  sandy: 'grit',
  seawater: 'salt',
  sea: 'salt',
  gluey: 'sticky',
  tacky: 'sticky',
  mist: 'fog',
  fogged: 'fog',
  isopropyl: 'isopropanol',
  spirit: 'alcohol',
  rag: 'cloth',
  goggles: 'eye-protection',
};

/** Words that say nothing by themselves. */
const EMPTY = new Set([
  'a',
  'an',
  'and',
  'the',
  'my',
  'i',
  'is',
  'it',
  'of',
  'on',
  'in',
  'to',
  'with',
  'what',
  'if',
  'how',
  'do',
  'can',
  'there',
]);

/** A word as it is looked up: one case, one number, one name for one thing; nothing for what says nothing. */
function term(word: string): string | null {
  const lower = word.toLowerCase();
  if (EMPTY.has(lower)) return null;
  const known = SAME[lower] ?? lower;
  return known.length > 3 && known.endsWith('s') && !known.endsWith('ss') ? known.slice(0, -1) : known;
}

type Indexed = { id: string; title: string; text: string };

const indexOf = (entries: readonly Entry[]): MiniSearch<Indexed> => {
  const index = new MiniSearch<Indexed>({
    fields: ['title', 'text'],
    processTerm: term,
    searchOptions: { boost: { title: 3 }, prefix: (word) => word.length > 3, fuzzy: (word) => (word.length > 5 ? 0.2 : false) },
  });
  index.addAll(entries.map((e) => ({ id: e.id, title: e.title, text: [...e.lines, e.basis].join(' ') })));
  return index;
};

/** An index is made once for the chapters it is asked about. */
const indexes = new WeakMap<readonly Chapter[], MiniSearch<Indexed>>();

/**
 * The chapters with only the entries that hold every word, in one's own words and forgiving a slip; where no entry
 * holds them all, those that hold some. Best first within each chapter.
 */
export function search(chapters: readonly Chapter[], text: string): Chapter[] {
  if (text.trim() === '') return [...chapters];
  const index = indexes.get(chapters) ?? indexOf(chapters.flatMap((c) => c.entries));
  indexes.set(chapters, index);
  const all = index.search(text, { combineWith: 'AND' });
  const found = all.length > 0 ? all : index.search(text, { combineWith: 'OR' });
  const score = new Map(found.map((f) => [f.id as string, f.score]));
  const best = (entries: readonly Entry[]) => entries.filter((e) => score.has(e.id)).sort((a, b) => score.get(b.id)! - score.get(a.id)!);
  return chapters.map((c) => ({ ...c, entries: best(c.entries) })).filter((c) => c.entries.length > 0);
}
