import { commonPractice, type Basis } from './basis.js';
import type { HazardId } from './hazards.js';
import type { Solvent } from './solvents.js';

/** Where a tool may be used. What has touched a shell never touches glass (rule `tool-roles`). */
export const TOOL_ROLES = ['glass', 'shell', 'sensor', 'any'] as const;
export type ToolRole = (typeof TOOL_ROLES)[number];

/** What people say for it when they search. */
type Called = { words?: readonly string[] };
export type ToolFacts = { nature: 'tool'; name: string; role: ToolRole; washable: boolean; basis: Basis } & Called;
const tool = (role: ToolRole, name: string, washable = false, ...words: string[]): ToolFacts => ({
  nature: 'tool',
  name,
  role,
  washable,
  basis: commonPractice,
  words,
});

/** Tools stay: they are washed, marked and worn, not used up. */
export const TOOLS = {
  'bulb-blower': tool('any', 'bulb blower', false, 'rocket', 'air blower', 'squeeze bulb'),
  'glass-brush': tool('glass', 'soft brush kept for glass'),
  'rim-brush': tool('glass', 'rim brush'),
  'shell-brush': tool('shell', 'stiff brush'),
  'glass-cloth': tool('glass', 'microfibre kept for glass', true, 'microfiber', 'lens cloth', 'cloth'),
  'body-cloth': tool('shell', 'body cloth', true, 'rag', 'duster'),
  'carbon-pen': tool('glass', 'cleaning pen with a carbon tip', false, 'lens pen', 'pen'),
  chamois: tool('glass', 'chamois', true),
  'contact-eraser': tool('shell', 'soft eraser', false, 'rubber', 'pencil eraser'),
  'oil-tip': tool('shell', 'fine screwdriver tip'),
  'wooden-pick': tool('shell', 'wooden pick'),
} as const satisfies Record<string, ToolFacts>;
export type Tool = keyof typeof TOOLS;

/** What a fluid does in a clean: a method asks for one of these, and every fluid that does it is a candidate. */
export const FLUID_TASKS = [
  'glass-film',
  'glass-solvent',
  'growth-on-glass',
  'mirror-film',
  'shell-film',
  'shell-solvent',
  'contact-film',
  'salt',
  'sensor-film',
  'sticky-finish',
  'wash',
  'dry-thread',
  'acrylic-scratch',
  'foam-residue',
  'growth-on-leather',
  'dry-seal',
  'dry-leather',
] as const;
export type FluidTask = (typeof FLUID_TASKS)[number];

type Shared = {
  name: string;
  role: ToolRole;
  /** What one unit costs, in the user's currency (common practice; ordinary shop prices, rounded). */
  unitPrice: number;
  /** What is in it that some surface cannot bear. */
  contains: readonly ('alcohol' | 'ammonia' | 'acetone' | 'peroxide' | 'acid' | 'oil' | 'soap')[];
  hazards: readonly HazardId[];
  /** The solvent that goes into the air from it, where one does; of a fluid whose makers differ, the one to be careful of. */
  vapour?: Solvent;
  basis: Basis;
} & Called;
/** Measured in drops, whatever it is bought by. */
export type FluidFacts = Shared & {
  nature: 'fluid';
  unit: 'drop';
  /** What it is good for, and how soon it is thought of: 1 first. Whoever is asked for by a school comes before all. */
  does: Partial<Record<FluidTask, number>>;
  /** The choices of schools that ask for it by name. */
  askedForBy: readonly (
    | 'solvent/lens-fluid'
    | 'solvent/alcohol'
    | 'solvent/alcohol-free'
    | 'fungus-fluid/alcohol'
    | 'fungus-fluid/peroxide'
    | 'fungus-fluid/vinegar'
  )[];
  /** In an open bottle: not taken into the field unless the school carries one. */
  openFluid?: true;
};
/** Used once, counted by the piece. */
export type ConsumableFacts = Shared & { nature: 'consumable'; unit: 'sheet' | 'swab' | 'wipe' | 'pad' };
export type MaterialFacts = FluidFacts | ConsumableFacts;

type More = Partial<Pick<Shared, 'contains' | 'hazards' | 'vapour' | 'words'>>;
const consumable = (role: ToolRole, name: string, unit: ConsumableFacts['unit'], unitPrice: number, more: More = {}): ConsumableFacts => ({
  nature: 'consumable',
  name,
  role,
  unit,
  unitPrice,
  contains: [],
  hazards: [],
  basis: commonPractice,
  ...more,
});
const fluid = (
  role: ToolRole,
  name: string,
  unitPrice: number,
  does: FluidFacts['does'],
  more: More & Partial<Pick<FluidFacts, 'askedForBy' | 'openFluid'>> = {},
): FluidFacts => ({
  nature: 'fluid',
  name,
  role,
  unit: 'drop',
  unitPrice,
  does,
  askedForBy: [],
  contains: [],
  hazards: [],
  basis: commonPractice,
  ...more,
});

/**
 * Materials are used up. `lens-fluid` counts as holding alcohol, as many do: no such fluid goes on plastic. A 60 mL
 * bottle holds about 1,200 drops, so a drop of a fluid that costs 12 a bottle is one hundredth.
 */
export const MATERIALS = {
  'lens-fluid': fluid(
    'any',
    'lens fluid',
    0.01,
    { 'glass-film': 1, 'mirror-film': 1 },
    {
      askedForBy: ['solvent/lens-fluid'],
      contains: ['alcohol'],
      vapour: 'isopropanol',
      openFluid: true,
      words: ['lens cleaner', 'lens cleaning solution', 'cleaning fluid'],
    },
  ),
  'alcohol-free-fluid': fluid(
    'any',
    'alcohol-free eyeglass cleaner',
    0.004,
    { 'glass-film': 2, 'mirror-film': 2 },
    {
      askedForBy: ['solvent/alcohol-free'],
      openFluid: true,
      words: ['eyeglass cleaner', 'glasses spray', 'spectacle cleaner'],
    },
  ),
  isopropanol: fluid(
    'any',
    'isopropanol, 90 % or purer',
    0.005,
    {
      'glass-film': 4,
      'glass-solvent': 1,
      'growth-on-glass': 1,
      'shell-solvent': 1,
      'contact-film': 1,
      'foam-residue': 1,
      'growth-on-leather': 1,
    },
    {
      askedForBy: ['solvent/alcohol', 'fungus-fluid/alcohol'],
      contains: ['alcohol'],
      vapour: 'isopropanol',
      openFluid: true,
      hazards: ['flammable-fluid', 'solvent-vapour'],
      words: ['rubbing alcohol', 'isopropyl', 'ipa', 'alcohol', 'spirit', 'surgical spirit'],
    },
  ),
  'residue-remover': fluid(
    'any',
    'residue remover',
    0.01,
    { 'glass-solvent': 2, 'shell-solvent': 2 },
    {
      contains: ['alcohol'],
      vapour: 'isopropanol',
      openFluid: true,
      hazards: ['flammable-fluid', 'solvent-vapour', 'maker-instructions'],
      words: ['label remover', 'sticker remover', 'goo remover'],
    },
  ),
  'maker-fluid': fluid(
    'any',
    'the fluid the maker names',
    0.02,
    { 'glass-film': 9, 'glass-solvent': 9, 'growth-on-glass': 9 },
    {
      openFluid: true,
      hazards: ['maker-instructions'],
    },
  ),
  peroxide: fluid(
    'any',
    'hydrogen peroxide, 3 %',
    0.002,
    { 'growth-on-glass': 2 },
    {
      askedForBy: ['fungus-fluid/peroxide'],
      contains: ['peroxide'],
      openFluid: true,
      hazards: ['never-mix', 'skin-and-eyes'],
      words: ['hydrogen peroxide', 'bleach'],
    },
  ),
  vinegar: fluid(
    'any',
    'clear household vinegar',
    0.001,
    { 'growth-on-glass': 3 },
    {
      askedForBy: ['fungus-fluid/vinegar'],
      contains: ['acid'],
      openFluid: true,
      hazards: ['never-mix'],
      words: ['acetic acid', 'white vinegar'],
    },
  ),
  water: fluid('any', 'fresh or distilled water', 0, { 'glass-film': 3, 'mirror-film': 3, 'shell-film': 1, 'contact-film': 2, salt: 1 }),
  'sensor-fluid': fluid(
    'sensor',
    'sensor fluid',
    0.05,
    { 'sensor-film': 1 },
    {
      contains: ['alcohol'],
      vapour: 'methanol',
      openFluid: true,
      hazards: ['flammable-fluid', 'methanol'],
      words: ['sensor cleaner', 'methanol'],
    },
  ),
  'instrument-oil': fluid(
    'shell',
    'light instrument oil',
    0.02,
    { 'dry-thread': 1 },
    { words: ['watch oil', 'light oil', 'penetrating oil', 'lubricant', 'grease for focus'], contains: ['oil'] },
  ),
  'adhesive-remover': fluid(
    'shell',
    'plaster-glue remover',
    0.02,
    { 'sticky-finish': 1 },
    {
      contains: ['acetone'],
      vapour: 'acetone',
      openFluid: true,
      hazards: ['flammable-fluid', 'solvent-vapour', 'takes-lettering'],
    },
  ),
  'seal-grease': fluid('any', 'the maker’s grease for rings', 0.05, { 'dry-seal': 1 }, { contains: ['oil'] }),
  'leather-balm': fluid('shell', 'colourless leather balm', 0.03, { 'dry-leather': 1 }, { contains: ['oil'] }),
  'mild-soap': fluid('any', 'mild soap', 0.001, { wash: 1 }, { contains: ['soap'] }),
  'plastic-polish': fluid('glass', 'fine plastic polish', 0.03, { 'acrylic-scratch': 1 }, { hazards: ['maker-instructions'] }),
  'lens-tissue': consumable('glass', 'lens tissue', 'sheet', 0.06),
  'cotton-pad': consumable('glass', 'cotton pad', 'pad', 0.03),
  'single-use-pad': consumable('glass', 'single-use lint-free pad', 'pad', 0.15),
  'cotton-swab': consumable('any', 'cotton swab', 'swab', 0.02),
  'sealed-wipe': consumable('glass', 'sealed wet wipe', 'wipe', 0.2, { contains: ['alcohol'], vapour: 'isopropanol' }),
  'sensor-swab': consumable('sensor', 'sensor swab', 'swab', 3.5),
  'paper-towel': consumable('shell', 'paper towel', 'sheet', 0.03),
} as const satisfies Record<string, MaterialFacts>;
export type Material = keyof typeof MATERIALS;
export const MATERIAL_IDS = Object.keys(MATERIALS) as Material[];
export const TOOL_IDS = Object.keys(TOOLS) as Tool[];

export const toolFacts = (id: Tool): ToolFacts => TOOLS[id];
export const materialFacts = (id: Material): MaterialFacts => MATERIALS[id];
export const thingFacts = (id: Tool | Material): ToolFacts | MaterialFacts => (id in TOOLS ? TOOLS[id as Tool] : MATERIALS[id as Material]);
export const isFluid = (id: Tool | Material): boolean => thingFacts(id).nature === 'fluid';
/** A fluid out of a bottle that is left open while one works. */
export const isOpenFluid = (id: Material): boolean => {
  const facts = materialFacts(id);
  return facts.nature === 'fluid' && !!facts.openFluid;
};

const doing = (task: FluidTask): Material[] => {
  const rank = (id: Material): number | undefined => {
    const facts = materialFacts(id);
    return facts.nature === 'fluid' ? facts.does[task] : undefined;
  };
  return MATERIAL_IDS.filter((id) => rank(id) !== undefined).sort((a, b) => rank(a)! - rank(b)!);
};
// Asked at every rung of every plan, so it is sorted once.
const BY_TASK = Object.fromEntries(FLUID_TASKS.map((task) => [task, doing(task)])) as Record<FluidTask, Material[]>;

/** The fluids that do a task: the one a school asks for by name first, then as soon as each is thought of. */
export function fluidsFor(task: FluidTask, asked?: FluidFacts['askedForBy'][number]): Material[] {
  const all = BY_TASK[task];
  if (!asked) return all;
  const isAsked = (id: Material) => {
    const facts = materialFacts(id);
    return facts.nature === 'fluid' && facts.askedForBy.includes(asked);
  };
  return [...all.filter(isAsked), ...all.filter((id) => !isAsked(id))];
}
