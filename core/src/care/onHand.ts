import { bestStrokes, swabFor, type SwabStrokes } from '../sensor/index.js';
import { mayTouch } from './mayTouch.js';
import type { Lack } from './because.js';
import { TOOLS, type Material, type Tool } from './knowledge/materials.js';
import type { Surface } from './knowledge/surfaces.js';
import type { Context, OnHand, Taken } from './types.js';

/** Water runs at home; outdoors a rule asks whether it was brought. Everything else has to be in the drawer. */
const isAlwaysThere = (id: Tool | Material): boolean => id === 'water';

/** What is known of such a thing in the drawer; null when the drawer does not list it and is not all there is. */
const listed = (id: Tool | Material, { onHand, moreOnHand }: Context): OnHand[] | null => {
  if (onHand === null) return null;
  const own = onHand.filter((thing) => thing.id === id);
  return own.length === 0 && moreOnHand ? null : own;
};

const swabFits = (thing: OnHand, context: Context): boolean =>
  thing.widthMm === undefined || bestStrokes(context.traits.sensorFormat ?? 'full-frame', [thing.widthMm]) !== null;

/** The very thing that would be taken: the first one that is fit and may touch the surface; undefined when there is none. */
function pick(id: Tool | Material, surface: Surface, context: Context): OnHand | undefined {
  const own = (listed(id, context) ?? []).filter((thing) => mayTouch(thing, surface).ok);
  if (id !== 'sensor-swab') return own[0];
  const width = swabOnHand(context)?.widthMm;
  return own.find((thing) => thing.widthMm === width) ?? own.find((thing) => thing.widthMm === undefined);
}

/** Is there such a thing, fit for this surface? Without a drawer, and where the list is not all there is, it is assumed. */
export const isOnHand = (id: Tool | Material, surface: Surface, context: Context): boolean =>
  isAlwaysThere(id) || listed(id, context) === null || pick(id, surface, context) !== undefined;

/** Which one of the drawer is taken, with the name it has there. */
export function takenFor(id: Tool | Material, surface: Surface, context: Context): Taken {
  const thing = pick(id, surface, context);
  return { id, ...(thing?.thingId ? { thingId: thing.thingId } : {}), ...(thing?.label ? { label: thing.label } : {}) };
}

/** Why a thing cannot be used here: it is not in the drawer, or lies there in no fit state. */
export function lackOf(id: Tool | Material, surface: Surface, context: Context): Lack {
  const own = listed(id, context) ?? [];
  if (id === 'sensor-swab' && own.length > 0 && !own.some((thing) => swabFits(thing, context)))
    return { thing: id, reason: 'swab-too-wide' };
  const touch = own[0] && mayTouch(own[0], surface);
  if (!touch || touch.ok) return { thing: id, reason: 'not-in-drawer' };
  return touch.reason === 'not-clean' ? { thing: id, reason: 'not-clean' } : { thing: id, reason: 'kept-for', role: touch.role, surface };
}

export const kindOfThing = (id: Tool | Material): { tool: Tool } | { material: Material } =>
  id in TOOLS ? { tool: id as Tool } : { material: id as Material };

/** The price of a unit of what is in the drawer, where it is known. */
export const knownPrice = (material: Material, { onHand }: Context): number | undefined =>
  onHand?.find((t) => t.id === material && t.unitPrice !== undefined)?.unitPrice;

/**
 * How the sensor would be swabbed with what is in the drawer: the width that needs the fewest lanes. A swab whose
 * width nobody wrote down counts as the right one only where no fitting width is known; null when every swab on
 * hand is too wide for this sensor.
 */
export function swabOnHand(context: Pick<Context, 'traits' | 'onHand'>): SwabStrokes | null {
  const format = context.traits.sensorFormat ?? 'full-frame';
  const swabs = (context.onHand ?? []).filter((thing) => thing.id === 'sensor-swab' && mayTouch(thing, 'sensor-cover').ok);
  const widths = swabs.map((s) => s.widthMm).filter((w) => w !== undefined);
  const best = bestStrokes(format, widths);
  return best ?? (widths.length === 0 || widths.length < swabs.length ? swabFor(format) : null);
}
