import { type BenchEvent, benchState, type CleaningPlan, type OnHand, type Step } from '../care/index.js';
import { inStockUnits, type Material, type Tool } from '../care/knowledge/index.js';
import { isFit, isTool, labelOf, sameKit, sameSort, soldFor, type DrawerThing } from './drawerThing.js';
import { mayTouch } from '../care/index.js';

const unitPriceOf = ({ packPrice, packSize }: DrawerThing): { unitPrice?: number } =>
  packPrice !== null && packSize ? { unitPrice: packPrice / packSize } : {};

/** The drawer as the planner asks for it: what is used up is not there; several of a kind are tried in turn. */
export const onHandFrom = (drawer: readonly DrawerThing[]): OnHand[] =>
  drawer
    .filter((d) => d.stock === null || d.stock > 0)
    .map((d) => ({
      id: d.thing,
      role: d.role,
      state: isFit(d) ? 'clean' : 'dirty',
      label: labelOf(d),
      ...(d.id ? { thingId: d.id } : {}),
      ...unitPriceOf(d),
      ...(d.widthMm ? { widthMm: d.widthMm } : {}),
    }));

/** A glass tool may go over to the shell; nothing ever goes the other way (rule `tool-roles`). */
export const mayDemote = ({ thing, role }: Pick<DrawerThing, 'thing' | 'role'>): boolean => isTool(thing) && role === 'glass';

/** After a wash a tool is clean and back at what it was sold for: a demoted glass cloth may return, a body cloth stays one. */
export const washed = <T extends DrawerThing>(d: T): T => ({ ...d, state: 'clean', usesSinceWash: 0, role: soldFor(d.thing) });

/**
 * After a wash that is told for an earlier time: used as often as it was since then. What has touched a shell may have
 * done so after that wash, so it stays with shells.
 */
export const washedBefore = <T extends DrawerThing>(d: T, usesSinceWash: number): T => ({ ...d, state: 'clean', usesSinceWash });

/** How often a thing was in hand at benches. */
export const usesOf = (thingId: string, takings: readonly Taking[]): number =>
  takings.filter((t) => t.thingId === thingId && isTool(t.id)).reduce((sum, t) => sum + t.quantity, 0);

/** What else in the drawer would do as well for a step: of the same kind and width, fit, and kept for that surface. */
export function alternativesFor<T extends DrawerThing & { id: string }>(
  step: Pick<Step, 'surface' | 'takes'>,
  id: Tool | Material,
  drawer: readonly T[],
): T[] {
  const planned = step.takes.find((t) => t.id === id)?.thingId;
  const kit = drawer.find((d) => d.id === planned)?.kit ?? null;
  const widths = new Set(drawer.filter((d) => d.thing === id).map((d) => d.widthMm ?? null));
  // Another width would be drawn in other lanes: that is another plan, not another pack.
  if (widths.size > 1) return [];
  return drawer.filter(
    (d) =>
      d.thing === id &&
      d.stock !== 0 &&
      // What is out in a kit is out there alone.
      (kit === null || sameKit(d.kit, kit)) &&
      mayTouch({ id, role: d.role, state: isFit(d) ? 'clean' : 'dirty' }, step.surface).ok,
  );
}

/** What was taken of one thing: stock units of a material, or how often a tool was in hand. */
export type Taking = { id: Tool | Material; thingId: string | null; quantity: number };

const takingsOf = (step: Step, chosen: Partial<Record<Tool | Material, string>>): Taking[] => {
  const thingIdOf = (id: Tool | Material) => chosen[id] ?? step.takes.find((t) => t.id === id)?.thingId ?? null;
  return [
    ...(step.tool ? [{ id: step.tool, thingId: thingIdOf(step.tool), quantity: 1 }] : []),
    ...step.uses.map(({ material, amount }) => ({ id: material, thingId: thingIdOf(material), quantity: inStockUnits(amount) })),
  ];
};

/** What the steps that were done took, thing by thing; a step tried twice counts twice, and what was changed at the bench counts as changed. */
export function consumptionOf(plan: CleaningPlan, events: readonly BenchEvent[]): Taking[] {
  const { done, taken } = benchState(plan, events);
  const all = new Map<string, Taking>();
  for (const stepId of done) {
    const step = plan.steps.find((s) => s.id === stepId);
    if (!step) continue;
    for (const taking of takingsOf(step, taken[stepId] ?? {})) {
      const key = `${taking.id}/${taking.thingId ?? ''}`;
      all.set(key, { ...taking, quantity: (all.get(key)?.quantity ?? 0) + taking.quantity });
    }
  }
  return [...all.values()];
}

export type Draw<T> = { thing: T; quantity: number };
export type Shortage = { thing: Tool | Material; label: string; used: number; held: number };

/** The named pack first, then others of the same kind and width in the same kit or drawer; what the plan did not name is not counted. */
function packsFor<T extends DrawerThing>({ id, thingId }: Taking, drawer: readonly T[]): T[] {
  const named = drawer.find((d) => d.id === thingId && d.thing === id);
  if (!named) return [];
  const alike = drawer.filter((d) => d !== named && sameSort(d, named) && sameKit(d.kit, named.kit) && d.stock !== null);
  return [named, ...alike];
}

/**
 * Takes what was used from the things that were used. Never below nothing: what is lacking is told instead. A pack
 * nobody counted is drawn from without a number, and so never runs short.
 */
export function takeFrom<T extends DrawerThing>(
  drawer: readonly T[],
  takings: readonly Taking[],
): { draws: Draw<T>[]; worn: Draw<T>[]; short: Shortage[] } {
  const draws: Draw<T>[] = [];
  const worn: Draw<T>[] = [];
  const short: Shortage[] = [];
  for (const taking of takings) {
    const packs = packsFor(taking, drawer);
    const first = packs[0];
    if (!first) continue;
    if (isTool(taking.id)) {
      worn.push({ thing: first, quantity: taking.quantity });
      continue;
    }
    if (first.stock === null) continue;
    const held = packs.reduce((sum, d) => sum + d.stock!, 0);
    if (held < taking.quantity) short.push({ thing: taking.id, label: labelOf(first), used: taking.quantity, held });
    let left = taking.quantity;
    for (const pack of packs) {
      const quantity = Math.min(left, pack.stock!);
      left -= quantity;
      if (quantity > 0) draws.push({ thing: pack, quantity });
    }
  }
  return { draws, worn, short };
}
