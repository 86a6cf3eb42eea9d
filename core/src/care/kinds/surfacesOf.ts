import { familyOf, type Surface } from '../knowledge/surfaces.js';
import type { Traits } from '../knowledge/traits.js';
import { kindFacts, type ItemKind } from './registry.js';
import { withDefaults } from './retrait.js';

/** The surfaces a thing of this kind with these traits has, light path first, then the shell. */
export function surfacesOf(kind: ItemKind, traits: Traits = {}): Surface[] {
  const all = withDefaults(kind, traits);
  return kindFacts(kind).surfaces.flatMap((entry) => {
    if (typeof entry === 'string') return [entry];
    return entry.when(all) ? [entry.surface] : [];
  });
}

/** Does a thing of this kind with these traits have this surface? */
export function hasSurface(kind: ItemKind, traits: Traits, surface: Surface): boolean {
  const entry = kindFacts(kind).surfaces.find((e) => e === surface || (typeof e !== 'string' && e.surface === surface));
  if (entry === undefined || typeof entry === 'string') return entry !== undefined;
  return entry.when(withDefaults(kind, traits));
}

/** The caps that belong on it: what can be missing. A case is no cap. */
export const capsOf = (kind: ItemKind, traits: Traits = {}): Surface[] =>
  surfacesOf(kind, traits).filter((surface) => familyOf(surface) === 'cap' && surface !== 'case');

/** Where the front diameter a keeper wrote down lies. */
const FRONTS: readonly Surface[] = ['filter-front', 'filter-back', 'front-glass', 'objective', 'corrector', 'port-outside', 'port-inside'];

/** How far across a face of glass is, mm: as the keeper said for the front, else as is usual for the kind; null for what is no glass. */
export function acrossMm(kind: ItemKind, traits: Traits, surface: Surface): number | null {
  if (familyOf(surface) !== 'glass') return kindFacts(kind).acrossMm[surface] ?? null;
  return (FRONTS.includes(surface) ? traits.frontMm : null) ?? kindFacts(kind).acrossMm[surface] ?? null;
}
