import type { Surface } from '../knowledge/surfaces.js';
import type { TraitId, Traits } from '../knowledge/traits.js';
import type { LookManner } from './lookManner.js';
import type { LineId } from './lines.js';
import type { Section } from './section.js';
import type { Work } from './work.js';

/** How far in the dirt lies: behind one retaining ring, or deeper. */
export const DEPTHS = ['front-group', 'rear-group', 'deeper'] as const;
export type Depth = (typeof DEPTHS)[number];

/**
 * Why nobody but a workshop opens a thing: it holds a charge, its front was centred on a bench, a glued battery lies
 * behind its back, a shutter sits between its rings, or there is no ring to undo.
 */
export const OPENING_BARS = ['flash', 'centred-front', 'lithium-inside', 'shutter-inside', 'nothing-behind-a-ring'] as const;
export type OpeningBar = (typeof OPENING_BARS)[number];

/** Who may open a thing: its owner, by the rings that lay these faces bare, or a workshop only. */
export type Opening = { by: 'owner'; rings: Record<Exclude<Depth, 'deeper'>, Surface> } | { by: 'workshop'; bar: OpeningBar };

/** What the year or another trait sets where nobody touched the trait; the last that holds counts. */
export type Preset = {
  [T in TraitId]: { trait: T; value: NonNullable<Traits[T]>; when: (traits: Traits) => boolean; why: string };
}[TraitId];

/** A line of what to do before or after the work, for which work, and whether it is said of work outdoors, too. */
export type Line = { line: LineId; when: (work: Work) => boolean; outdoors?: true };

export type SurfaceEntry = Surface | { surface: Surface; when: (traits: Traits) => boolean };

/**
 * A kind of thing, whole: one record in one file, listed once in `index.ts`. A part that is left out does not
 * compile; what types cannot see (a face without a size, a surface that is not drawn) fails `checkKind`.
 */
export type Kind = {
  name: string;
  plural: string;
  presets: readonly Preset[];
  /** It is looked through and takes no picture itself. */
  lookedThrough?: true;
  /** In the order light meets them, then the shell from front to back. */
  surfaces: readonly SurfaceEntry[];
  /** How far across its glass is, mm, where nobody said: fluid goes by size. */
  acrossMm: Partial<Record<Surface, number>>;
  /** How much room it takes where it is kept, litres, with air around it (our choice). */
  litres: number;
  /** Relations of the working order that are this kind's own: the left one is cleaned before the right one. */
  before: readonly (readonly [Surface, Surface])[];
  opening: Opening;
  prepare: readonly Line[];
  close: readonly Line[];
  /** Where it is looked at unlike others with the same surface. */
  looks: Partial<Record<Surface, Partial<LookManner>>>;
  section: (traits: Traits) => Section;
};

export const only = (surface: Surface, when: (traits: Traits) => boolean): SurfaceEntry => ({ surface, when });
