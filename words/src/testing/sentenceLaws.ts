import { care } from '@bright-keeper/core';

const SURFACES = Object.values(care.SURFACES);
const ofSurfaces = (plural: boolean): string =>
  SURFACES.filter((s) => ('plural' in s && s.plural === true) === plural)
    .map((s) => s.name)
    .sort((a, b) => b.length - a.length)
    .join('|');
const [ONE, MANY] = [ofSurfaces(false), ofSurfaces(true)];

/** Each law of how a sentence stands, and what breaks it. */
const LAWS: [string, RegExp][] = [
  [
    'one surface with a verb of many',
    new RegExp(`(?:^|[.:;] )[Tt]he (?:${ONE}) (?:are|do|have|lie|bear|want|take|come|were|need|stay)\\b`),
  ],
  ['many with a verb of one', new RegExp(`\\b(?:${MANY}) (?:is|does|has|lies|bears|wants|takes|comes|was|needs|stays)\\b`)],
  ['one of a noun of many', /\b1 (?!less|plus|lies|shows|stays|is)[a-z]+s\b/],
  ['a word twice in a row', /\b([a-z]+) \1\b/i],
  ['a before a vowel', /\b[Aa] (?=[aeio])(?!one\b|eu)/],
  ['an before a consonant', /\b[Aa]n (?=[bcdfgjklmnpqrstvwxyz])/],
  ['a stop too many', /[.!?,;:] ?[.,;:!?](?!\.)/],
];

/** What is wrong with how a text stands, and where; null where nothing is. */
export function sentenceFault(text: string): string | null {
  for (const [law, broken] of LAWS) {
    const found = broken.exec(text);
    if (found) return `${law}: …${text.slice(Math.max(0, found.index - 40), found.index + 40)}…`;
  }
  return null;
}

/** The sentences of a text, without what only differs by its stop. */
const sentencesOf = (text: string): string[] => text.split(/(?<=[.!?])\s+(?=[A-Z])/).map((s) => s.trim());

/** A sentence that is said twice in what stands together on one card; null where none is. */
export function saidTwice(texts: readonly string[]): string | null {
  const seen = new Set<string>();
  for (const sentence of texts.flatMap(sentencesOf).filter((s) => s.length > 0)) {
    if (seen.has(sentence)) return sentence;
    seen.add(sentence);
  }
  return null;
}
