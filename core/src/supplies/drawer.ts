import { MATERIALS, TOOLS, type Material, type Tool, type ToolRole } from '../care/knowledge/materials.js';
import type { CleaningPlan, OnHand } from '../care/types.js';

/** One thing in the drawer. Tools are washed; materials are used up, counted in their unit. */
export type DrawerThing = {
  thing: Tool | Material;
  role: ToolRole;
  state: 'clean' | 'dirty';
  usesSinceWash: number;
  /** How many units are left; null for tools. */
  stock: number | null;
  /** What a pack cost and how many units it held; null when not known. */
  packPrice: number | null;
  packSize: number | null;
  /** How wide a sensor swab is; null for everything else and where it is not known. */
  widthMm?: number | null;
};

export const isTool = (thing: Tool | Material): thing is Tool => thing in TOOLS;
export const soldFor = (thing: Tool | Material): ToolRole => (isTool(thing) ? TOOLS[thing].role : MATERIALS[thing].role);

/** What is washed, and after how many uses it no longer counts as clean (common practice: 10 uses or a month). */
const WASHABLE: readonly Tool[] = ['glass-cloth', 'body-cloth', 'chamois'];
export const USES_BEFORE_WASH = 10;
export const isWashable = (thing: Tool | Material): boolean => isTool(thing) && WASHABLE.includes(thing);

/** Fit to be used now: clean, and not used too often since its last wash. */
export const isFit = ({ thing, state, usesSinceWash }: Pick<DrawerThing, 'thing' | 'state' | 'usesSinceWash'>): boolean =>
  state === 'clean' && !(isWashable(thing) && usesSinceWash >= USES_BEFORE_WASH);

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
      ...unitPriceOf(d),
      ...(d.widthMm ? { widthMm: d.widthMm } : {}),
    }));

/** A glass tool may go over to the shell; nothing ever goes the other way (rule `tool-roles`). */
export const mayDemote = ({ thing, role }: Pick<DrawerThing, 'thing' | 'role'>): boolean => isTool(thing) && role === 'glass';

/** After a wash a tool is clean and back at what it was sold for: a demoted glass cloth may return, a body cloth stays one. */
export const washed = <T extends DrawerThing>(d: T): T => ({ ...d, state: 'clean', usesSinceWash: 0, role: soldFor(d.thing) });

export type Consumption = { materials: Partial<Record<Material, number>>; tools: Partial<Record<Tool, number>> };

/** What the steps that were done used up and how often each tool was taken in hand; a step tried twice counts twice. */
export function consumptionOf(plan: CleaningPlan, done: readonly string[]): Consumption {
  const consumption: Consumption = { materials: {}, tools: {} };
  for (const id of done) {
    const step = plan.steps.find((s) => s.id === id);
    if (!step) continue;
    if (step.tool) consumption.tools[step.tool] = (consumption.tools[step.tool] ?? 0) + 1;
    for (const { material, amount } of step.uses)
      consumption.materials[material] = (consumption.materials[material] ?? 0) + amount.quantity;
  }
  return consumption;
}

export type Draw<T> = { thing: T; stock: number };
export type Shortage = { material: Material; used: number; held: number };

/**
 * Takes what was used from the packs of the drawer, the first pack first. Never below nothing: what is lacking is
 * told instead. Materials the drawer does not list are not counted.
 */
export function takeFrom<T extends DrawerThing>(drawer: readonly T[], { materials }: Consumption): { draws: Draw<T>[]; short: Shortage[] } {
  const draws: Draw<T>[] = [];
  const short: Shortage[] = [];
  for (const [material, used] of Object.entries(materials) as [Material, number][]) {
    const packs = drawer.filter((d) => d.thing === material && d.stock !== null);
    const held = packs.reduce((sum, d) => sum + d.stock!, 0);
    if (packs.length > 0 && held < used) short.push({ material, used, held });
    let left = used;
    for (const pack of packs) {
      const taken = Math.min(left, pack.stock!);
      left -= taken;
      if (taken > 0) draws.push({ thing: pack, stock: pack.stock! - taken });
    }
  }
  return { draws, short };
}
