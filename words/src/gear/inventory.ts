import { care, gear } from '@bright-keeper/core';
import { longDate } from '../day.js';
import { capital } from '../text.js';
import { FILE_ROLE_WORDS, GONE_SUM_WORDS, GONE_WORDS } from './files.js';
import { particularWords } from './particulars.js';

/** A thing as far as an inventory tells of it. */
export type Told = gear.Listed & {
  kind: care.ItemKind;
  traits: care.Traits;
  acquiredOn: string | null;
  gone: gear.Gone | null;
  notes: string;
};
export type ToldPaper = { role: gear.FileRole; name: string; type: string };

/** A name, and what is told of it. */
type Fact = [name: string, words: string];

/** All that is written down of a thing, name by name. */
export function inventoryFacts({ particulars, traits, kind, acquiredOn, place, gone, notes }: Told, currency: string): Fact[] {
  const facts: Fact[] = [['Kind', capital(care.kindFacts(kind).name)]];
  for (const id of gear.particularsOf(kind))
    if (particulars[id] !== undefined) facts.push([gear.particularFacts(id).name, particularWords(id, particulars[id], currency)]);
  if (traits.yearMade != null) facts.push(['Made', String(traits.yearMade)]);
  if (acquiredOn !== null) facts.push(['Came', longDate(acquiredOn)]);
  if (place) facts.push(['Lies in', place.name]);
  if (gone) facts.push([capital(GONE_WORDS[gone.why]), longDate(gone.on)]);
  if (gone?.for != null) facts.push([GONE_SUM_WORDS[gone.why], particularWords('paid', gone.for, currency)]);
  if (notes !== '') facts.push(['Notes', notes]);
  return facts;
}

export const isPicture = ({ type }: Pick<ToldPaper, 'type'>): boolean => type.startsWith('image/');
/** What is kept with a thing and is no picture, by name; null where there is none. */
export function papersWords(files: readonly ToldPaper[]): string | null {
  const papers = files.filter((file) => !isPicture(file));
  if (papers.length === 0) return null;
  return `Papers kept with it: ${papers.map(({ role, name }) => `${FILE_ROLE_WORDS[role].toLowerCase()} “${name}”`).join(', ')}.`;
}

/** A thing by its name, and how many of it there are. */
export const titleWords = ({ name, particulars }: Pick<Told, 'name' | 'particulars'>): string => {
  const many = gear.countOf(particulars);
  return many > 1 ? `${name} × ${many}` : name;
};

/** What kind of thing it is, by whom. */
export const kindAndMaker = ({ kind, particulars: { maker, model } }: Pick<Told, 'kind' | 'particulars'>): string =>
  [care.kindFacts(kind).name, [maker, model].filter(Boolean).join(' ')].filter(Boolean).join(' · ');

/** When it came, and in what condition. */
export const cameWords = ({ acquiredOn, particulars: { condition } }: Pick<Told, 'acquiredOn' | 'particulars'>): string =>
  [acquiredOn ?? '', condition === undefined ? '' : particularWords('condition', condition, '')].filter(Boolean).join(' ');

/** A sum of what was told, and of how many lines where not all tell; nothing where none does. */
export const inventorySum = ({ total, of }: gear.Sum, lines: number, currency: string): string =>
  of === 0 ? '' : `${particularWords('paid', total, currency)}${of < lines ? `\u00a0(of\u00a0${of})` : ''}`;

/** What one sum of a line is; nothing where it is not told. */
export const lineSum = (id: 'paid' | 'insuredFor', { particulars }: Pick<Told, 'particulars'>, currency: string): string =>
  particulars[id] === undefined ? '' : particularWords(id, particulars[id], currency);

export const INVENTORY_WORDS = {
  heads: ['Thing', 'Serial number', 'Came', 'Paid', 'Insured for'],
  nowhere: 'In no place we know',
  all: 'All of it',
  sums: 'Sums are of what was told; “of” says of how many lines. Receipts and pictures are kept with each thing.',
  claimed: 'Lost, stolen or broken',
  others: 'Sold or given away',
} as const;

/** How an inventory is laid out. */
export const INVENTORY_WAYS = { table: 'A table', pages: 'A page for each thing', gone: 'What is gone' } as const;
export type InventoryWay = keyof typeof INVENTORY_WAYS;

/** As of when, in what order, and what is not in it. */
export const inventorySub = (way: InventoryWay, today: string): string =>
  way === 'gone'
    ? `As of ${longDate(today)}: sold, given away, lost, stolen or broken, with numbers, sums and papers, for an insurer.`
    : `As of ${longDate(today)}, ${way === 'table' ? 'by place' : 'by name'}. What is archived, sold or lost is not in it.`;

/** What is gone, what an insurer asks about first. */
export function goneGroups<T extends Pick<Told, 'gone'>>(gone: readonly T[]): { title: string; things: T[] }[] {
  const isClaimed = ({ gone: how }: T) => how !== null && gear.isForTheInsurer(how.why);
  return [
    { title: INVENTORY_WORDS.claimed, things: gone.filter(isClaimed) },
    { title: INVENTORY_WORDS.others, things: gone.filter((thing) => !isClaimed(thing)) },
  ].filter(({ things }) => things.length > 0);
}
