import type { Soil, Surface } from '../care/knowledge/index.js';
import type { OfferCase } from './offer.js';

/** Where it seems to lie, from the outside with a torch, and how likely each depth then is (our choice). */
export const SEEN_WHERE = {
  outside: { outside: 0.9, oneRing: 0.08, deeper: 0.02 },
  front: { outside: 0.1, oneRing: 0.7, deeper: 0.2 },
  deep: { outside: 0.02, oneRing: 0.18, deeper: 0.8 },
  unsure: { outside: 0.2, oneRing: 0.4, deeper: 0.4 },
} as const satisfies Record<string, OfferCase['lies']>;
export type SeenWhere = keyof typeof SEEN_WHERE;

/** How likely an opening does harm, by whose hands (our choice). */
export const WHOSE_HANDS = {
  workshop: { oneRing: 0.01, deeper: 0.03 },
  practised: { oneRing: 0.04, deeper: 0.12 },
  'first-time': { oneRing: 0.15, deeper: 0.4 },
} as const satisfies Record<string, OfferCase['harm']>;
export type WhoseHands = keyof typeof WHOSE_HANDS;

/**
 * What is wrong with what is offered, by how it shows: how likely it goes without a trace, leaves something, or has done harm
 * for good (our choice). Where it lies is asked unless it lies in one place.
 */
export const OFFER_TROUBLES = {
  fungus: {
    how: {
      'few-threads': { clean: 0.75, mark: 0.2, etched: 0.05 },
      web: { clean: 0.45, mark: 0.35, etched: 0.2 },
      dense: { clean: 0.2, mark: 0.4, etched: 0.4 },
      unsure: { clean: 0.5, mark: 0.3, etched: 0.2 },
    },
    lies: null,
  },
  haze: {
    how: {
      veil: { clean: 0.65, mark: 0.25, etched: 0.1 },
      thick: { clean: 0.35, mark: 0.4, etched: 0.25 },
      unsure: { clean: 0.5, mark: 0.3, etched: 0.2 },
    },
    lies: null,
  },
  stiffness: {
    how: {
      stiff: { clean: 0.8, mark: 0.15, etched: 0.05 },
      jerky: { clean: 0.6, mark: 0.3, etched: 0.1 },
      stuck: { clean: 0.4, mark: 0.3, etched: 0.3 },
      unsure: { clean: 0.6, mark: 0.25, etched: 0.15 },
    },
    // A drop at an open thread seldom does; old grease is taken out with the thread in parts.
    lies: { outside: 0.15, oneRing: 0.15, deeper: 0.7 },
  },
  marks: {
    how: {
      'cleaning-marks': { clean: 0.05, mark: 0.9, etched: 0.05 },
      'coating-worn': { clean: 0, mark: 0.7, etched: 0.3 },
      'deep-scratch': { clean: 0, mark: 0.5, etched: 0.5 },
      unsure: { clean: 0.05, mark: 0.65, etched: 0.3 },
    },
    // What is worn does not come back by opening anything.
    lies: { outside: 1, oneRing: 0, deeper: 0 },
  },
} as const satisfies Record<string, { how: Record<string, OfferCase['comesOff']>; lies: OfferCase['lies'] | null }>;
export type OfferTrouble = keyof typeof OFFER_TROUBLES;
export type SeenHow = { [T in OfferTrouble]: keyof (typeof OFFER_TROUBLES)[T]['how'] }[OfferTrouble];
/** The ways one trouble may show. */
export const waysOf = (trouble: OfferTrouble): Readonly<Partial<Record<SeenHow, OfferCase['comesOff']>>> => OFFER_TROUBLES[trouble].how;

/** One's own odds in place of ours, of 100: how many come off without a trace, how many leave a mark, how many openings do harm. */
export type OwnOdds = { clean?: number; mark?: number; harm?: number };
export type OfferSums = { clean: number; asked: number; wipe: number; ring: number; deep: number };
/** What one sees of what is offered, and what it costs. */
export type OfferSeen = { trouble: OfferTrouble; where: SeenWhere; how: SeenHow; hands: WhoseHands; sums: OfferSums; own: OwnOdds };

/** A lens with a mark brings this share of a clean one, and with harm for good this one (our choice). */
const MARKED_SHARE = 0.7;
const ETCHED_SHARE = 0.25;

function comesOffOf({ trouble, how, own }: OfferSeen): OfferCase['comesOff'] {
  const { clean, mark } = waysOf(trouble)[how] ?? OFFER_TROUBLES[trouble].how.unsure;
  const ownClean = own.clean === undefined ? clean : own.clean / 100;
  const ownMark = Math.min(own.mark === undefined ? mark : own.mark / 100, 1 - ownClean);
  return { clean: ownClean, mark: ownMark, etched: Math.max(0, 1 - ownClean - ownMark) };
}

/** The tree of what may come of what one sees. */
export function offerCaseOf(seen: OfferSeen): OfferCase {
  const { trouble, where, hands, sums, own } = seen;
  const harm = WHOSE_HANDS[hands];
  return {
    cleanValue: sums.clean,
    markedShare: MARKED_SHARE,
    etchedShare: ETCHED_SHARE,
    // Nobody wipes at what is worn.
    costs: { outside: trouble === 'marks' ? 0 : sums.wipe, oneRing: sums.ring, deeper: sums.deep },
    lies: OFFER_TROUBLES[trouble].lies ?? SEEN_WHERE[where],
    comesOff: comesOffOf(seen),
    harm: own.harm === undefined ? harm : { oneRing: own.harm / 100, deeper: own.harm / 100 },
  };
}

type Seen = { surface: Surface; soil: Soil; severity: 1 | 2 | 3 | 4 };
const SEVERITY: Partial<Record<SeenHow, 1 | 2 | 3 | 4>> = {
  'few-threads': 1,
  veil: 2,
  stiff: 2,
  'cleaning-marks': 2,
  web: 3,
  thick: 3,
  jerky: 3,
  'coating-worn': 3,
  dense: 4,
  stuck: 4,
  'deep-scratch': 4,
};

/** What was seen of it before it was bought, as a look says it: of one surface, and no other was looked at. */
export function seenOf({ trouble, where, how }: Pick<OfferSeen, 'trouble' | 'where' | 'how'>): Seen {
  const severity = SEVERITY[how] ?? 2;
  switch (trouble) {
    case 'fungus':
      return where === 'outside'
        ? { surface: 'front-glass', soil: 'fungus-outside', severity }
        : { surface: 'inner-glass', soil: 'fungus', severity };
    case 'haze':
      return { surface: 'inner-glass', soil: 'haze', severity };
    case 'stiffness':
      return { surface: 'helicoid', soil: 'dried-grease', severity };
    case 'marks': {
      const soil = how === 'coating-worn' ? 'coating-damage' : how === 'deep-scratch' ? 'deep-scratch' : 'fine-scratch';
      return { surface: 'front-glass', soil, severity };
    }
    default:
      return trouble satisfies never;
  }
}

/** How a price stands: within what loses one time in four; above that but below its average worth; or above both. */
export type OfferVerdict = 'buy' | 'bold' | 'leave';
export const offerVerdict = ({ boldestPrice, worth }: { boldestPrice: number; worth: number }, asked: number): OfferVerdict =>
  asked <= boldestPrice ? 'buy' : asked <= worth ? 'bold' : 'leave';
