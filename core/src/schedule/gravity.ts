/**
 * What it costs to wait, the gravest first: it spreads to others, it does lasting harm, it grows worse or harder to
 * undo, it spoils pictures, or it is the routine that keeps all of these away.
 */
export const GRAVITIES = ['spreads', 'harms', 'worsens', 'spoils', 'routine'] as const;
export type Gravity = (typeof GRAVITIES)[number];

/** What a day late costs of each, on one scale (our choice: each about three times the next). */
export const GRAVITY_WEIGHT: Readonly<Record<Gravity, number>> = { spreads: 100, harms: 30, worsens: 10, spoils: 3, routine: 1 };

const RANKS = Object.fromEntries(GRAVITIES.map((gravity, rank) => [gravity, rank])) as Record<Gravity, number>;
export const gravityRank = (gravity: Gravity): number => RANKS[gravity];
