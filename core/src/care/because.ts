import type { Material, Tool, ToolRole } from './knowledge/materials.js';
import type { Soil } from './soils/index.js';
import type { Surface } from './knowledge/surfaces.js';
import type { Bar, InsideReach } from './reach.js';
import type { RuleId } from './rules/index.js';

/** A thing the drawer does not have, or has in no fit state. */
export type Lack = { thing: Tool | Material } & (
  | { reason: 'not-in-drawer' }
  | { reason: 'not-clean' }
  | { reason: 'kept-for'; role: ToolRole; surface: Surface }
  /** Every swab on hand is wider than the sensor. */
  | { reason: 'swab-too-wide' }
);

/** What an end at the bench says of a surface, whatever else is known of it. */
export type BenchEnd = { reason: (typeof BENCH_ENDS)[number] };

const BENCH_ENDS = ['film-left', 'lies-deeper', 'is-damage', 'did-not-come-off', 'shutter-closed-on-it'] as const;
/** Was it said at the bench, of what was tried there? It stands until somebody looks again. */
export const isBenchEnd = ({ reason }: Because): boolean => (BENCH_ENDS as readonly string[]).includes(reason);

/**
 * Why something is left, cleaned, kept apart, handed over, put off, refused or missing: a code with its facts, so
 * that it can be kept and sent. The sentence is made in `words`, which has one for every code.
 */
export type Because =
  | { reason: 'nothing-found' }
  /** So much of it is worth a touch where it lies; so little may stay. */
  | { reason: 'worth-a-touch' | 'little-enough'; soil: Soil; surface: Surface }
  | { reason: 'after-every-outing' }
  | { reason: 'behind-stuck-filter' }
  /** Told where it was measured: from which f-number on it shows in a picture. */
  | { reason: 'damage'; soil: Soil; surface?: Surface; grave: boolean; showsFrom?: number }
  /** Nothing so large on the front can show at the focal length and apertures in use. */
  | { reason: 'never-shows'; soil: Soil; sizeMm: number; focalMm: number; fNumber: number }
  /** Telescope mirrors. */
  | { reason: 'worth-a-wash'; soil?: Soil; surface?: Surface }
  | { reason: 'coat-anew'; soil: Soil; surface: Surface }
  | { reason: 'washing-costs-silver' }
  /** A soil that nobody wrote of on such a surface. */
  | { reason: 'not-known-there'; soil: Soil; surface: Surface }
  /** It lies there, and its own record says what becomes of it. */
  | { reason: 'workshop-takes-it' | 'lived-with' | 'renew' | 'no-water-may-stay' | 'salt-water-eats-on'; soil: Soil; surface: Surface }
  /** What else lies there comes after the state the whole thing is in. */
  | { reason: 'after-it-cleared' | 'after-it-dried'; soil: Soil; surface: Surface }
  /** What waits is not touched by what would take something else there. */
  | { reason: 'waits-with-the-rest'; soil: Soil; surface: Surface }
  | { reason: 'polishes-out' }
  /** Where an earlier version did not keep on which surface, `surface` is left out: here and below. */
  | { reason: 'passes'; soil: Soil; surface?: Surface }
  | { reason: 'growth'; soil: Soil; surface?: Surface }
  | { reason: 'mould-comes-off'; surface: Surface }
  | { reason: 'sticky-is-removed' | 'sticky-is-aired' }
  /** It lies inside, and who reaches it there. */
  | { reason: 'inside'; soil: Soil; surface?: Surface; reach: InsideReach }
  | { reason: 'little-inside'; soil: Soil; surface?: Surface }
  | { reason: 'thread-lies-open' }
  | { reason: 'not-reached-from-outside'; surface: Surface; reach: InsideReach }
  | { reason: 'corrosion-goes-deep' }
  | { reason: 'chamber-needs-a-workshop' | 'chamber-out-of-the-light' }
  | { reason: 'where-no-cloth-reaches' }
  | { reason: 'workshop-opens'; bar: Bar }
  | { reason: 'rule'; rule: RuleId; surface: Surface }
  | { reason: 'until-the-drawer-has'; lack: Lack }
  | { reason: 'no-gentle-way' }
  | { reason: 'finder-comes-with-it' | 'ring-may-leak' }
  | Lack
  | BenchEnd
  /** Kept by an earlier version of the program, which did not say why in a way that can still be told. */
  | { reason: 'decided-then' };

export type BecauseCode = Because['reason'];

/** Every code, once. */
export const BECAUSE_CODES = Object.keys({
  'nothing-found': true,
  'worth-a-touch': true,
  'little-enough': true,
  'after-every-outing': true,
  'behind-stuck-filter': true,
  damage: true,
  'never-shows': true,
  'worth-a-wash': true,
  'coat-anew': true,
  'not-known-there': true,
  'workshop-takes-it': true,
  'lived-with': true,
  renew: true,
  'no-water-may-stay': true,
  'salt-water-eats-on': true,
  'after-it-cleared': true,
  'after-it-dried': true,
  'waits-with-the-rest': true,
  'washing-costs-silver': true,
  'polishes-out': true,
  passes: true,
  growth: true,
  'mould-comes-off': true,
  'sticky-is-removed': true,
  'sticky-is-aired': true,
  inside: true,
  'little-inside': true,
  'thread-lies-open': true,
  'not-reached-from-outside': true,
  'corrosion-goes-deep': true,
  'chamber-needs-a-workshop': true,
  'chamber-out-of-the-light': true,
  'where-no-cloth-reaches': true,
  'workshop-opens': true,
  rule: true,
  'not-in-drawer': true,
  'not-clean': true,
  'kept-for': true,
  'swab-too-wide': true,
  'until-the-drawer-has': true,
  'no-gentle-way': true,
  'finder-comes-with-it': true,
  'ring-may-leak': true,
  'film-left': true,
  'lies-deeper': true,
  'is-damage': true,
  'did-not-come-off': true,
  'shutter-closed-on-it': true,
  'decided-then': true,
} satisfies Record<BecauseCode, true>) as BecauseCode[];
