import { commonPractice, type Basis } from './basis.js';
import type { HazardId } from './hazards.js';

/** Where a tool may be used. What has touched a shell never touches glass (rule `tool-roles`). */
export type ToolRole = 'glass' | 'shell' | 'sensor' | 'any';

export type ToolFacts = { name: string; role: ToolRole; basis: Basis };
const tool = (role: ToolRole, name: string): ToolFacts => ({ name, role, basis: commonPractice });

/** Tools stay: they are washed, marked and worn, not used up. */
export const TOOLS = {
  'bulb-blower': tool('any', 'bulb blower'),
  'glass-brush': tool('glass', 'soft brush kept for glass'),
  'rim-brush': tool('glass', 'rim brush'),
  'shell-brush': tool('shell', 'stiff brush'),
  'glass-cloth': tool('glass', 'microfibre kept for glass'),
  'body-cloth': tool('shell', 'body cloth'),
  'carbon-pen': tool('glass', 'cleaning pen with a carbon tip'),
  chamois: tool('glass', 'chamois'),
  'contact-eraser': tool('shell', 'soft eraser'),
  'oil-tip': tool('shell', 'fine screwdriver tip'),
} as const satisfies Record<string, ToolFacts>;
export type Tool = keyof typeof TOOLS;

export type MaterialFacts = {
  name: string;
  role: ToolRole;
  /** What one counts it in. */
  unit: 'drop' | 'sheet' | 'swab' | 'wipe' | 'pad';
  /** What one unit costs, in the user's currency (common practice; ordinary shop prices, rounded). */
  unitPrice: number;
  /** What is in it that some surface cannot bear. */
  contains: readonly ('alcohol' | 'ammonia' | 'acetone' | 'peroxide' | 'acid' | 'oil' | 'soap')[];
  /** Open fluid in a bottle: not taken into the field unless the school carries one. */
  openFluid?: true;
  hazards: readonly HazardId[];
  basis: Basis;
};

const material = (
  role: ToolRole,
  name: string,
  unit: MaterialFacts['unit'],
  unitPrice: number,
  more: Partial<Pick<MaterialFacts, 'contains' | 'openFluid' | 'hazards'>> = {},
): MaterialFacts => ({ name, role, unit, unitPrice, contains: [], hazards: [], basis: commonPractice, ...more });

/**
 * Materials are used up. `lens-fluid` counts as holding alcohol, as many do: no such fluid goes on plastic. A 60 mL bottle holds about 1,200 drops (20 drops to the mL, common practice),
 * so a drop of a fluid that costs 12 a bottle is one hundredth.
 */
export const MATERIALS = {
  'lens-fluid': material('any', 'lens fluid', 'drop', 0.01, { contains: ['alcohol'], openFluid: true }),
  'alcohol-free-fluid': material('any', 'alcohol-free eyeglass cleaner', 'drop', 0.004, { openFluid: true }),
  isopropanol: material('any', 'isopropanol, 90 % or purer', 'drop', 0.005, {
    contains: ['alcohol'],
    openFluid: true,
    hazards: ['flammable-fluid', 'solvent-vapour'],
  }),
  'maker-fluid': material('any', 'the fluid the maker names', 'drop', 0.02, { openFluid: true, hazards: ['maker-instructions'] }),
  peroxide: material('any', 'hydrogen peroxide, 3 %', 'drop', 0.002, {
    contains: ['peroxide'],
    openFluid: true,
    hazards: ['never-mix', 'skin-and-eyes'],
  }),
  vinegar: material('any', 'clear household vinegar', 'drop', 0.001, { contains: ['acid'], openFluid: true, hazards: ['never-mix'] }),
  water: material('any', 'fresh or distilled water', 'drop', 0),
  'sensor-fluid': material('sensor', 'sensor fluid', 'drop', 0.05, {
    contains: ['alcohol'],
    openFluid: true,
    hazards: ['flammable-fluid'],
  }),
  'instrument-oil': material('shell', 'light instrument oil', 'drop', 0.02, { contains: ['oil'] }),
  'adhesive-remover': material('shell', 'plaster-glue remover', 'drop', 0.02, {
    contains: ['acetone'],
    openFluid: true,
    hazards: ['flammable-fluid', 'solvent-vapour', 'takes-lettering'],
  }),
  'mild-soap': material('any', 'mild soap', 'drop', 0.001, { contains: ['soap'] }),
  'lens-tissue': material('glass', 'lens tissue', 'sheet', 0.06),
  'cotton-pad': material('glass', 'cotton pad', 'pad', 0.03),
  'single-use-pad': material('glass', 'single-use lint-free pad', 'pad', 0.15),
  'cotton-swab': material('any', 'cotton swab', 'swab', 0.02),
  'sealed-wipe': material('glass', 'sealed wet wipe', 'wipe', 0.2, { contains: ['alcohol'] }),
  'sensor-swab': material('sensor', 'sensor swab of the right width', 'swab', 3.5),
  'plastic-polish': material('glass', 'fine plastic polish', 'drop', 0.03, { hazards: ['maker-instructions'] }),
  'paper-towel': material('shell', 'paper towel', 'sheet', 0.03),
} as const satisfies Record<string, MaterialFacts>;
export type Material = keyof typeof MATERIALS;

export const toolFacts = (id: Tool): ToolFacts => TOOLS[id];
export const materialFacts = (id: Material): MaterialFacts => MATERIALS[id];
