import { commonPractice, type Basis } from '../knowledge/basis.js';
import type { ItemKind } from '../kinds/index.js';
import type { Material, Tool } from '../knowledge/materials.js';
import type { Schools } from '../knowledge/schools.js';
import type { Severity, Soil } from '../soils/index.js';
import type { Surface } from '../knowledge/surfaces.js';
import type { Traits } from '../knowledge/traits.js';
import type { Conditions, OnHand } from '../types.js';
import type { AtTheBench, Claims, Situation } from './situation.js';

export type Found = readonly [Surface, Soil, Severity];
type More = {
  /** Outdoors, in this weather. */
  out?: Conditions;
  schools?: Partial<Schools>;
  drawer?: readonly (Tool | Material | OnHand)[];
  bench?: AtTheBench;
  basis?: Basis;
};

/** A row of the book: who it is, as it is told, the thing, what was found, what must be answered, and what else holds. */
export const row = (
  id: string,
  told: string,
  thing: ItemKind | [ItemKind, Traits],
  found: readonly Found[],
  must: Claims,
  { out, schools, drawer, bench, basis = commonPractice }: More = {},
): Situation => ({
  id,
  told,
  thing: typeof thing === 'string' ? { kind: thing, traits: {} } : { kind: thing[0], traits: thing[1] },
  found: found.map(([surface, soil, severity]) => ({ surface, soil, severity })),
  place: out ? 'field' : 'home',
  ...(out ? { conditions: out } : {}),
  ...(schools ? { schools } : {}),
  ...(drawer ? { drawer: drawer.map((d) => (typeof d === 'string' ? { id: d } : d)) } : {}),
  must,
  ...(bench ? { bench } : {}),
  basis,
});
