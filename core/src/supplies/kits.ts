import type { Place, PlanRequest } from '../care/index.js';
import { onHandFrom } from './drawer.js';
import { type DrawerThing, sameKit } from './drawerThing.js';

/** Something that lies in a kit, by its name, or at home. */
type Kept = { kit?: string | null };

/** The kits that hold something, by name, each as it was written first. */
export function kitsOf(drawer: readonly Kept[]): string[] {
  const names: string[] = [];
  for (const { kit } of drawer) if (kit && !names.some((name) => sameKit(name, kit))) names.push(kit);
  return names.sort((a, b) => a.localeCompare(b));
}

/**
 * What can be taken where one is. At home everything is, what lies in the drawer first; outdoors what the kit holds that
 * is along, and where none is named what any of them holds. Where no kits are kept, the drawer travels.
 *
 * @param kit the one that is along; one that holds nothing has nothing.
 */
export function withinReach<T extends Kept>(drawer: readonly T[], place: Place, kit: string | null): T[] {
  const isInKit = ({ kit: own }: Kept) => (own ?? null) !== null;
  const inKits = drawer.filter(isInKit);
  if (place !== 'field') return [...drawer.filter((thing) => !isInKit(thing)), ...inKits];
  if (kit !== null) return drawer.filter((thing) => sameKit(thing.kit, kit));
  return inKits.length > 0 ? inKits : [...drawer];
}

/** What a plan may use there. Of a kit all is known, and which it was is told along; nothing is said where no drawer is kept, so that everything is assumed. */
export function onHandAt(
  { supplies, isAll }: { supplies: readonly (DrawerThing & Kept)[]; isAll: boolean },
  place: Place,
  kit: string | null,
): Pick<PlanRequest, 'onHand' | 'moreOnHand' | 'kit'> {
  const isKit = place === 'field' && (kit !== null || kitsOf(supplies).length > 0);
  if (supplies.length === 0 && !isKit) return {};
  return {
    onHand: onHandFrom(withinReach(supplies, place, kit)),
    moreOnHand: !isKit && !isAll,
    ...(place === 'field' && kit !== null ? { kit } : {}),
  };
}
