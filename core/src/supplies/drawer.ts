import { type BenchEvent, benchState, type CleaningPlan, type OnHand, type Step } from '../care/index.js';
import { inStockUnits, type Material, thingFacts, type Tool, type ToolRole } from '../care/knowledge/index.js';
import { mayTouch } from './mayTouch.js';

/** One thing in the drawer. Tools are washed; materials are used up, counted in their unit. */
export type DrawerThing = {
  id?: string;
  thing: Tool | Material;
  role: ToolRole;
  state: 'clean' | 'dirty';
  usesSinceWash: number;
  /** How many units are left: drops of a fluid, pieces of the rest. Null for tools, and where nobody counted. */
  stock: number | null;
  /** What a pack cost and how many units it held; null when not known. */
  packPrice: number | null;
  packSize: number | null;
  /** How wide a sensor swab is; null for everything else and where it is not known. */
  widthMm?: number | null;
  note?: string;
};

export const isTool = (thing: Tool | Material): thing is Tool => thingFacts(thing).nature === 'tool';
export const soldFor = (thing: Tool | Material): ToolRole => thingFacts(thing).role;

/** After how many uses what is washed no longer counts as clean (common practice: 10 uses or a month). */
export const USES_BEFORE_WASH = 10;
export const isWashable = (thing: Tool | Material): boolean => {
  const facts = thingFacts(thing);
  return facts.nature === 'tool' && facts.washable;
};

/** Fit to be used now: clean, and not used too often since its last wash. */
export const isFit = ({ thing, state, usesSinceWash }: Pick<DrawerThing, 'thing' | 'state' | 'usesSinceWash'>): boolean =>
  state === 'clean' && !(isWashable(thing) && usesSinceWash >= USES_BEFORE_WASH);

const unitPriceOf = ({ packPrice, packSize }: DrawerThing): { unitPrice?: number } =>
  packPrice !== null && packSize ? { unitPrice: packPrice / packSize } : {};

const LONGEST_LABEL = 40;
/** What a person calls it: its kind, how wide it is, and the first words of its note. */
export function labelOf({ thing, widthMm, note = '' }: Pick<DrawerThing, 'thing' | 'widthMm' | 'note'>): string {
  const width = widthMm ? `, ${widthMm} mm` : '';
  const first = note.split(/[.;]/)[0]!.trim();
  const called = first.length > 0 && first.length <= LONGEST_LABEL ? ` (${first})` : '';
  return `${thingFacts(thing).name}${width}${called}`;
}

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

/** What else in the drawer would do as well for a step: of the same kind and width, fit, and kept for that surface. */
export function alternativesFor<T extends DrawerThing & { id: string }>(
  step: Pick<Step, 'surface'>,
  id: Tool | Material,
  drawer: readonly T[],
): T[] {
  const widths = new Set(drawer.filter((d) => d.thing === id).map((d) => d.widthMm ?? null));
  // Another width would be drawn in other lanes: that is another plan, not another pack.
  if (widths.size > 1) return [];
  return drawer.filter(
    (d) => d.thing === id && d.stock !== 0 && mayTouch({ id, role: d.role, state: isFit(d) ? 'clean' : 'dirty' }, step.surface).ok,
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

/** The named pack first, then others of the same kind and width; what the plan did not name is not counted. */
function packsFor<T extends DrawerThing>({ id, thingId }: Taking, drawer: readonly T[]): T[] {
  const named = drawer.find((d) => d.id === thingId && d.thing === id);
  if (!named) return [];
  const alike = drawer.filter((d) => d !== named && d.thing === id && (d.widthMm ?? null) === (named.widthMm ?? null) && d.stock !== null);
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
