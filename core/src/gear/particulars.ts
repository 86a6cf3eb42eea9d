import type { ItemKind } from '../care/kinds/index.js';

/** In which state a thing came: what a keeper says of it, not what a look finds. */
export const CONDITIONS = ['new', 'as-new', 'used', 'worn', 'for-parts'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** What an accessory is, where it matters to what it is looked for: a cap or hood that is spare, what travels with what. */
export const ACCESSORY_PARTS = ['front-cap', 'rear-cap', 'body-cap', 'hood', 'case', 'cell', 'card', 'strap'] as const;
export type AccessoryPart = (typeof ACCESSORY_PARTS)[number];

/** Under which heading it is asked for. */
export const PARTICULAR_GROUPS = ['identity', 'fit', 'measures', 'purchase'] as const;
export type ParticularGroup = (typeof PARTICULAR_GROUPS)[number];

type Told = {
  name: string;
  group: ParticularGroup;
  /** What it is good for, where that is not plain. */
  hint?: string;
  /** Which kinds have it; every one where none is named. */
  of: readonly ItemKind[] | 'every-kind';
  /** It belongs to one thing only: another of its kind has one of its own. */
  isOfOneThing?: boolean;
};
/** @param longest in characters */
type Text = Told & { input: 'text'; longest: number };
type Choice<C extends string> = Told & { input: 'choice'; choices: readonly C[] };
/** @param whole only whole numbers */
type Numeric = Told & { input: 'number'; min: number; max: number; unit: string; whole?: boolean };
type OfDay = Told & { input: 'day' };
type Words = Told & { input: 'words'; longest: number; most: number };

/** How a particular is asked for and checked, and which kinds have it. */
export type ParticularFacts = Text | Choice<string> | Numeric | OfDay | Words;

const GOES_ON_A_MOUNT = ['lens', 'teleconverter', 'eyepiece', 'accessory'] as const;
const HAS_A_MOUNT = ['mirrorless-body', 'slr-body', 'film-camera', 'teleconverter', 'refractor', 'reflector', 'accessory'] as const;
const HAS_A_FRONT_THREAD = ['lens', 'filter', 'compact', 'film-camera', 'port', 'refractor', 'accessory'] as const;
const LONGEST_LINE = 80;

/**
 * What an inventory holds of a thing besides what changes its care (those are its traits): each is one record, in the order
 * they are asked. None is ever needed. `checkParticular` says what a record still lacks.
 */
export const PARTICULARS = {
  maker: { name: 'Maker', group: 'identity', input: 'text', longest: LONGEST_LINE, of: 'every-kind' },
  model: { name: 'Model', group: 'identity', input: 'text', longest: LONGEST_LINE, of: 'every-kind' },
  serial: {
    name: 'Serial number',
    group: 'identity',
    hint: 'It tells two of one kind apart, here and for an insurer.',
    input: 'text',
    longest: LONGEST_LINE,
    of: 'every-kind',
    isOfOneThing: true,
  },
  count: {
    name: 'How many of them',
    group: 'identity',
    hint: 'Several equal ones on one line: six filters, four caps. Sums are for all of them, weight and length for one.',
    input: 'number',
    whole: true,
    min: 1,
    max: 999,
    unit: '',
    of: 'every-kind',
    isOfOneThing: true,
  },
  part: {
    name: 'It is a',
    group: 'fit',
    hint: 'A cap by its thread or mount, so that a spare one is found when one is lost.',
    input: 'choice',
    choices: ACCESSORY_PARTS,
    of: ['accessory'],
  },
  tags: {
    name: 'Tags',
    group: 'identity',
    hint: 'Words of your own, with commas between: kit, studio, her lenses.',
    input: 'words',
    longest: 40,
    most: 20,
    of: 'every-kind',
  },
  mount: {
    name: 'Goes on mount',
    group: 'fit',
    hint: 'In your own words, but always the same: it goes on what takes this mount.',
    input: 'text',
    longest: 40,
    of: GOES_ON_A_MOUNT,
  },
  takesMount: {
    name: 'Takes mount',
    group: 'fit',
    hint: 'The mount of the lenses, eyepieces or cameras it takes.',
    input: 'text',
    longest: 40,
    of: HAS_A_MOUNT,
  },
  threadMm: {
    name: 'Filter thread',
    group: 'fit',
    hint: 'The number behind the ⌀; of a filter or a step ring, the thread it is screwed in with.',
    input: 'number',
    min: 10,
    max: 200,
    unit: 'mm',
    of: HAS_A_FRONT_THREAD,
  },
  takesThreadMm: {
    name: 'Step ring: takes filters of',
    group: 'fit',
    hint: 'Only of a ring between two threads.',
    input: 'number',
    min: 10,
    max: 200,
    unit: 'mm',
    of: ['accessory'],
  },
  longestMm: {
    name: 'Longest focal length (of a zoom)',
    group: 'measures',
    input: 'number',
    min: 2,
    max: 5000,
    unit: 'mm',
    of: ['lens', 'compact'],
  },
  widestFNumber: { name: 'Widest aperture', group: 'measures', input: 'number', min: 0.5, max: 64, unit: 'f/', of: ['lens', 'compact'] },
  massG: {
    name: 'Weight',
    group: 'measures',
    hint: 'What a bag weighs, and how long it takes to warm.',
    input: 'number',
    min: 0.1,
    max: 200_000,
    unit: 'g',
    of: 'every-kind',
  },
  lengthMm: { name: 'Length', group: 'measures', input: 'number', min: 0.5, max: 10_000, unit: 'mm', of: 'every-kind' },
  condition: { name: 'It came', group: 'purchase', input: 'choice', choices: CONDITIONS, of: 'every-kind', isOfOneThing: true },
  boughtFrom: { name: 'Bought from', group: 'purchase', input: 'text', longest: 120, of: 'every-kind', isOfOneThing: true },
  paid: { name: 'Paid', group: 'purchase', input: 'number', min: 0, max: 10_000_000, unit: 'money', of: 'every-kind', isOfOneThing: true },
  insuredFor: {
    name: 'Insured for',
    group: 'purchase',
    hint: 'What it was insured for before stays in its log.',
    input: 'number',
    min: 0,
    max: 10_000_000,
    unit: 'money',
    of: 'every-kind',
    isOfOneThing: true,
  },
  warrantyUntil: { name: 'Warranty until', group: 'purchase', input: 'day', of: 'every-kind', isOfOneThing: true },
} as const satisfies Record<string, ParticularFacts>;

export type ParticularId = keyof typeof PARTICULARS;
export const PARTICULAR_IDS = Object.keys(PARTICULARS) as ParticularId[];

type ValueOf<F> = F extends Choice<infer C> ? C : F extends { input: 'number' } ? number : F extends { input: 'words' } ? string[] : string;
/** What is known of a thing besides its traits: what nobody said is left out. */
export type Particulars = { -readonly [P in ParticularId]?: ValueOf<(typeof PARTICULARS)[P]> };

export const particularFacts = (id: ParticularId): ParticularFacts => PARTICULARS[id];

const has = (id: ParticularId, kind: ItemKind): boolean => {
  const { of } = particularFacts(id);
  return of === 'every-kind' || of.includes(kind);
};
/** The particulars a kind has, in the order they are asked. */
export const particularsOf = (kind: ItemKind): ParticularId[] => PARTICULAR_IDS.filter((id) => has(id, kind));

/** Those of them that another kind has, too: a kind that is corrected loses nothing that is still true. */
export const ofKind = (kind: ItemKind, particulars: Particulars): Particulars =>
  Object.fromEntries(Object.entries(particulars).filter(([id]) => has(id as ParticularId, kind)));

/** What is told of a thing in words: a search for "50" is for a lens, and for nothing that weighs 150 g. */
export const TOLD_IN_WORDS = PARTICULAR_IDS.filter((id) => ['text', 'words'].includes(particularFacts(id).input));
export const wordsTold = (particulars: Particulars): string[] =>
  TOLD_IN_WORDS.flatMap((id) => {
    const told = particulars[id];
    return told === undefined ? [] : [told].flat().map(String);
  });
/** However it is written. */
export const hasTag = ({ tags = [] }: Particulars, tag: string): boolean => tags.some((t) => t.toLowerCase() === tag.toLowerCase());

/** With a tag, or without it, however it is written; the same where it was so already, or where there is no room for one more. */
export function tagged(particulars: Particulars, tag: string, has: boolean): Particulars {
  const { tags = [], ...rest } = particulars;
  const others = tags.filter((t) => t.toLowerCase() !== tag.toLowerCase());
  if (hasTag(particulars, tag) === has) return particulars;
  if (has) return tags.length < PARTICULARS.tags.most ? { ...particulars, tags: [...tags, tag] } : particulars;
  return others.length > 0 ? { ...rest, tags: others } : rest;
}

/** What the next of its kind has as well: all but what belongs to this one alone. */
export const sharedWithTheNext = (particulars: Particulars): Particulars =>
  Object.fromEntries(Object.entries(particulars).filter(([id]) => !particularFacts(id as ParticularId).isOfOneThing));

/** What a particular's record still lacks that types cannot see, in words for whoever adds one. Empty when it is whole. */
export function checkParticular(id: string, facts: ParticularFacts): string[] {
  return [
    ...(facts.name === '' ? ['it wants a name'] : []),
    ...(facts.hint !== undefined && !/[.!?]$/.test(facts.hint) ? ['its hint is no sentence'] : []),
    ...(facts.of !== 'every-kind' && facts.of.length === 0 ? ['it names no kind that has it: nothing ever asks for it'] : []),
    ...(facts.input === 'number' && !(facts.min < facts.max) ? ['min must be below max'] : []),
    ...(facts.input === 'choice' && new Set(facts.choices).size < 2 ? ['a choice wants two choices'] : []),
    ...((facts.input === 'text' || facts.input === 'words') && !(facts.longest > 0) ? ['it wants a greatest length'] : []),
  ].map((fault) => `particular ${id}: ${fault}`);
}

/** Serial numbers are the same however they are set: small letters, blanks and dashes do not count. Empty for none. */
export const sameSerial = (serial: string | undefined): string => (serial ?? '').toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');
