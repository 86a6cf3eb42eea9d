import { MATERIALS, TOOLS, materialFacts, type Material, type Tool } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import { swabFor } from '../sensor/swabs.js';
import { isPlasticOptic } from './rules/index.js';
import { swabOnHand } from './swabOnHand.js';
import type { Context, Finding, Use } from './types.js';

/** One way to equip a method: at most one tool, and what it uses up. */
export type Outfit = { tool: Tool | null; uses: Use[] };

const tool = (id: Tool): Outfit => ({ tool: id, uses: [] });
const use = (material: Material, quantity: number): Use => ({ material, amount: { quantity, unit: materialFacts(material).unit } });
const withUses = (toolId: Tool | null, ...uses: Use[]): Outfit => ({ tool: toolId, uses });

/** Two drops do for a light film, four for a heavy one (common practice: 2 to 4 drops a clean). */
const dropsFor = (findings: readonly Finding[]) => (findings.some((f) => f.severity >= 3) ? 4 : 2);

/** The fluid of the user's school, or the one this surface's maker or stuff demands. */
function glassFluid(surface: Surface, context: Context): Material {
  if (context.traits.makerForbidsFluids && familyOf(surface) === 'glass') return 'maker-fluid';
  if (isPlasticOptic(surface, context)) return 'alcohol-free-fluid';
  const bySchool = { 'lens-fluid': 'lens-fluid', alcohol: 'isopropanol', 'alcohol-free': 'alcohol-free-fluid' } as const;
  return bySchool[context.schools.solvent];
}

/** What wipes glass, the one of the school first, substitutes after it. */
function glassWipes(task: 'dry' | 'damp', context: Context): Outfit[] {
  const cloth = tool('glass-cloth');
  const tissue = (sheets: number) => withUses(null, use('lens-tissue', sheets));
  const cotton = (pads: number) => withUses('glass-cloth', use('cotton-pad', pads));
  const pad = withUses(null, use('single-use-pad', task === 'dry' ? 1 : 2));
  switch (context.schools.wipe) {
    case 'by-task':
      return task === 'dry' ? [cloth, tissue(1), pad] : [tissue(2), cloth, pad];
    case 'tissue':
      return [tissue(task === 'dry' ? 1 : 2), pad];
    case 'microfibre':
      return [cloth];
    case 'cotton-then-cloth':
      return [cotton(task === 'dry' ? 1 : 2), cloth];
    case 'single-use-pad':
      return [pad, tissue(2)];
    default:
      return context.schools.wipe satisfies never;
  }
}

const damp = (outfits: Outfit[], fluid: Material, drops: number): Outfit[] =>
  outfits.map((outfit) => ({ ...outfit, uses: [use(fluid, drops), ...outfit.uses] }));

function dampWipes(surface: Surface, findings: readonly Finding[], context: Context): Outfit[] {
  const family = familyOf(surface);
  const drops = dropsFor(findings);
  if (family === 'shell') return [withUses('body-cloth', use('water', drops)), withUses(null, use('water', drops), use('paper-towel', 1))];
  const fluid = glassFluid(surface, context);
  const wipes = glassWipes('damp', context);
  const water = fluid === 'maker-fluid' ? [] : damp(wipes, 'water', drops);
  return [...damp(wipes, fluid, drops), ...(fluid === 'lens-fluid' ? damp(wipes, 'alcohol-free-fluid', drops) : []), ...water];
}

/** On glass the fluid of the fungus school; elsewhere, and for glue, isopropanol. */
function solventWipes(surface: Surface, findings: readonly Finding[], context: Context): Outfit[] {
  const onGlass = familyOf(surface) === 'glass';
  const fungus = findings.some((f) => f.soil === 'fungus-outside');
  const named: Material = context.traits.makerForbidsFluids && onGlass ? 'maker-fluid' : 'isopropanol';
  const bySchool = { alcohol: named, peroxide: 'peroxide', vinegar: 'vinegar' } as const;
  const fluid: Material = onGlass && fungus ? bySchool[context.schools['fungus-fluid']] : named;
  if (onGlass) return damp(glassWipes('damp', context), fluid, 4);
  return [withUses('body-cloth', use(fluid, 4)), withUses(null, use(fluid, 4), use('paper-towel', 1))];
}

function dampSwabs(surface: Surface, context: Context): Outfit[] {
  const family = familyOf(surface);
  if (family === 'glass') return [withUses(null, use(glassFluid(surface, context), 1), use('cotton-swab', 2))];
  if (family === 'contacts')
    return [withUses(null, use('isopropanol', 1), use('cotton-swab', 2)), withUses(null, use('water', 1), use('cotton-swab', 2))];
  return [withUses(null, use('water', 1), use('cotton-swab', 2))];
}

/** Both faces of each swab are wetted; a sensor no swab on hand fits is planned with one, which is then missing. */
function sensorSwab(context: Context): Outfit {
  const { drops, swabs } = swabOnHand(context) ?? swabFor(context.traits.sensorFormat ?? 'full-frame');
  return withUses(null, use('sensor-fluid', 2 * drops * swabs), use('sensor-swab', swabs));
}

/** Fresh water goes on with a cloth kept for that side of the thing. */
const waterCloth = (surface: Surface, context: Context): Outfit[] =>
  familyOf(surface) === 'shell' ? [withUses('body-cloth', use('water', 10))] : damp(glassWipes('damp', context), 'water', 6);

const isGlassSide = (surface: Surface) => ['glass', 'display'].includes(familyOf(surface));

/** The ways to equip a method on a surface, best first. */
export function outfitsFor(method: Method, surface: Surface, findings: readonly Finding[], context: Context): Outfit[] {
  switch (method) {
    case 'blow':
      return [tool('bulb-blower')];
    case 'soft-brush':
      return [tool('glass-brush')];
    case 'rim-brush':
      return [tool('rim-brush'), tool('glass-brush')];
    case 'stiff-brush':
      return [tool('shell-brush')];
    case 'dry-wipe':
      return isGlassSide(surface) ? glassWipes('dry', context) : [tool('body-cloth')];
    case 'carbon-tip':
      return [tool('carbon-pen')];
    case 'chamois':
      return [tool('chamois'), tool('glass-cloth')];
    case 'breath':
      return glassWipes('dry', context);
    case 'damp-wipe':
      return dampWipes(surface, findings, context);
    case 'dab':
      return [withUses(null, use('water', 1), use('lens-tissue', 2))];
    case 'plastic-polish':
      return [withUses(null, use('plastic-polish', 4), use('single-use-pad', 1)), withUses('glass-cloth', use('plastic-polish', 4))];
    case 'wet-wipe':
      return [withUses(null, use('sealed-wipe', 1))];
    case 'damp-swab':
      return dampSwabs(surface, context);
    case 'fresh-water':
      return waterCloth(surface, context);
    case 'solvent-wipe':
      return solventWipes(surface, findings, context);
    case 'sensor-swab':
      return [sensorSwab(context)];
    case 'contact-eraser':
      return [tool('contact-eraser')];
    case 'adhesive-remover':
      return [withUses(null, use('adhesive-remover', 20), use('paper-towel', 4))];
    case 'soap-wash':
      return [withUses(null, use('mild-soap', 1), use('water', 200))];
    case 'lubricate':
      return [withUses('oil-tip', use('instrument-oil', 1))];
    case 'leave':
    case 'open-group':
    case 'service':
    case 'canned-air':
      return [];
    default:
      return method satisfies never;
  }
}

/** Everything an outfit takes in hand. */
export const thingsOf = (outfit: Outfit): (Tool | Material)[] => [
  ...(outfit.tool ? [outfit.tool] : []),
  ...outfit.uses.map((u) => u.material),
];

/** Water and a thumb are always there; everything else has to be in the drawer. */
export const isAlwaysThere = (id: Tool | Material): boolean => id === 'water';

export const thingName = (id: Tool | Material): string => (id in TOOLS ? TOOLS[id as Tool] : MATERIALS[id as Material]).name;

/** A recess is reached by a swab, not by a cloth; in the field the damp wipe comes out of a sealed bag. */
export function adaptMethod(method: Method, surface: Surface, context: Context): Method {
  if (method === 'damp-wipe' && context.place === 'field' && context.schools['field-fluid'] === 'sealed-wipes' && isGlassSide(surface))
    return 'wet-wipe';
  if (method === 'damp-wipe' && surfaceFacts(surface).recessed) return 'damp-swab';
  if (method === 'soft-brush' && familyOf(surface) === 'glass' && context.schools['glass-brush'] === 'rim-only') return 'rim-brush';
  return method;
}
