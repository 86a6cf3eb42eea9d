import { supplies, type care } from '@bright-keeper/core';

const plural = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** "2 sheets", "5 mL": so much of it, whatever it does for. */
function amountWords(thing: care.Tool | care.Material, stock: number): string {
  const amount = supplies.stockAmount(thing, stock);
  if (amount.nature === 'consumable') return plural(Math.ceil(amount.pieces), amount.unit);
  return `${Math.max(0.1, Math.round(amount.mL * 10) / 10)} mL`;
}

/** "What waits to be cleaned takes 2 to 4 sheets." Empty where it takes none. */
export function waitsWords(thing: care.Tool | care.Material, waits: { least: number; most: number } | null): string {
  if (!waits) return '';
  const most = amountWords(thing, waits.most);
  if (waits.least === 0) return `What waits to be cleaned takes up to ${most}.`;
  const least = amountWords(thing, waits.least);
  return `What waits to be cleaned takes ${least === most ? most : `${least.split(' ')[0]} to ${most}`}.`;
}

/** "60 mL, 600 cleans" of a fluid, "34 sheets" of the rest. */
export function stockWords(thing: care.Tool | care.Material, stock: number): string {
  const amount = supplies.stockAmount(thing, stock);
  if (amount.nature === 'consumable') return plural(amount.pieces, amount.unit);
  const mL = amount.mL < 10 ? Math.round(amount.mL * 10) / 10 : Math.round(amount.mL);
  return `${mL} mL, ${plural(amount.cleans, 'clean')}`;
}
