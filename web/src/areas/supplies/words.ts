import { supplies, type care } from '@bright-keeper/core';

const plural = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** "60 mL, 600 cleans" of a fluid, "34 sheets" of the rest. */
export function stockWords(thing: care.Tool | care.Material, stock: number): string {
  const amount = supplies.stockAmount(thing, stock);
  if (amount.nature === 'consumable') return plural(amount.pieces, amount.unit);
  const mL = amount.mL < 10 ? Math.round(amount.mL * 10) / 10 : Math.round(amount.mL);
  return `${mL} mL, ${plural(amount.cleans, 'clean')}`;
}
