import type { Traits } from '../care/knowledge/index.js';
import type { Particulars } from './particulars.js';

type Valued = { particulars: Pick<Particulars, 'insuredFor' | 'paid'>; traits: Pick<Traits, 'value'> };

/** What a line of the inventory is worth, as far as anybody said: what it is insured for, else what it is worth, else what was paid. */
export const worthOf = ({ particulars: { insuredFor, paid }, traits: { value } }: Valued): number | null =>
  insuredFor ?? value ?? paid ?? null;

/** What several lines are worth together, and of how many of them that is known. */
export type Worth = { sum: number; known: number };
export function worthOfAll(lines: readonly Valued[]): Worth {
  const known = lines.flatMap((line) => worthOf(line) ?? []);
  return { sum: known.reduce((sum, worth) => sum + worth, 0), known: known.length };
}
