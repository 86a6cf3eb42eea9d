import type { Schools } from '../../care/knowledge/index.js';
import { type PlaceKind, placeFacts } from '../knowledge/places.js';
import { homeCost, type Housed, litresOf, type PlaceClimate, roomOf, wantsAir } from './homeCost.js';
import type { Homes, HomesQuestion } from './problem.js';

/** Where what finds no room lives: set apart, each by itself. */
export const NOWHERE = 'nowhere';
/** A place has to suit this much better before a move is worth a word (our choice). */
const WORTH_MOVING = 3;
/** What finds no room costs more than any place there is; what is sick may be set apart outside of all of them. */
const NO_ROOM_COST = 60;
const SET_APART_COST = 6;

export type Household = { things: readonly Housed[]; places: readonly PlaceClimate[]; school: Schools['store'] };

const nowhereOf = ({ id }: Housed): string => `${NOWHERE}/${id}`;

/**
 * All things and all places at once. What lies somewhere may stay there, however full it is. What is sick lives alone, in a
 * place that is empty now: nobody clears a cabinet for it, and it is the sick thing that leaves the others.
 */
export function householdQuestion({ things, places, school }: Household): HomesQuestion {
  const mayLiveIn = (t: Housed, p: PlaceClimate) => {
    if (t.away && t.placeId !== null) return t.placeId === p.id;
    return !t.sick || things.every((o) => o === t || o.placeId !== p.id);
  };
  const lies = (p: PlaceClimate) => things.filter((t) => t.placeId === p.id).reduce((sum, t) => sum + litresOf(t), 0);
  const ownCosts = (t: Housed) =>
    places
      .filter((p) => mayLiveIn(t, p))
      .map((p): [string, number] => {
        const moves = t.placeId !== null && t.placeId !== p.id ? WORTH_MOVING : 0;
        return [p.id, homeCost(t, p, school) + moves];
      });
  return {
    things: things.map((t) => ({
      id: t.id,
      volumeL: litresOf(t),
      costs: Object.fromEntries([...ownCosts(t), [nowhereOf(t), t.sick ? SET_APART_COST : NO_ROOM_COST]]),
    })),
    places: [
      ...places.map((p) => ({ id: p.id, roomL: Math.max(roomOf(p), lies(p)) })),
      ...things.map((t) => ({ id: nowhereOf(t), roomL: litresOf(t) })),
    ],
    apart: things.flatMap((t, i) =>
      t.sick && places.some((p) => mayLiveIn(t, p))
        ? things.flatMap((other, j) => (j > i || (j < i && !other.sick) ? [[t.id, other.id] as const] : []))
        : [],
    ),
  };
}

/** Why a place suits a thing, as codes with their facts. */
export type HomeReason =
  | { says: 'air'; meanPct: number; below90Pct: number }
  | { says: 'never-measured' | 'wants-air-and-has-it' | 'wants-air-open-often' | 'alone-there' | 'makes-room' }
  | { says: 'room'; freeL: number }
  | { says: 'trade-off'; kind: PlaceKind };
/** The home of a thing: `placeId` is null where no place there is suits, and it is better set apart. */
export type Home = { placeId: string | null; stays: boolean; reasons: HomeReason[] };
/** A thing that would live better elsewhere, and by how much. `aside`: its new place is full until another has moved. */
export type Move = { thingId: string; fromId: string | null; toId: string | null; gain: number; aside: boolean };

/** What its air is, or that nobody knows. */
const airOf = ({ meanPct, highPct90 }: PlaceClimate): HomeReason =>
  meanPct === null ? { says: 'never-measured' } : { says: 'air', meanPct, below90Pct: highPct90 ?? 100 };

/** What speaks against a place, for whoever leaves it. */
export const againstPlace = (place: PlaceClimate): HomeReason =>
  placeFacts(place.kind).forTravel ? { says: 'trade-off', kind: place.kind } : airOf(place);

/** What each home stands on. @param freeL litres that are left once everything is home. */
function reasonsFor(thing: Housed, place: PlaceClimate, freeL: number, gain: number): HomeReason[] {
  const { kind } = place;
  return [
    ...(gain < 0 && !thing.sick ? [{ says: 'makes-room' as const }] : []),
    airOf(place),
    ...(wantsAir(thing) ? [{ says: placeFacts(kind).aired ? ('wants-air-and-has-it' as const) : ('wants-air-open-often' as const) }] : []),
    thing.sick ? { says: 'alone-there' as const } : { says: 'room' as const, freeL: Math.max(0, Math.floor(freeL)) },
    { says: 'trade-off' as const, kind },
  ];
}

/** What the best homes mean for each thing, and the moves that lead there. */
export function homesOf(household: Household, { homes }: Pick<Homes, 'homes'>): { homes: Map<string, Home>; moves: Move[] } {
  const { things, places, school } = household;
  const byId = new Map(places.map((p) => [p.id, p]));
  const placeOf = (id: string) => byId.get(homes[id]!) ?? null;
  const taken = new Map<string, number>();
  for (const t of things) taken.set(homes[t.id]!, (taken.get(homes[t.id]!) ?? 0) + litresOf(t));
  const gainOf = (t: Housed): number => {
    const [there, here] = [placeOf(t.id), t.placeId === null ? null : (byId.get(t.placeId) ?? null)];
    const cost = (p: PlaceClimate | null) => (p ? homeCost(t, p, school) : t.sick ? SET_APART_COST : NO_ROOM_COST);
    return cost(here) - cost(there);
  };
  return {
    homes: new Map(
      things.map((t): [string, Home] => {
        const home = placeOf(t.id);
        const reasons = home ? reasonsFor(t, home, roomOf(home) - taken.get(home.id)!, gainOf(t)) : [];
        return [t.id, { placeId: home?.id ?? null, stays: (home?.id ?? null) === t.placeId, reasons }];
      }),
    ),
    moves: inOrder(
      household,
      things.flatMap((t) => {
        const toId = placeOf(t.id)?.id ?? null;
        return toId === t.placeId ? [] : [{ thing: t, fromId: t.placeId, toId, gain: gainOf(t) }];
      }),
    ),
  };
}

type Planned = Omit<Move, 'thingId' | 'aside'> & { thing: Housed };

/** Those that gain most first, each once its new place has room for it; where all wait for each other, one is put aside. */
function inOrder({ things, places }: Household, planned: readonly Planned[]): Move[] {
  const lies = new Map(places.map((p) => [p.id, things.filter((t) => t.placeId === p.id)]));
  const litresIn = (own: readonly Housed[]) => own.reduce((sum, t) => sum + litresOf(t), 0);
  const roomIn = new Map(places.map((p) => [p.id, Math.max(roomOf(p), litresIn(lies.get(p.id)!))]));
  const fits = ({ thing, toId }: Planned): boolean => {
    if (toId === null) return true;
    const company = lies.get(toId)!;
    return litresIn(company) + litresOf(thing) <= roomIn.get(toId)! && (thing.sick ? company.length === 0 : !company.some((t) => t.sick));
  };
  // What is sick leaves the others before anything else.
  const waiting = planned.toSorted((a, b) => Number(b.thing.sick) - Number(a.thing.sick) || b.gain - a.gain);
  const moves: Move[] = [];
  while (waiting.length > 0) {
    const first = Math.max(0, waiting.findIndex(fits));
    const [next] = waiting.splice(first, 1);
    const { thing, ...move } = next!;
    moves.push({ thingId: thing.id, ...move, aside: !fits(next!) });
    if (move.fromId !== null)
      lies.set(
        move.fromId,
        (lies.get(move.fromId) ?? []).filter((t) => t !== thing),
      );
    if (move.toId !== null) lies.get(move.toId)!.push(thing);
  }
  return moves;
}

/** What one more place would be, as it is usual for its kind until it is measured. */
export const MORE_PLACES = [
  { id: 'more/sealed-box', kind: 'sealed-box', volumeL: 40, gelG: 300, meanPct: 42, highPct90: 50 },
  { id: 'more/dry-cabinet', kind: 'dry-cabinet', volumeL: 80, gelG: null, meanPct: 45, highPct90: 50 },
] as const;
export type MorePlace = (typeof MORE_PLACES)[number];

/** The household with one more place in it. */
export const withOneMore = (household: Household, { id, kind, volumeL, meanPct, highPct90 }: MorePlace): Household => ({
  ...household,
  places: [...household.places, { id, name: id, kind, volumeL, meanPct, highPct90, level: 'safe', disputed: false }],
});
/**
 * How many things would live in one more place, where that is worth a word; null where it is not. What is sick wants a bag,
 * no cabinet; and nothing is bought for what lies where nothing was measured, or where hygrometers disagree.
 */
export function broughtBy({ id }: MorePlace, { things, places }: Household, before: Homes, after: Homes): number | null {
  const unknown = new Set(places.filter((p) => p.meanPct === null || p.disputed).map((p) => p.id));
  const well = things.filter((t) => !t.sick && after.homes[t.id] === id && !unknown.has(t.placeId ?? '')).length;
  return well > 0 && before.cost - after.cost >= WORTH_MOVING ? well : null;
}
