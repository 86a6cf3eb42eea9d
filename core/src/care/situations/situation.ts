import type { Basis } from '../knowledge/basis.js';
import type { HazardId } from '../knowledge/hazards.js';
import type { ItemKind } from '../kinds/index.js';
import type { Material, Tool } from '../knowledge/materials.js';
import type { Method } from '../knowledge/methods.js';
import type { Schools } from '../knowledge/schools.js';
import type { Severity, Soil } from '../soils/index.js';
import type { Surface } from '../knowledge/surfaces.js';
import type { Traits } from '../knowledge/traits.js';
import type { Answer, Outcome, Reading } from '../bench.js';
import type { RuleId } from '../rules/index.js';
import type { Conditions, Effort, OnHand, Place, Summary } from '../types.js';

type Thing = Method | Tool | Material;

/** What the answer to a situation has to hold. Everything that is given must be so. */
export type Claims = {
  /** Exactly these methods on a surface, in this order. */
  steps?: Partial<Record<Surface, readonly Method[]>>;
  /** The first methods on a surface, whatever follows. */
  begins?: Partial<Record<Surface, readonly Method[]>>;
  /** Somewhere among the steps on a surface. */
  does?: Partial<Record<Surface, readonly Method[]>>;
  /** Neither done this way nor with this, anywhere. */
  never?: readonly Thing[];
  /** Taken in hand somewhere. */
  uses?: readonly (Tool | Material)[];
  /** Worked on in this order. */
  order?: readonly Surface[];
  /** Nothing is done at all. */
  noSteps?: true;
  refuses?: readonly RuleId[];
  waits?: readonly Surface[];
  leaves?: readonly Surface[];
  handsOver?: readonly Surface[];
  renews?: readonly Surface[];
  /** What the whole plan comes to, in its one line. */
  comesTo?: Summary['says'];
  keepsAtHome?: true;
  offers?: readonly ('open-group' | 'lubricate')[];
  isolates?: boolean;
  missing?: readonly (Tool | Material)[];
  cautions?: readonly HazardId[];
  alsoLook?: readonly Surface[];
  /** Drops, sheets or swabs of a material in all. */
  amounts?: Partial<Record<Material, number>>;
  /** Words that are read somewhere in the answer, and words that are not. */
  says?: readonly string[];
  neverSays?: readonly string[];
};

/** What is tapped at the bench, one for each question it asks; every step is done as it comes. */
export type Tap = Answer | Reading | Effort;
export type AtTheBench = { taps: readonly Tap[]; ends: Partial<Record<Surface, Outcome>>; touches?: number; standsOn?: Method };

/** A situation of everyday practice in a keeper's words, with what a careful practitioner would answer. */
export type Situation = {
  id: string;
  told: string;
  thing: { kind: ItemKind; traits: Traits };
  found: readonly { surface: Surface; soil: Soil; severity: Severity }[];
  place: Place;
  conditions?: Conditions;
  schools?: Partial<Schools>;
  /** What there is; left out: everything. */
  drawer?: readonly OnHand[];
  must: Claims;
  bench?: AtTheBench;
  basis: Basis;
};
