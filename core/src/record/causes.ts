import { natureOf, type SoilNature, surfacesOf, type ItemKind, type Traits } from '../care/index.js';
import type { Soil, Surface } from '../care/knowledge/index.js';
import type { Exposure } from '../schedule/index.js';
import type { GroundId } from '../trip/index.js';
import { MS_PER_DAY } from '../units.js';
import { rateRatio, type RateRatio } from './rateRatio.js';

/** Dirt that comes in one way, by the nature of its soils. */
export const DIRTS = {
  loose: ['loose'],
  film: ['film'],
  spots: ['spot', 'soluble'],
  growth: ['growth'],
  corrosion: ['corrosion'],
} as const satisfies Record<string, readonly SoilNature[]>;
export type Dirt = keyof typeof DIRTS;
const DIRT_IDS = Object.keys(DIRTS) as Dirt[];
const isOf = (dirt: Dirt, soil: Soil): boolean => (DIRTS[dirt] as readonly SoilNature[]).includes(natureOf(soil));

/** A look that is over: the surfaces it answered, and what it found on them. Or a clean: the surfaces it left clean. */
export type SeenOrCleaned =
  | { ms: number; did: 'look'; seen: readonly Surface[]; found: readonly { surface: Surface; soil: Soil }[] }
  | { ms: number; did: 'clean'; clean: readonly Surface[] };
/** A thing with its looks and cleans, oldest first. */
export type Past = { id: string; kind: ItemKind; traits: Traits; entries: readonly SeenOrCleaned[] };

/** A time in which a dirt could come to a thing that was free of it: from when it was seen clean to the next look at the same. */
export type AtRisk = { itemId: string; dirt: Dirt; fromMs: number; toMs: number; found: boolean };

/** Every such time of a thing. What nobody saw clean is at no risk: nobody knows when it came. */
export function atRisk({ id, kind, traits, entries }: Past): AtRisk[] {
  const own = surfacesOf(kind, traits);
  return DIRT_IDS.flatMap((dirt) => {
    const cleanSince = new Map<Surface, number>();
    return entries.flatMap((entry): AtRisk[] => {
      if (entry.did === 'clean') {
        for (const surface of entry.clean) cleanSince.set(surface, entry.ms);
        return [];
      }
      const dirty = new Set(entry.found.filter(({ soil }) => isOf(dirt, soil)).map(({ surface }) => surface));
      const seen = entry.seen.filter((surface) => own.includes(surface));
      // Of surfaces that were seen clean at different times, all of them are since the last of these.
      const known = seen.filter((surface) => cleanSince.has(surface));
      const fromMs = Math.max(...known.map((surface) => cleanSince.get(surface)!));
      const risk =
        known.length > 0 && entry.ms > fromMs ? [{ itemId: id, dirt, fromMs, toMs: entry.ms, found: known.some((s) => dirty.has(s)) }] : [];
      for (const surface of seen)
        if (dirty.has(surface)) cleanSince.delete(surface);
        else cleanSince.set(surface, entry.ms);
      return risk;
    });
  });
}

/** What a thing went through: any outing, a kind of ground, what was met there, another thing it went with, or a place it lay in. */
export type Cause =
  | { is: 'out' }
  | { is: 'ground'; ground: GroundId }
  | { is: 'met'; met: Exposure }
  | { is: 'with'; itemId: string }
  | { is: 'place'; placeId: string };
export type WentThrough = { cause: Cause; itemId: string; fromMs: number; toMs: number };
const keyOf = (cause: Cause): string => JSON.stringify(cause);

type Arm = { found: number; looks: number; days: number };
/** What goes before a dirt: how often it was found after it, and how often else. */
export type Goes = { dirt: Dirt; cause: Cause; after: Arm; else: Arm } & RateRatio;
/** What is told, the surest first; how many pairs were weighed without one being told, and for how many there is too little. */
export type WhatGoesBefore = { told: Goes[]; weighed: number; tooFew: number };

/** So often it has to have been found after something, and so many looks there have to be in either: fewer say nothing (our choice). */
const LEAST_FOUND = 4;
const LEAST_LOOKS = 3;
const LEVEL = 0.95;

/** So much of an outing is told by its days alone: of a look in the morning of one it is not known to have been after it. */
const HALF_A_DAY_MS = MS_PER_DAY / 2;

/** What of one cause each thing went through. */
type Through = { cause: Cause; byItem: ReadonlyMap<string, readonly WentThrough[]> };

/** Half a day out there is out there; a place is one where it lay for half of the time at least. */
function wentThrough(risk: AtRisk, { cause, byItem }: Through): boolean {
  const shared = (byItem.get(risk.itemId) ?? [])
    .map((span) => Math.min(span.toMs, risk.toMs) - Math.max(span.fromMs, risk.fromMs))
    .filter((ms) => ms > 0);
  if (cause.is !== 'place') return shared.some((ms) => ms >= HALF_A_DAY_MS);
  return shared.reduce((sum, ms) => sum + ms, 0) >= (risk.toMs - risk.fromMs) / 2;
}

/** By cause, and within it by thing. */
function throughs(spans: readonly WentThrough[]): Through[] {
  const all = new Map<string, { cause: Cause; byItem: Map<string, WentThrough[]> }>();
  for (const span of spans) {
    const key = keyOf(span.cause);
    const there = all.get(key) ?? { cause: span.cause, byItem: new Map<string, WentThrough[]>() };
    all.set(key, there);
    const own = there.byItem.get(span.itemId);
    if (own) own.push(span);
    else there.byItem.set(span.itemId, [span]);
  }
  return [...all.values()];
}

const armOf = (risks: readonly AtRisk[]): Arm => ({
  found: risks.filter(({ found }) => found).length,
  looks: risks.length,
  days: risks.reduce((sum, { fromMs, toMs }) => sum + (toMs - fromMs), 0) / MS_PER_DAY,
});

/**
 * Which ground, place, or companion goes before which dirt, by one's own looks: how often it is found per day after it
 * against per day without. By days, so that whoever looks more often after an outing does not find more for that; out there
 * only of things that were out there at all, so that a lens is not compared with one that never leaves its cabinet. Of so
 * many pairs some would stand out by chance: the interval is widened for as many as were weighed (Bonferroni).
 */
export function whatGoesBefore(risks: readonly AtRisk[], spans: readonly WentThrough[]): WhatGoesBefore {
  const causes = throughs(spans);
  const told: Goes[] = [];
  let [weighed, tooFew] = [0, 0];
  for (const dirt of DIRT_IDS) {
    const own = risks.filter((risk) => risk.dirt === dirt);
    const pairs = causes.flatMap((through) => {
      const { cause, byItem } = through;
      const compared = cause.is === 'place' ? own : own.filter(({ itemId }) => byItem.has(itemId));
      const [after, otherwise]: [AtRisk[], AtRisk[]] = [[], []];
      for (const risk of compared) (wentThrough(risk, through) ? after : otherwise).push(risk);
      if (after.length === 0) return [];
      return [{ cause, after: armOf(after), else: armOf(otherwise) }];
    });
    const enough = pairs.filter(
      ({ after, else: other }) => after.found >= LEAST_FOUND && Math.min(after.looks, other.looks) >= LEAST_LOOKS,
    );
    tooFew += pairs.length - enough.length;
    weighed += enough.length;
    const level = 1 - (1 - LEVEL) / Math.max(1, enough.length);
    for (const pair of enough) {
      const ratio = rateRatio(pair.after, pair.else, level);
      if (ratio.low > 1) told.push({ dirt, ...pair, ...ratio });
    }
  }
  return { told: told.sort((a, b) => b.low - a.low), weighed, tooFew };
}
