import { type DrawerThing, isFit, sameKit } from '../supplies/index.js';
import { CARRIED_IDS, type CarriedId, carriedFacts } from './knowledge/carried.js';

/** Where something that may be carried lies already: in a kit, by its name, or (null) in the drawer at home. */
export type HeldAt = { id: CarriedId; kit: string | null };

/**
 * What of all that may be carried is there, fit to be used and not used up; what lies in the kit that goes along before
 * what lies elsewhere.
 *
 * @param kit the one that goes along, by its name; null where none is named.
 */
export const heldOf = (drawer: readonly DrawerThing[], kit: string | null): HeldAt[] =>
  CARRIED_IDS.flatMap((id): HeldAt[] => {
    const { supply } = carriedFacts(id);
    const own = drawer.filter((d) => d.thing === supply && d.stock !== 0 && isFit(d));
    const found = own.find((d) => kit !== null && sameKit(d.kit, kit)) ?? own.find((d) => (d.kit ?? null) === null) ?? own[0];
    return found ? [{ id, kit: found.kit ?? null }] : [];
  });
