import type { Item, ItemInput } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { grouped } from '../platform/index.js';

type Known = Pick<Item, 'id' | 'name' | 'kind' | 'particulars'>;

const nameKey = ({ name, kind }: Pick<ItemInput, 'name' | 'kind'>): string => `${kind}/${name.trim().toLowerCase()}`;
const serialOf = ({ particulars }: Pick<ItemInput, 'particulars'>): string => gear.sameSerial(particulars?.serial);
const serialKey = (thing: Pick<ItemInput, 'kind' | 'particulars'>): string => `${thing.kind}/${serialOf(thing)}`;

/**
 * What a row of a list that comes again is of: the thing of its kind with its serial number; else one of its name and kind,
 * but none with another serial, since that is another thing. Each thing is taken once: one row more of several alike is new.
 */
export function takingFrom<Thing extends Known>(shelf: readonly Thing[]): (row: ItemInput) => Thing | null {
  const bySerial = grouped(
    shelf.filter((thing) => serialOf(thing) !== ''),
    serialKey,
  );
  const byName = grouped(shelf, nameKey);
  const taken = new Set<string>();
  return (row) => {
    const own = serialOf(row);
    const free = (things: readonly Thing[] = []) => things.filter((thing) => !taken.has(thing.id));
    const named = free(byName.get(nameKey(row)));
    // Of several of its name first one of which no number is known: the others are left for rows that name theirs.
    const unnumbered = named.find((thing) => serialOf(thing) === '');
    const found = own === '' ? (unnumbered ?? named[0]) : (free(bySerial.get(serialKey(row)))[0] ?? unnumbered);
    if (!found) return null;
    taken.add(found.id);
    return found;
  };
}
