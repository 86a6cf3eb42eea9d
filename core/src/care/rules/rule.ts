import type { Basis } from '../knowledge/basis.js';
import type { Material, Tool } from '../knowledge/materials.js';
import type { Method } from '../knowledge/methods.js';
import type { Surface } from '../knowledge/surfaces.js';
import { holds, natureOf, type Content, type SoilNature } from '../soils/index.js';
import type { Context, Contraband, Finding } from '../types.js';

/** One way to clean one surface, as it is put before the rules. */
export type Candidate = {
  surface: Surface;
  method: Method;
  tool: Tool | null;
  /** Everything that would touch the surface: fluid, wipe, or what people reach for in need. */
  materials: readonly (Material | Contraband)[];
  /** What lies on this surface now. */
  findings: readonly Finding[];
  /** The rungs below it that are climbed first. */
  after: readonly Method[];
};

/**
 * A rule is a record: what it is about, where it is from, and the one function that says whether it rules the candidate
 * out. What it says of a surface stands in `words`, so that a page may tell of a refusal without all that refuses.
 */
export type Rule<Id extends string = string> = {
  id: Id;
  title: string;
  basis: Basis;
  /** What people say for it when they search. */
  words?: readonly string[];
  forbids: (candidate: Candidate, context: Context) => boolean;
};

/** Keeps the id literal, so that all rule ids form a closed union. */
export const rule = <const Id extends string>(record: Rule<Id>): Rule<Id> => record;

/** Does something of one of these natures lie there? */
export const lies = ({ findings }: Pick<Candidate, 'findings'>, ...natures: SoilNature[]): boolean =>
  findings.some((f) => f.severity > 0 && natures.includes(natureOf(f.soil)));
/** Does something lie there that holds one of these? */
export const liesWith = ({ findings }: Candidate, ...contents: Content[]): boolean =>
  findings.some((f) => f.severity > 0 && contents.some((c) => holds(f.soil, c)));
/** Do loose hard grains lie there? */
export const grainsLie = ({ findings }: Candidate): boolean =>
  findings.some((f) => f.severity > 0 && natureOf(f.soil) === 'loose' && holds(f.soil, 'grains'));
