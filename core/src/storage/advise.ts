import { type AirLog, columnsOf, type Log } from '../air/index.js';
import type { AssessOptions } from '../fungus/index.js';
import { driedDesiccant, type FittedPlace, leakOf, type PlaceChange } from './place/index.js';
import { type Band, courseOf, type Figures, figuresOf, type Trial } from './whatIf.js';

/** One thing that could be changed by itself. */
export const CHANGE_IDS = [
  'dry-gel',
  'less-gel',
  'fewer-openings',
  'lower-set-point',
  'higher-set-point',
  'better-seal',
  'more-gel',
  'off-the-wall',
  'other-room',
  'dry-room',
  'electric',
] as const;
export type ChangeId = (typeof CHANGE_IDS)[number];

/** What each costs in trouble: a habit 1, an evening 2, a move 2.5, money and current 4 (our choice). */
const EFFORT: Record<ChangeId, number> = {
  'dry-gel': 1,
  'less-gel': 1,
  'fewer-openings': 1,
  'lower-set-point': 1,
  'higher-set-point': 1,
  'better-seal': 2,
  'more-gel': 2,
  'off-the-wall': 2.5,
  'other-room': 2.5,
  'dry-room': 4,
  electric: 4,
};

export type SingleChange = {
  id: ChangeId;
  /** The amount it is tried with: grams, per cent, kelvins; null where there is none. */
  amount: number | null;
  /** Another of the keeper's places, whose air it would stand in. */
  placeName: string | null;
  change: PlaceChange;
  /** The air it would stand in; null where that stays. */
  elsewhere: AirLog | null;
};

/** The other places whose air it might stand in. */
export type OtherRoom = { name: string; readings: Log };

/** The same air, nowhere damper than so. */
const capped = ({ humidityPct, ...rest }: AirLog, mostPct: number): AirLog => ({
  ...rest,
  humidityPct: humidityPct.map((pct) => Math.min(mostPct, pct)),
});

/** A room that is dried is held at this (common practice: a dehumidifier's usual setting). */
const DRIED_ROOM_PCT = 50;
/** As open as a shelf: neither seal nor gel does anything for it. */
export const OPEN_FROM_PER_DAY = 50;
/** A wall that cools it by less is not worth a move, K (our choice). */
const COLD_WALL_K = 0.5;
/** Gel is taken out in so many parts of what is there, down to none. */
const LESS_GEL_SHARES = [0.75, 0.5, 0.25, 0];

/** The single changes worth comparing (our choice of amounts: twice the gel, half the leak, half the openings, the middle of the band). */
export function singleChanges(
  { place, outside, weather = false, open = false }: Pick<Trial, 'place' | 'outside' | 'weather' | 'open'>,
  { lowPct, highPct }: Band,
  others: readonly OtherRoom[],
): SingleChange[] {
  const one = (id: ChangeId, amount: number | null, change: PlaceChange, more: Partial<SingleChange> = {}): SingleChange => ({
    id,
    amount,
    placeName: null,
    change,
    elsewhere: null,
    ...more,
  });
  const around = [
    ...(place.warmerC <= -COLD_WALL_K ? [one('off-the-wall', -place.warmerC, { warmerC: 0 })] : []),
    ...others.map((o) => one('other-room', null, {}, { elsewhere: columnsOf(o.readings), placeName: o.name })),
    // Nobody dries the weather: what stands in it is the room itself.
    weather
      ? one('dry-room', DRIED_ROOM_PCT, { setPointPct: DRIED_ROOM_PCT })
      : one('dry-room', DRIED_ROOM_PCT, {}, { elsewhere: capped(outside, DRIED_ROOM_PCT) }),
  ];
  const middle = Math.round((lowPct + highPct) / 2);
  if (place.setPointPct !== null) {
    const lower = Math.max(lowPct + 2, Math.min(middle, place.setPointPct) - 5);
    return [
      ...(lower < place.setPointPct ? [one('lower-set-point', Math.round(lower), { setPointPct: Math.round(lower) })] : []),
      ...(place.setPointPct < middle ? [one('higher-set-point', middle, { setPointPct: middle })] : []),
      ...around,
    ];
  }
  if (open || place.airChangesPerDay >= OPEN_FROM_PER_DAY) return around;
  const own = place.desiccant;
  const massG = Math.max(100, 2 * (own?.massG ?? 0));
  return [
    ...(own ? [one('dry-gel', own.massG, { desiccant: driedDesiccant(own.kind, own.massG) })] : []),
    ...(own ? LESS_GEL_SHARES.map((share) => lessGel(own, share)).map(({ amount, change }) => one('less-gel', amount, change)) : []),
    ...(place.openingsPerWeek > 0
      ? [one('fewer-openings', place.openingsPerWeek / 2, { openingsPerWeek: place.openingsPerWeek / 2 })]
      : []),
    one('better-seal', leakOf(place) / 2, { leakShare: 0.5 }),
    one('more-gel', massG, { desiccant: driedDesiccant('silica-gel', massG) }),
    one('electric', middle, { desiccant: null, setPointPct: middle }),
    ...around,
  ];
}

/** So many grams taken out, the rest as full as it is. */
function lessGel(own: NonNullable<FittedPlace['desiccant']>, share: number): Pick<SingleChange, 'change'> & { amount: number } {
  const left = Math.round(own.massG * share);
  return { amount: own.massG - left, change: { desiccant: left > 0 ? { ...own, massG: left } : null } };
}

/** How bad a result is: the time outside its band, and what the early warning has come to. Lower is better. */
export const badness = ({ above, end, below }: Pick<Figures, 'above' | 'below' | 'end'>): number =>
  above + below + Math.min(end.dose, 5) / 10;

/** In its band but for so much of the time, it needs nothing (our choice). */
const SELDOM = 0.1;
/** A change that leaves it outside its band more often than this has not helped (our choice). */
const STILL_OUTSIDE = 0.25;
/** It has to be this much better to be worth a word. */
const NOTABLE = 0.05;

export type TriedChange = { change: SingleChange; result: Figures; /** How much better, for its trouble. */ worth: number };
/**
 * What helps most. `nothing-needed`: it is where it should be. `helps`: what brings it there by itself, best for its
 * trouble first. `nothing-helps`: no single change does; the nearest is told, and that it is not enough.
 */
export type ChangeAdvice =
  { verdict: 'nothing-needed' } | { verdict: 'helps'; changes: TriedChange[] } | { verdict: 'nothing-helps'; nearest: TriedChange | null };

/** Is it where it should be, neither too damp nor too dry? It needs no model to say so. */
export const needsNothing = ({ above, below, level }: Figures): boolean => above <= SELDOM && below <= SELDOM && level === 'safe';

/** Ranks every single change by what it is worth for its trouble. `now` are the figures it is held against. */
export function adviseChange(
  now: Figures,
  trial: Trial,
  band: Band,
  options: AssessOptions,
  others: readonly OtherRoom[] = [],
): ChangeAdvice {
  if (needsNothing(now)) return { verdict: 'nothing-needed' };
  const plain: Trial = { ...trial, ends: [] };
  const tried = singleChanges(plain, band, others).map((change): TriedChange => {
    const { air } = courseOf(plain, change.change, change.elsewhere ?? trial.outside);
    const result = figuresOf(air, band, options);
    return { change, result, worth: (badness(now) - badness(result)) / EFFORT[change.id] };
  });
  const better = ({ result }: TriedChange) => badness(now) - badness(result);
  const helping = tried.filter((t) => t.result.above <= STILL_OUTSIDE && t.result.below <= STILL_OUTSIDE && better(t) >= NOTABLE);
  if (helping.length > 0) return { verdict: 'helps', changes: bestOfEach(helping.sort((a, b) => b.worth - a.worth)) };
  const nearest = tried.sort((a, b) => badness(a.result) - badness(b.result))[0] ?? null;
  return { verdict: 'nothing-helps', nearest: nearest && better(nearest) >= NOTABLE ? nearest : null };
}

/** Of one change in several amounts the best is enough. */
const bestOfEach = (ranked: readonly TriedChange[]): TriedChange[] =>
  ranked.filter((t, i) => t.change.placeName !== null || ranked.findIndex((o) => o.change.id === t.change.id) === i);
