import { surfacesOf, type ItemKind } from './kinds/index.js';
import { happeningFacts, type HappeningId } from './knowledge/happenings.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import type { Traits } from './knowledge/traits.js';
import type { Finding } from './types.js';

/** What weather and sand meet of a closed thing. */
const OUTSIDE: readonly Surface[] = [
  'hood-outside',
  'barrel',
  'zoom-ring',
  'focus-ring',
  'body-shell',
  'grip-rubber',
  'leather-covering',
  'dials',
  'screen',
  'propellers',
  'gimbal',
];

/** The face that light, and a finger, meets first; undefined where nothing but shell looks outward. */
const frontOf = (own: readonly Surface[]): Surface | undefined =>
  own.find((s) => familyOf(s) === 'glass' && !surfaceFacts(s).nearOpening && s !== 'viewfinder-window' && s !== 'eye-lens');

/** What weather, spray and sand meet of a thing that was out: its front, and the shell it was closed in. */
export function metOutdoors(kind: ItemKind, traits: Traits): Surface[] {
  const own = surfacesOf(kind, traits);
  const front = frontOf(own);
  return [...(front ? [front] : []), ...OUTSIDE.filter((s) => own.includes(s))];
}

/** Where water stands first when it got in. */
const INSIDE: readonly Surface[] = ['battery-bay', 'inner-glass', 'port-inside'];

function metAt(where: 'front' | 'outside' | 'inside', kind: ItemKind, traits: Traits): Surface[] {
  const own = surfacesOf(kind, traits);
  if (where === 'outside') return metOutdoors(kind, traits);
  if (where === 'inside') return own.filter((s) => INSIDE.includes(s));
  const front = frontOf(own);
  return front ? [front] : [];
}

/** What something that happened outdoors leaves on a thing: where a later look expects it. Empty where it leaves nothing. */
export function carriedHome(kind: ItemKind, traits: Traits, happening: HappeningId): Finding[] {
  const { leaves } = happeningFacts(happening);
  if (!leaves) return [];
  const met = metAt(leaves.on, kind, traits);
  return met.map((surface) => ({ surface, soil: leaves.soil, severity: leaves.severity }));
}
