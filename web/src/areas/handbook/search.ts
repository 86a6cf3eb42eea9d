import MiniSearch from 'minisearch';
import type { Chapter, Entry } from './entries';

/** Words that say nothing by themselves. */
const EMPTY = new Set(
  'a an and the my i me is it its of on in to with what if how do does did can could should would there this that be am are was were have has had got get gets from for at by or not no you your one some any about when which who why will just only very now here out off up into after before over all may need want use using'.split(
    ' ',
  ),
);

/** Endings that change nothing of what is meant: “scratches”, “fogged”, “cleaning”. */
const ENDINGS: readonly [RegExp, string][] = [
  [/ies$/, 'y'],
  [/(ss|sh|ch|x)es$/, '$1'],
  [/([^s])s$/, '$1'],
  [/(.{3,})ing$/, '$1'],
  [/(.{3,})ed$/, '$1'],
  [/(.{3,}[^aeiou])y$/, '$1'],
  [/(.)\1$/, '$1'],
  [/(.{3,})e$/, '$1'],
];

/** A word as it is looked up: one case, one ending; nothing for what says nothing. */
export function term(word: string): string | null {
  const lower = word.toLowerCase().replace(/[’']/g, '');
  if (EMPTY.has(lower) || lower.length < 2) return null;
  // British and American are one.
  const spelt = lower
    .replace(/^mold/, 'mould')
    .replace('colour', 'color')
    .replace(/isation$/, 'ization');
  return ENDINGS.reduce((stem, [ending, kept]) => (stem.length > 3 ? stem.replace(ending, kept) : stem), spelt);
}

const termsOf = (text: string): string[] => [...new Set(text.split(/[^\p{L}\p{N}’'-]+|-/u).flatMap((w) => term(w) ?? []))];

type Indexed = { id: string; title: string; words: string; text: string };
type Index = { mini: MiniSearch<Indexed>; order: Map<string, number>; rarity: (term: string) => number };

function indexOf(chapters: readonly Chapter[]): Index {
  const entries = chapters.flatMap((c) => c.entries);
  const mini = new MiniSearch<Indexed>({
    fields: ['title', 'words', 'text'],
    tokenize: (text) => text.split(/[^\p{L}\p{N}’'-]+|-/u),
    processTerm: term,
    searchOptions: {
      boost: { title: 4, words: 4 },
      prefix: (word) => word.length > 4,
      fuzzy: (word) => (word.length > 5 ? 0.2 : false),
      weights: { prefix: 0.4, fuzzy: 0.3 },
    },
  });
  const indexed = entries.map((e) => ({ id: e.id, title: e.title, words: (e.words ?? []).join(' '), text: e.lines.join(' ') }));
  mini.addAll(indexed);
  const holders = new Map<string, number>();
  for (const { title, words, text } of indexed)
    for (const t of termsOf(`${title} ${words} ${text}`)) holders.set(t, (holders.get(t) ?? 0) + 1);
  // A word that every second entry holds tells little of what is asked; one that no entry holds may be the whole of it.
  const rarity = (t: string) => Math.log(1 + entries.length / (1 + (holders.get(t) ?? 0)));
  return { mini, rarity, order: new Map(entries.map((e, i) => [e.id, i])) };
}

/** An index is made once for the chapters it is asked about. */
const indexes = new WeakMap<readonly Chapter[], Index>();

/** How sure one is told to be: an answer holds most of what was asked. */
const ANSWERS_FROM = 0.42;
const MOST_HITS = 60;
/** The gentle bias of what is asked most: what to do before how it is called. */
const WEIGHT: Record<string, number> = {
  situations: 1,
  practices: 1.15,
  happenings: 1.1,
  doors: 0.95,
  soils: 1.05,
  tools: 0.9,
  hazards: 0.9,
  rules: 0.95,
  methods: 0.95,
  schools: 0.95,
  rhythms: 0.85,
};

export type Hit = { entry: Entry; chapter: Chapter; /** How much of the question it answers, 0 to 1. */ coverage: number };
/** The answers, the best first; `fits` is false where none answers enough of the question. */
export type Found = { hits: Hit[]; fits: boolean };

/**
 * What answers a question in one's own words, over all chapters together: ranked by how much of the question an entry
 * answers, rare words counting for more, then by where it holds them. A slip or another ending is forgiven.
 */
export function ask(chapters: readonly Chapter[], text: string): Found {
  const asked = termsOf(text);
  if (asked.length === 0) return { hits: [], fits: false };
  const index = indexes.get(chapters) ?? indexOf(chapters);
  indexes.set(chapters, index);
  const whole = asked.reduce((sum, t) => sum + index.rarity(t), 0);
  const of = new Map(chapters.flatMap((chapter) => chapter.entries.map((entry) => [entry.id, { entry, chapter }] as const)));
  const found = index.mini.search(text, { combineWith: 'OR' });
  const best = Math.max(...found.map((f) => f.score), 1);
  const ranked = found
    .map((f) => {
      const { entry, chapter } = of.get(f.id as string)!;
      const coverage = [...new Set(f.queryTerms)].reduce((sum, t) => sum + index.rarity(t), 0) / whole;
      // An entry that is about just what was asked comes before one that speaks of it among other things.
      const title = termsOf(entry.title);
      const aboutIt = title.filter((t) => asked.includes(t)).length / Math.max(1, title.length);
      const rank = (coverage ** 1.5 + 0.5 * (f.score / best) + 0.4 * aboutIt) * (WEIGHT[chapter.id] ?? 0.85);
      return { entry, chapter, coverage, rank };
    })
    .sort((a, b) => b.rank - a.rank || index.order.get(a.entry.id)! - index.order.get(b.entry.id)!)
    .slice(0, MOST_HITS);
  return { hits: ranked.map(({ rank: _, ...hit }) => hit), fits: ranked.some((r) => r.coverage >= ANSWERS_FROM) };
}
