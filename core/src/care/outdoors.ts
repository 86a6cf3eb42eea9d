import { surfacesOf, type ItemKind } from './kinds/index.js';
import { happeningFacts, type HappeningId } from './knowledge/happenings.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import type { Traits } from './knowledge/traits.js';
import type { Finding } from './types.js';

/** What weather and sand meet of a closed thing. */
const OUTSIDE: readonly Surface[] = ['hood-outside', 'barrel', 'zoom-ring', 'focus-ring', 'body-shell', 'grip-rubber', 'dials', 'screen'];

/** The face that light, and a finger, meets first; undefined where nothing but shell looks outward. */
const frontOf = (own: readonly Surface[]): Surface | undefined =>
  own.find((s) => familyOf(s) === 'glass' && !surfaceFacts(s).nearOpening && s !== 'viewfinder-window' && s !== 'eye-lens');

/** What something that happened outdoors leaves on a thing: where a later look expects it. Empty where it leaves nothing. */
export function carriedHome(kind: ItemKind, traits: Traits, happening: HappeningId): Finding[] {
  const { leaves } = happeningFacts(happening);
  if (!leaves) return [];
  const own = surfacesOf(kind, traits);
  const front = frontOf(own);
  const met = [...(front ? [front] : []), ...(leaves.on === 'outside' ? OUTSIDE.filter((s) => own.includes(s)) : [])];
  return met.map((surface) => ({ surface, soil: leaves.soil, severity: leaves.severity }));
}
