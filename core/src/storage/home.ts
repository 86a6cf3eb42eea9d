import { kindFacts, type ItemKind } from '../care/kinds/index.js';
import type { Schools, Traits } from '../care/knowledge/index.js';
import type { RiskLevel } from '../fungus/index.js';
import { placeFacts, type PlaceKind } from './knowledge/places.js';

/** What is known of a place when a home is looked for. `meanPct` is null where nothing was measured. */
export type PlaceClimate = {
  id: string;
  name: string;
  kind: PlaceKind;
  meanPct: number | null;
  highPct90: number | null;
  level: RiskLevel;
  /** Litres that are still free, with what lives there counted by its kind; left out, there is room. */
  freeL?: number;
  /** What lives there now, by id. */
  lives?: readonly { id: string; sick: boolean }[];
};
/** Why a place suits a thing, as codes with their facts. */
export type HomeReason =
  | { says: 'air'; meanPct: number; below90Pct: number }
  | { says: 'never-measured' | 'wants-air-and-has-it' | 'wants-air-open-often' | 'alone-there' }
  | { says: 'room'; freeL: number }
  | { says: 'trade-off'; kind: PlaceKind };
export type HomeAdvice = { placeId: string; reasons: HomeReason[] };

/** `sick`: it has fungus, or is in quarantine for it. `id` tells it from the others where it lies. */
type Thing = { id?: string; kind: ItemKind; traits: Traits; sick?: boolean };

const wantsAir = ({ traits }: Thing): boolean => !!traits.rubberisedCoating;
const PREFERRED: Record<Schools['store'], readonly PlaceKind[]> = {
  'by-climate': [],
  'aired-shelf': ['shelf', 'cupboard'],
  'sealed-box': ['sealed-box'],
  'dry-cabinet': ['dry-cabinet'],
};
const LEVEL_COST: Record<RiskLevel, number> = { safe: 0, watch: 6, act: 12 };

/** How ill a place suits a thing; the less the better (our choice of weights). */
function cost(thing: Thing, { kind, meanPct, highPct90, level }: PlaceClimate, school: Schools['store']): number {
  const facts = placeFacts(kind);
  const damp = Math.max(0, (highPct90 ?? 60) - 55) / 5;
  const dry = Math.max(0, 35 - (meanPct ?? 45)) / 5;
  const stale = facts.forTravel ? 8 : wantsAir(thing) && !facts.aired ? 4 : 0;
  const dusty = kind === 'shelf' ? 1 : 0;
  const liked = PREFERRED[school].includes(kind) ? -3 : 0;
  return LEVEL_COST[level] + damp + dry + stale + dusty + liked;
}

const companyOf = ({ id }: Thing, { lives = [] }: PlaceClimate) => lives.filter((l) => id === undefined || l.id !== id);

/**
 * May it live there at all? A thing with fungus lives alone, and nothing moves in with one; and there has to be room
 * for it, unless it lies there already.
 */
function mayLiveIn(thing: Thing, place: PlaceClimate): boolean {
  const company = companyOf(thing, place);
  if (thing.sick ? company.length > 0 : company.some((c) => c.sick)) return false;
  const liesThere = company.length < (place.lives ?? []).length;
  return liesThere || place.freeL === undefined || place.freeL >= kindFacts(thing.kind).litres;
}

function reasonsFor(thing: Thing, { kind, meanPct, highPct90, freeL }: PlaceClimate): HomeReason[] {
  const reasons: HomeReason[] = [meanPct === null ? { says: 'never-measured' } : { says: 'air', meanPct, below90Pct: highPct90 ?? 100 }];
  if (wantsAir(thing)) reasons.push({ says: placeFacts(kind).aired ? 'wants-air-and-has-it' : 'wants-air-open-often' });
  if (thing.sick) reasons.push({ says: 'alone-there' });
  else if (freeL !== undefined) reasons.push({ says: 'room', freeL: Math.max(0, Math.floor(freeL)) });
  return [...reasons, { says: 'trade-off', kind }];
}

/** The place that suits a thing best, and why; null where there is none it may live in. */
export function recommendHome(thing: Thing, places: readonly PlaceClimate[], school: Schools['store']): HomeAdvice | null {
  const ranked = places
    .filter((p) => mayLiveIn(thing, p))
    .sort((a, b) => cost(thing, a, school) - cost(thing, b, school) || a.name.localeCompare(b.name));
  const best = ranked[0];
  if (!best) return null;
  return { placeId: best.id, reasons: reasonsFor(thing, best) };
}

/** A place has to suit this much better before a move is worth a word (our choice). */
const WORTH_MOVING = 3;

/** A clearly better home than the place it lies in; null when it may stay. */
export function betterHome(thing: Thing, placeId: string, places: readonly PlaceClimate[], school: Schools['store']): HomeAdvice | null {
  const here = places.find((p) => p.id === placeId);
  const home = recommendHome(thing, places, school);
  const there = places.find((p) => p.id === home?.placeId);
  if (!here || !home || !there) return home;
  // Whoever may not stay moves whatever the air is like.
  if (!mayLiveIn(thing, here)) return home;
  return cost(thing, here, school) - cost(thing, there, school) >= WORTH_MOVING ? home : null;
}

/** How much of a place may be filled, so that air still moves between the things (our choice). */
const FILLED_SHARE = 0.6;

/** The litres that are still free in a place of this volume with these things in it. */
export const freeLitres = (volumeL: number, things: readonly { kind: ItemKind }[]): number =>
  volumeL * FILLED_SHARE - things.reduce((sum, t) => sum + kindFacts(t.kind).litres, 0);
