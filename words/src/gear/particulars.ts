import { gear } from '@bright-keeper/core';
import { longDate } from '../day.js';
import { withUnit } from '../text.js';

export const GROUP_WORDS: Record<gear.ParticularGroup, string> = {
  identity: 'Maker, serial number, tags',
  fit: 'What it fits',
  measures: 'Measures',
  purchase: 'Bought, insured, warranty',
};

const PART_WORDS: Record<gear.AccessoryPart, string> = {
  'front-cap': 'front cap',
  'rear-cap': 'rear cap',
  'body-cap': 'body cap',
  hood: 'hood',
  case: 'case',
  cell: 'cell',
  card: 'card',
  strap: 'strap',
};
const CONDITION_WORDS: Record<gear.Condition, string> = {
  new: 'new',
  'as-new': 'as new',
  used: 'used',
  worn: 'worn',
  'for-parts': 'for parts',
};

/** The words for the choices of a particular. */
export const CHOICE_WORDS: Readonly<Record<string, string>> = { ...CONDITION_WORDS, ...PART_WORDS };

/** What is typed of it, with the unit it is typed in. */
export const particularLabel = (id: gear.ParticularId, currency: string): string => {
  const facts = gear.particularFacts(id);
  return facts.input === 'number' ? withUnit(facts.name, facts.unit === 'money' ? currency : facts.unit) : facts.name;
};

/** A particular as one reads it: a number with its unit, a day as days are written. */
export function particularWords(id: gear.ParticularId, value: gear.Particulars[gear.ParticularId], currency: string): string {
  const facts = gear.particularFacts(id);
  if (Array.isArray(value)) return value.join(', ');
  if (facts.input === 'day') return longDate(String(value));
  if (facts.input === 'choice') return CHOICE_WORDS[String(value)] ?? String(value);
  if (facts.input !== 'number') return String(value);
  if (facts.unit === 'money') return `${Number(value).toLocaleString('en', { maximumFractionDigits: 2 })} ${currency}`.trim();
  return facts.unit === 'f/' ? `f/${value}` : `${value} ${facts.unit}`.trim();
}
