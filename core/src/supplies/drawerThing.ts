import { thingFacts, type Material, type Tool, type ToolRole } from '../care/knowledge/index.js';

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
  /** In which kit it lies, by its name; null, or left out, in the drawer at home. */
  kit?: string | null;
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

const LONGEST_LABEL = 40;
/** What a person calls it: its kind, how wide it is, and the first words of its note. */
export function labelOf({ thing, widthMm, note = '' }: Pick<DrawerThing, 'thing' | 'widthMm' | 'note'>): string {
  const width = widthMm ? `, ${widthMm} mm` : '';
  const first = note.split(/[.;]/)[0]!.trim();
  const called = first.length > 0 && first.length <= LONGEST_LABEL ? ` (${first})` : '';
  return `${thingFacts(thing).name}${width}${called}`;
}

/** The same thing in the same width: one does for the other. */
export const sameSort = (one: DrawerThing, other: DrawerThing): boolean =>
  one.thing === other.thing && (one.widthMm ?? null) === (other.widthMm ?? null);

/** One kit, whoever writes its name with small letters or large. */
export const sameKit = (one: string | null | undefined, other: string | null | undefined): boolean =>
  (one ?? '').toLowerCase() === (other ?? '').toLowerCase();
