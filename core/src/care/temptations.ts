import type { Method } from './knowledge/methods.js';
import { SOILS, type SoilNature } from './knowledge/soils.js';
import { familyOf, type Family, type Surface } from './knowledge/surfaces.js';
import { firstRefusal } from './rules/index.js';
import type { Context, Contraband, Finding, Refusal } from './types.js';

/** What a hand reaches for in need, and for which dirt. The rules say why not; the plan shows it struck through. */
type Temptation = { families: readonly Family[]; natures: readonly SoilNature[]; method: Method; material?: Contraband };

const TEMPTATIONS: readonly Temptation[] = [
  { families: ['mirror', 'matte'], natures: ['loose'], method: 'canned-air' },
  { families: ['mirror'], natures: ['loose', 'film', 'spot'], method: 'dry-wipe' },
  { families: ['mirror'], natures: ['film', 'spot'], method: 'damp-swab' },
  { families: ['matte'], natures: ['loose', 'film', 'spot'], method: 'soft-brush' },
  { families: ['matte'], natures: ['film', 'spot'], method: 'damp-wipe' },
  { families: ['sensor', 'mount', 'contacts'], natures: ['loose'], method: 'canned-air' },
  { families: ['glass'], natures: ['loose'], method: 'canned-air' },
  { families: ['sensor'], natures: ['loose', 'film', 'spot'], method: 'soft-brush' },
  { families: ['sensor'], natures: ['film', 'spot'], method: 'dry-wipe' },
  { families: ['glass'], natures: ['film', 'spot'], method: 'dry-wipe', material: 'shirt-tail' },
  { families: ['glass', 'display'], natures: ['film', 'spot'], method: 'damp-wipe', material: 'household-tissue' },
  { families: ['glass', 'display'], natures: ['film'], method: 'damp-wipe', material: 'window-cleaner' },
  { families: ['mount', 'contacts'], natures: ['soluble', 'spot'], method: 'fresh-water' },
];

/** The temptations that fit what is to be cleaned here and that some rule forbids; they are as wrong at home as outdoors. */
export function temptationsFor(surface: Surface, wanted: readonly Finding[], findings: readonly Finding[], context: Context): Refusal[] {
  const natures = new Set(wanted.map((f) => SOILS[f.soil].nature));
  return TEMPTATIONS.filter((t) => t.families.includes(familyOf(surface)) && t.natures.some((n) => natures.has(n))).flatMap(
    ({ method, material }) => {
      const refusal = firstRefusal(
        { surface, method, tool: null, materials: material ? [material] : [], findings },
        { ...context, place: 'home' },
      );
      if (!refusal) return [];
      // A forbidden material does not forbid the method: the refusal names the one or the other, never both.
      return [{ surface, ...(material ? { material } : { method }), ...refusal }];
    },
  );
}
