/** Why a thing is the household's no more. */
export const GONE_REASONS = ['sold', 'given-away', 'lost', 'stolen', 'broken'] as const;
export type GoneReason = (typeof GONE_REASONS)[number];

/** Why and on which day it went, and the sum that came for it: its price, or what an insurer paid. */
export type Gone = { why: GoneReason; on: string; for: number | null };

/** What an insurer asks about: its papers are kept. */
export const isForTheInsurer = (why: GoneReason): boolean => why === 'lost' || why === 'stolen' || why === 'broken';
/** A sum may come for it; nobody pays for a gift. */
export const bringsMoney = (why: GoneReason): boolean => why !== 'given-away';
