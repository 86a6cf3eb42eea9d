import { familyOf } from '../knowledge/surfaces.js';
import type { Traits } from '../knowledge/traits.js';
import { type TraitId } from '../knowledge/traits.js';
import type { Kind, SurfaceEntry } from './kind.js';

const surfaceOf = (entry: SurfaceEntry) => (typeof entry === 'string' ? entry : entry.surface);
const isThere = (entry: SurfaceEntry, traits: Traits) => typeof entry === 'string' || entry.when(traits);

/** Traits that bring as many surfaces as possible, and as few. */
const extremes = (defaults: Traits): Traits[] => {
  const all = (on: boolean) => Object.fromEntries(Object.entries(defaults).map(([t, v]) => [t, typeof v === 'boolean' ? on : v]));
  return [defaults, all(true), all(false)];
};

/**
 * What a kind's record still lacks that types cannot see, in words for whoever adds one: a face of glass without a
 * size, a ring that lays bare no surface of its own, a surface that is not drawn exactly once. Empty when it is whole.
 *
 * @param defaults its traits, as the records of traits tell.
 */
export function checkKind(kind: Kind, defaults: Traits): string[] {
  const faults: string[] = [];
  const own = kind.surfaces.map(surfaceOf);
  if (kind.name === '' || kind.plural === '') faults.push('it wants a name and a plural');
  if (!(kind.litres > 0)) faults.push('litres must be above 0: a place runs out of room');
  if (new Set(own).size !== own.length) faults.push('a surface is listed twice');
  for (const surface of own)
    if (familyOf(surface) === 'glass' && kind.acrossMm[surface] === undefined) faults.push(`acrossMm lacks ${surface}: fluid goes by size`);
  if (kind.opening.by === 'owner')
    for (const face of Object.values(kind.opening.rings))
      if (!own.includes(face)) faults.push(`opening lays bare ${face}, which it does not have`);
  for (const [earlier, later] of kind.before)
    for (const surface of [earlier, later]) if (!own.includes(surface)) faults.push(`before names ${surface}, which it does not have`);
  const traitIds = Object.keys(defaults) as TraitId[];
  if (traitIds.length === 0) faults.push('no trait names it: write it into the kinds of those that matter for it');
  for (const { trait } of kind.presets) if (!traitIds.includes(trait)) faults.push(`a preset sets ${trait}, which is not among its traits`);
  for (const traits of extremes(defaults)) {
    const drawn = kind.section(traits).regions.map((r) => r.surface);
    const there = kind.surfaces.filter((e) => isThere(e, traits)).map(surfaceOf);
    for (const surface of there)
      if (drawn.filter((d) => d === surface).length !== 1)
        faults.push(`section draws ${surface} ${drawn.includes(surface) ? 'twice' : 'not at all'}`);
    for (const surface of drawn) if (!there.includes(surface)) faults.push(`section draws ${surface}, which such a thing does not have`);
  }
  return [...new Set(faults)];
}
