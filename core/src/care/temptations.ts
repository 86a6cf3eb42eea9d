import type { Material, Tool } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import { natureOf, type SoilNature } from './soils/index.js';
import { familyOf, type Family, type Surface } from './knowledge/surfaces.js';
import { firstRefusal, type RuleId } from './rules/index.js';
import type { Context, Contraband, Finding, Refusal } from './types.js';

/** What a hand reaches for in need, and for which dirt. The rules say why not; the plan shows it struck through. */
type Temptation = {
  families: readonly Family[];
  natures: readonly SoilNature[];
  method: Method;
  tool?: Tool;
  material?: Contraband | Material;
  /** Shown only where this rule is what stands against it; without one, whichever does. */
  by?: RuleId;
  /** Wrong out there only; the others are as wrong at home. */
  outdoors?: true;
};

const TEMPTATIONS: readonly Temptation[] = [
  { families: ['mirror', 'matte'], natures: ['loose'], method: 'canned-air' },
  { families: ['mirror'], natures: ['loose', 'film', 'spot'], method: 'dry-wipe' },
  { families: ['mirror'], natures: ['film', 'spot'], method: 'damp-swab' },
  { families: ['matte'], natures: ['loose', 'film', 'spot'], method: 'soft-brush' },
  { families: ['matte'], natures: ['film', 'spot'], method: 'damp-wipe' },
  { families: ['sensor', 'mount', 'contacts', 'chamber'], natures: ['loose'], method: 'canned-air' },
  { families: ['chamber'], natures: ['loose'], method: 'dry-wipe' },
  { families: ['glass', 'display'], natures: ['soluble'], method: 'damp-wipe', material: 'sealed-wipe' },
  { families: ['glass', 'display', 'shell'], natures: ['soluble'], method: 'dry-wipe' },
  { families: ['glass'], natures: ['loose'], method: 'canned-air' },
  { families: ['sensor'], natures: ['loose', 'film', 'spot'], method: 'soft-brush' },
  { families: ['sensor'], natures: ['film', 'spot'], method: 'dry-wipe' },
  { families: ['glass'], natures: ['film', 'spot'], method: 'dry-wipe', material: 'shirt-tail' },
  { families: ['glass', 'display'], natures: ['film', 'spot'], method: 'damp-wipe', material: 'household-tissue' },
  { families: ['glass', 'display'], natures: ['film'], method: 'damp-wipe', material: 'window-cleaner' },
  { families: ['mount', 'contacts'], natures: ['soluble', 'spot'], method: 'fresh-water' },
  { families: ['glass'], natures: ['film', 'loose'], method: 'dry-wipe', tool: 'body-cloth', by: 'tool-roles' },
  {
    families: ['glass'],
    natures: ['film', 'spot'],
    method: 'damp-wipe',
    material: 'lens-fluid',
    by: 'no-open-fluid-in-the-field',
    outdoors: true,
  },
  { families: ['glass'], natures: ['damage'], method: 'plastic-polish', by: 'polish-bare-acrylic-only' },
  { families: ['bath'], natures: ['loose', 'film', 'spot'], method: 'dry-wipe' },
  { families: ['glass'], natures: ['passing'], method: 'dry-wipe', by: 'fog-is-left' },
  { families: ['curtain'], natures: ['loose'], method: 'blow' },
  { families: ['leather'], natures: ['spot', 'soluble', 'growth', 'film'], method: 'soap-wash', by: 'leather-is-never-soaked' },
  { families: ['glass', 'display'], natures: ['growth'], method: 'damp-wipe', tool: 'glass-cloth', by: 'growth-meets-what-is-thrown-away' },
  { families: ['shell'], natures: ['growth'], method: 'damp-wipe', tool: 'body-cloth', by: 'growth-meets-what-is-thrown-away' },
];

const TEMPTATIONS_OF = new Map<Family, readonly Temptation[]>(
  [...new Set(TEMPTATIONS.flatMap((t) => t.families))].map((family) => [family, TEMPTATIONS.filter((t) => t.families.includes(family))]),
);

/** What tempts although nothing is to be cleaned: a scratch one would polish, a telescope mirror one would wipe. */
const temptsAnyway = (finding: Finding): boolean =>
  finding.soil === 'fine-scratch' || natureOf(finding.soil) === 'passing' || ['bath', 'curtain'].includes(familyOf(finding.surface));

/** The temptations that fit what lies here and that some rule forbids. */
export function temptationsFor(surface: Surface, wanted: readonly Finding[], findings: readonly Finding[], context: Context): Refusal[] {
  const known = TEMPTATIONS_OF.get(familyOf(surface));
  if (!known) return [];
  const natures = [...wanted, ...findings.filter(temptsAnyway)].map((f) => natureOf(f.soil));
  const fitting = known.filter((t) => t.natures.some((n) => natures.includes(n)) && (!t.outdoors || context.place === 'field'));
  if (fitting.length === 0) return [];
  const atHome = { ...context, place: 'home' as const, conditions: {} };
  return fitting.flatMap(({ method, tool = null, material, by, outdoors }) => {
    const candidate = { surface, method, tool, materials: material ? [material] : [], findings, after: [] };
    const refusal = firstRefusal(candidate, outdoors ? context : atHome);
    if (!refusal || (by && refusal.rule !== by)) return [];
    // A forbidden thing does not forbid the method: the refusal names the one or the other, never both.
    return [{ ...(tool ? { tool } : material ? { material } : { method }), ...refusal }];
  });
}
