import { kindFacts, type ItemKind } from '../../care/kinds/index.js';
import type { Schools, Traits } from '../../care/knowledge/index.js';
import type { RiskLevel } from '../../fungus/index.js';
import { placeFacts, type PlaceKind } from '../knowledge/places.js';

/** What is known of a place when a home is looked for. `meanPct` is null where too little was measured to say. */
export type PlaceClimate = {
  id: string;
  name: string;
  kind: PlaceKind;
  volumeL: number;
  meanPct: number | null;
  highPct90: number | null;
  level: RiskLevel;
  /** Its hygrometers disagree, and which is right is not known. */
  disputed: boolean;
};

/** A thing that needs a home: `sick`, it has fungus or is in quarantine for it; `placeId`, where it lies now. */
export type Housed = {
  id: string;
  kind: ItemKind;
  /** How many equal ones the line stands for; one unless said. */
  count?: number;
  traits: Traits;
  sick: boolean;
  placeId: string | null;
  /** On loan or at a workshop: it moves nowhere, and its place is kept for it. */
  away?: boolean;
  /** On so many days of a year it is taken out. */
  daysOutAYear: number;
};

export const wantsAir = ({ traits }: Pick<Housed, 'traits'>): boolean => !!traits.rubberisedCoating;
const isLeather = ({ traits }: Pick<Housed, 'traits'>): boolean => !!traits.leatherCovered || !!traits.leatherCase;

const PREFERRED: Record<Schools['store'], readonly PlaceKind[]> = {
  'by-climate': [],
  'aired-shelf': ['shelf', 'cupboard'],
  'sealed-box': ['sealed-box'],
  'dry-cabinet': ['dry-cabinet'],
};
const LEVEL_COST: Record<RiskLevel, number> = { safe: 0, watch: 6, act: 12 };
/** Nobody is sent where nothing is known of the air, unless there is no other way. */
const UNMEASURED_COST = 5;
/** Leather dries out where glass is well. */
const DRY_BELOW_PCT = 35;
const LEATHER_DRY_BELOW_PCT = 42;
/** So many minutes of reaching for it weigh as much as one step of the rest. */
const MINUTES_A_STEP = 20;
/** What one takes to reach for a thing and put it back there, minutes. */
const REACH_MIN: Record<PlaceKind, number> = {
  shelf: 0.2,
  cupboard: 0.5,
  'dry-cabinet': 0.5,
  'sealed-box': 1.5,
  'soft-bag': 0.5,
  'hard-case': 1,
};

/** How ill a place suits a thing; the less the better, and every weight of it is our choice. */
export function homeCost(thing: Pick<Housed, 'traits' | 'daysOutAYear'>, place: PlaceClimate, school: Schools['store']): number {
  const { kind, meanPct, highPct90, level } = place;
  const facts = placeFacts(kind);
  const unknown = meanPct === null ? UNMEASURED_COST : 0;
  const damp = Math.max(0, (highPct90 ?? 55) - 55) / 5;
  const dry = Math.max(0, (isLeather(thing) ? LEATHER_DRY_BELOW_PCT : DRY_BELOW_PCT) - (meanPct ?? 45)) / 4;
  const stale = facts.forTravel ? 8 : wantsAir(thing) && !facts.aired ? 4 : 0;
  const dusty = kind === 'shelf' ? 1 : 0;
  const liked = PREFERRED[school].includes(kind) ? -3 : 0;
  const reach = (thing.daysOutAYear * REACH_MIN[kind]) / MINUTES_A_STEP;
  return LEVEL_COST[level] + unknown + damp + dry + stale + dusty + liked + reach;
}

/** How much of a place may be filled, so that air still moves between the things (our choice). */
const FILLED_SHARE = 0.6;
/** The room a thing takes, litres; of several equal ones on a line, that of all of them. */
export const litresOf = ({ kind, count = 1 }: Pick<Housed, 'kind' | 'count'>): number => kindFacts(kind).litres * count;
/** The litres of a place that may be filled. */
export const roomOf = ({ volumeL }: Pick<PlaceClimate, 'volumeL'>): number => volumeL * FILLED_SHARE;
