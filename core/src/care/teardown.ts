import { kindFacts, type Depth } from './kinds/index.js';
import { planCleaning } from './planCleaning.js';
import type { Soil } from './soils/index.js';
import type { CleaningPlan, Finding, PlanRequest } from './types.js';

/** One thing undone while opening: what, what came off, and how it sat, so that it goes back the same way. */
export type TeardownStage = {
  id: string;
  what: string;
  parts: string;
  screws: string;
  /** Turns a ring or helicoid was unscrewed; null where nothing was turned. */
  turns: number | null;
  /** Which way it sat: marks, notches, what pointed where. */
  mark: string;
  hasPhoto: boolean;
  /** Put back again while closing. */
  closed: boolean;
};

/** Opening, or closing again. */
export type TeardownPhase = 'opening' | 'closing';

/** The stages in the order they go back: last off, first on. */
export const closingOrder = (stages: readonly TeardownStage[]): TeardownStage[] => [...stages].reverse();

/** The first stage that has to go back next; null when all is closed. */
export const nextToClose = (stages: readonly TeardownStage[]): TeardownStage | null => [...stages].reverse().find((s) => !s.closed) ?? null;

/** What lies on an exposed face is cleaned as glass that can be reached. */
const AS_REACHED: Partial<Record<Soil, Soil>> = { fungus: 'fungus-outside', haze: 'grease', oil: 'grease', 'internal-dust': 'dust' };

/**
 * The cleaning plan for the face that one ring lays bare: the ladder of glass, for what was seen inside.
 *
 * @throws RangeError for a kind that its owner does not open, and for what lies deeper than one ring.
 */
export function planExposedFace(
  request: Omit<PlanRequest, 'findings' | 'place'>,
  found: Omit<Finding, 'surface'>,
  depth: Depth,
): CleaningPlan {
  const { opening, name } = kindFacts(request.item.kind);
  if (opening.by !== 'owner' || depth === 'deeper') throw new RangeError(`depth ${depth}: no ring of a ${name} lays bare a face there`);
  return planCleaning({
    ...request,
    item: { kind: request.item.kind, traits: { ...request.item.traits, filterFitted: false, filterStuck: false } },
    place: 'home',
    findings: [{ surface: opening.rings[depth], soil: AS_REACHED[found.soil] ?? found.soil, severity: found.severity }],
  });
}
