import { kindFacts, type Depth } from './kinds/index.js';
import { planCleaning } from './planCleaning.js';
import type { Soil } from './knowledge/soils.js';
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

export type ClosingStep = { stage: TeardownStage; number: number; how: string };

const turnsWords = (turns: number | null): string =>
  turns === null || turns === 0 ? '' : ` ${turns} ${turns === 1 ? 'turn' : 'turns'} in.`;

/** The stages in the order they go back: last off, first on, each with how it sat. */
export const closingOrder = (stages: readonly TeardownStage[]): ClosingStep[] =>
  [...stages].reverse().map((stage, i) => {
    const parts = [stage.parts, stage.screws].filter(Boolean).join('; ');
    const mark = stage.mark ? ` ${stage.mark}` : '';
    return { stage, number: i + 1, how: `Put back: ${stage.what}.${parts ? ` ${parts}.` : ''}${mark}${turnsWords(stage.turns)}` };
  });

/** The first stage that has to go back next; null when all is closed. */
export const nextToClose = (stages: readonly TeardownStage[]): TeardownStage | null => [...stages].reverse().find((s) => !s.closed) ?? null;

const RING_FIRST: Record<Depth, string> = {
  'front-group': 'Front ring only. Set focus to infinity first and mark where the ring sat before you turn it.',
  'rear-group': 'Rear ring only. Mark with a pencil where the ring sat against the barrel before you turn it.',
  deeper: 'One ring is where you stop: what lies deeper is a workshop’s.',
};

/** Before the first ring is touched, at every depth. */
export function beforeOpening(depth: Depth): string[] {
  return [
    'A tray with a rim, a lamp, a phone for photographs, a spanner wrench or rubber cup that fits; for a ring without slots, a cup of the right size with putty at its rim. No wrench that slips.',
    'Hardened small screwdrivers, and eyes and fingers out of the way of the tip.',
    'A photograph before each stage. Keep parts in the order they came off, each the way up it sat.',
    'Grub screws are loosened, not taken out. Stop at the first doubt: closing again costs nothing.',
    RING_FIRST[depth],
  ];
}

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
