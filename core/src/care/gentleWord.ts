import { soilFacts } from './soils/index.js';
import type { Finding } from './types.js';

/** Touches of one surface over twelve months, beside what its peers had. */
export type TouchRecord = {
  touches: number;
  /** Cleanings that touched it though no more than a trace was seen. */
  withoutEvidence: number;
  /** Touches of the same surface on each other thing of the same kind, over the same months. */
  peers: readonly number[];
};

/** Too few peers say nothing, and nor do peers that nobody touched. */
const FEWEST_PEERS = 3;
/** Twice the usual, and at least this many, before a word is said (our choice). */
const NOTABLE_TOUCHES = 6;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = sorted.length / 2;
  return sorted.length % 2 === 1 ? sorted[Math.floor(mid)]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
};

/** What is said of a surface: touched for nothing, or far more often than its peers usually are. */
export type GentleWord =
  { word: 'for-no-more-than-a-trace'; times: number } | { word: 'more-than-its-peers'; touches: number; usual: number };

/**
 * A gentle word when a surface is cleaned without evidence or far more often than its peers; null when there is
 * nothing to say. Never a reproach: each touch is a small wear, and leaving it is a good deed.
 */
export function gentleWord({ touches, withoutEvidence, peers }: TouchRecord): GentleWord | null {
  if (withoutEvidence > 0) return { word: 'for-no-more-than-a-trace', times: withoutEvidence };
  if (peers.length < FEWEST_PEERS || touches < NOTABLE_TOUCHES) return null;
  const usual = median(peers);
  return usual < 1 || touches < 2 * usual ? null : { word: 'more-than-its-peers', touches, usual };
}

/** Was no more than a trace seen of everything that was cleaned here, less than is worth a touch? */
export const isWithoutEvidence = (findings: readonly Pick<Finding, 'soil' | 'severity'>[]): boolean =>
  findings.every((f) => f.severity < soilFacts(f.soil).actFrom);
