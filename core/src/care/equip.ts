import { acrossMm } from './kinds/index.js';
import { dropsForGlass, type Unit, type Use } from './knowledge/amounts.js';
import { fluidsFor, materialFacts, type FluidFacts, type FluidTask, type Material, type Tool } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import { holds } from './soils/index.js';
import { swabFor } from '../sensor/index.js';
import { swabOnHand } from './onHand.js';
import type { Context, Finding } from './types.js';

/** One way to equip a method: at most one tool, and what it uses up. */
export type Outfit = { tool: Tool | null; uses: Use[] };

const tool = (id: Tool): Outfit => ({ tool: id, uses: [] });
const use = (material: Material, quantity: number, unit: Unit = materialFacts(material).unit): Use => ({
  material,
  amount: { quantity, unit },
});
const withUses = (toolId: Tool | null, ...uses: Use[]): Outfit => ({ tool: toolId, uses });

const growthLies = (findings: readonly Finding[]): boolean => findings.some((f) => f.severity > 0 && holds(f.soil, 'spores'));

/** One drop for small glass, two or three for larger; one where only a swab goes in. */
const drops = (surface: Surface, { kind, traits }: Context): number => dropsForGlass(acrossMm(kind, traits, surface) ?? 40);

/** What wipes glass and is thrown away after: the best first. */
const THROWN_AWAY = (sheets: number): Outfit[] => [
  withUses(null, use('lens-tissue', sheets)),
  withUses(null, use('single-use-pad', sheets)),
  withUses(null, use('cotton-pad', sheets)),
];

/** What wipes glass, the one of the school first, substitutes after it. */
function glassWipes(task: 'dry' | 'damp', { schools }: Context): Outfit[] {
  const cloth = tool('glass-cloth');
  const sheets = task === 'dry' ? 1 : 2;
  const tissue = withUses(null, use('lens-tissue', sheets));
  const cotton = withUses('glass-cloth', use('cotton-pad', sheets));
  const pad = withUses(null, use('single-use-pad', sheets));
  switch (schools.wipe) {
    case 'by-task':
      return task === 'dry' ? [cloth, tissue, pad] : [tissue, cloth, pad];
    case 'tissue':
      return [tissue, pad];
    case 'microfibre':
      return [cloth];
    case 'cotton-then-cloth':
      return [cotton, cloth];
    case 'single-use-pad':
      return [pad, tissue];
    default:
      return schools.wipe satisfies never;
  }
}

/** Each fluid of a task on each wipe: the first fluid with every wipe, then the next fluid. */
const damp = (wipes: readonly Outfit[], task: FluidTask, quantity: number, asked?: FluidFacts['askedForBy'][number]): Outfit[] =>
  fluidsFor(task, asked).flatMap((fluid) => wipes.map((wipe) => ({ ...wipe, uses: [use(fluid, quantity), ...wipe.uses] })));

/** Where the maker names a fluid it comes before all others, which the rules then shut out; where none is named there is none. */
function makersOwn(outfits: readonly Outfit[], { traits }: Context): Outfit[] {
  const isMakers = ({ uses }: Outfit) => uses.some((u) => u.material === 'maker-fluid');
  const others = outfits.filter((o) => !isMakers(o));
  return traits.makerForbidsFluids ? [...outfits.filter(isMakers), ...others] : others;
}

/** The maker's fluid where the maker names one; else the school's, else what there is; last of all a sealed wipe. */
function dampWipes(surface: Surface, findings: readonly Finding[], context: Context): Outfit[] {
  const { schools } = context;
  if (familyOf(surface) === 'shell' || familyOf(surface) === 'leather') {
    const water = use('water', 0.25, 'mL');
    return growthLies(findings)
      ? [withUses(null, water, use('mild-soap', 1), use('paper-towel', 2)), withUses(null, water, use('paper-towel', 2))]
      : [withUses('body-cloth', water), withUses(null, water, use('paper-towel', 1))];
  }
  const quantity = familyOf(surface) === 'display' ? 3 : drops(surface, context);
  const wipes = growthLies(findings) ? THROWN_AWAY(2) : glassWipes('damp', context);
  const mist = surface === 'eye-lens' && schools.spray === 'far-mist';
  const outfits = makersOwn(damp(wipes, 'glass-film', quantity, `solvent/${schools.solvent}`), context);
  const misted = mist ? outfits.map(asMist) : outfits;
  // A sealed wipe takes skin oil where plain water does not.
  const isWater = ({ uses }: Outfit) => uses[0]?.material === 'water';
  return [...misted.filter((o) => !isWater(o)), withUses(null, use('sealed-wipe', 1)), ...misted.filter(isWater)];
}

/** One fine mist in place of drops. */
const asMist = (outfit: Outfit): Outfit => ({
  ...outfit,
  uses: outfit.uses.map((u) => (u.amount.unit === 'drop' ? use(u.material, 1, 'spray') : u)),
});

/** On glass, growth takes the fluid of its school; what meets it is thrown away whatever else one wipes with. */
function solventWipes(surface: Surface, findings: readonly Finding[], context: Context): Outfit[] {
  const onGlass = familyOf(surface) === 'glass';
  const growth = growthLies(findings);
  const quantity = drops(surface, context) + 1;
  if (onGlass && growth)
    return makersOwn(damp(THROWN_AWAY(2), 'growth-on-glass', quantity, `fungus-fluid/${context.schools['fungus-fluid']}`), context);
  if (familyOf(surface) === 'leather')
    return damp([withUses(null, use('cotton-pad', 2)), withUses(null, use('paper-towel', 1))], 'growth-on-leather', 2);
  if (onGlass) return makersOwn(damp(glassWipes('damp', context), 'glass-solvent', quantity), context);
  const towel = withUses(null, use('paper-towel', 1));
  return damp(growth ? [towel] : [tool('body-cloth'), towel], 'shell-solvent', 4);
}

/** A recess is reached by a swab; tissue goes loosely round it before it meets glass. */
function dampSwabs(surface: Surface, context: Context): Outfit[] {
  const swab = withUses(null, use('cotton-swab', 2));
  const family = familyOf(surface);
  if (family === 'glass')
    return makersOwn(
      damp([withUses(null, use('cotton-swab', 2), use('lens-tissue', 1)), swab], 'glass-film', 1, `solvent/${context.schools.solvent}`),
      context,
    );
  if (family === 'foam') return damp([swab], 'foam-residue', 2);
  return damp([swab], family === 'contacts' || family === 'cells' ? 'contact-film' : 'shell-film', 1);
}

/** Both faces of each swab are wetted; a sensor no swab on hand fits is planned with one, which is then missing. */
function sensorSwab(context: Context): Outfit {
  const { drops: aSide, swabs } = swabOnHand(context) ?? swabFor(context.traits.sensorFormat ?? 'full-frame');
  return withUses(null, use('sensor-fluid', 2 * aSide * swabs), use('sensor-swab', swabs));
}

/** Fresh water goes on with a cloth kept for that side of the thing, or with what is thrown away where growth lies. */
function waterCloth(surface: Surface, findings: readonly Finding[], context: Context): Outfit[] {
  const water = use('water', 0.5, 'mL');
  if (familyOf(surface) === 'seal') return LINT_FREE(water);
  const with_ = (outfits: readonly Outfit[]) => outfits.map((o) => ({ ...o, uses: [water, ...o.uses] }));
  if (familyOf(surface) === 'shell')
    return with_(
      growthLies(findings) ? [withUses(null, use('paper-towel', 1))] : [tool('body-cloth'), withUses(null, use('paper-towel', 1))],
    );
  return with_(growthLies(findings) ? THROWN_AWAY(1) : glassWipes('damp', context));
}

const isGlassSide = (surface: Surface) => ['glass', 'display'].includes(familyOf(surface));

/** What leaves no fibre behind on a ring. */
const LINT_FREE = (...fluids: Use[]): Outfit[] => [
  withUses(null, ...fluids, use('single-use-pad', 1)),
  withUses(null, ...fluids, use('lens-tissue', 1)),
];

/** What lies where air would spread it, or on bare silver, is lifted by something damp that is thrown away. */
function dabs(surface: Surface): Outfit[] {
  if (familyOf(surface) === 'mirror') return damp([withUses(null, use('lens-tissue', 2))], 'mirror-film', 1);
  const water = use('water', 0.25, 'mL');
  return isGlassSide(surface)
    ? THROWN_AWAY(2).map((o) => ({ ...o, uses: [water, ...o.uses] }))
    : [withUses(null, water, use('paper-towel', 2))];
}

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
      return dabs(surface);
    case 'fingertip':
      return [{ tool: null, uses: [] }];
    case 'damp-pad':
      return LINT_FREE(use('water', 0.25, 'mL'));
    case 'dry-swab':
      return [withUses(null, use('cotton-swab', 2))];
    case 'pick':
      return [tool('wooden-pick')];
    case 'grease-seal':
      return fluidsFor('dry-seal').map((fluid) => withUses(null, use(fluid, 1)));
    case 'feed-leather':
      return damp([withUses(null, use('single-use-pad', 1)), withUses(null, use('cotton-pad', 1))], 'dry-leather', 2);
    case 'plastic-polish':
      return damp([withUses(null, use('single-use-pad', 1)), tool('glass-cloth')], 'acrylic-scratch', 4);
    case 'wet-wipe':
      return [withUses(null, use('sealed-wipe', 1))];
    case 'damp-swab':
      return dampSwabs(surface, context);
    case 'fresh-water':
      return waterCloth(surface, findings, context);
    case 'solvent-wipe':
      return solventWipes(surface, findings, context);
    case 'sensor-swab':
      return [sensorSwab(context)];
    case 'contact-eraser':
      return [tool('contact-eraser')];
    case 'adhesive-remover':
      return fluidsFor('sticky-finish').map((fluid) => withUses(null, use(fluid, 1, 'mL'), use('paper-towel', 4)));
    case 'soap-wash':
      return fluidsFor('wash').map((fluid) => withUses(null, use(fluid, 1), use('water', 50, 'mL')));
    case 'lubricate':
      return fluidsFor('dry-thread').map((fluid) => withUses('oil-tip', use(fluid, 1)));
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

/** A recess is reached by a swab, not by a cloth; in the field the damp wipe comes out of a sealed bag. */
export function adaptMethod(method: Method, surface: Surface, { place, schools }: Context): Method {
  if (method === 'damp-wipe' && place === 'field' && schools['field-fluid'] === 'sealed-wipes' && isGlassSide(surface)) return 'wet-wipe';
  if ((method === 'damp-wipe' || method === 'fresh-water') && surfaceFacts(surface).recessed) return 'damp-swab';
  if (method === 'soft-brush' && familyOf(surface) === 'glass' && schools['glass-brush'] === 'rim-only') return 'rim-brush';
  return method;
}
