/**
 * A lens that is offered, with growth in it: what it is worth clean, what it would bring as it is, and what may come of it. All
 * shares are chances between 0 and 1, all sums in one currency.
 */
export type OfferCase = {
  /** What a clean one costs. */
  cleanValue: number;
  /** What it brings with a mark that stays, and with glass that is etched: shares of the clean value. */
  markedShare: number;
  etchedShare: number;
  /** What opening and cleaning it costs where it lies outside, behind one ring, and deeper. */
  costs: { outside: number; oneRing: number; deeper: number };
  /** Where it lies: outside, else behind one ring, else deeper. The three make one. */
  lies: { outside: number; oneRing: number; deeper: number };
  /** How it comes off: without a trace, else with a mark, else etched. The three make one. */
  comesOff: { clean: number; mark: number; etched: number };
  /** How likely an opening does harm, at each depth; harmed, it is worth the etched share. */
  harm: { oneRing: number; deeper: number };
};

/** One way it may end: how likely, and what it is worth then, less what was spent on it. */
export type OfferEnd = { depth: Depth; end: 'clean' | 'mark' | 'etched' | 'harmed'; chance: number; worth: number };
const DEPTHS = ['outside', 'oneRing', 'deeper'] as const;
type Depth = (typeof DEPTHS)[number];

export type Offer = {
  /** Every end of the tree, the worst first; their chances make one. */
  ends: OfferEnd[];
  /** What it is worth on the average. */
  worth: number;
  /** Up to this price a loss is no likelier than one in four; below nothing where even a gift loses more often. */
  boldestPrice: number;
};

/** One in four is what many would bear (our choice). */
const BEARABLE = 0.25;
const isShare = (x: number): boolean => x >= 0 && x <= 1;
const makesOne = (all: Readonly<Record<string, number>>): boolean =>
  Object.values(all).every(isShare) && Math.abs(Object.values(all).reduce((sum, x) => sum + x, 0) - 1) < 1e-9;

function checkCase({ cleanValue, markedShare, etchedShare, costs, lies, comesOff, harm }: OfferCase): void {
  const refuse = (what: string) => {
    throw new RangeError(what);
  };
  if (!(cleanValue >= 0) || !Object.values(costs).every((c) => c >= 0)) refuse('values and costs: none negative');
  if (![markedShare, etchedShare, ...Object.values(harm)].every(isShare)) refuse('shares and chances: from 0 to 1');
  if (!makesOne(lies)) refuse('lies: three chances that make one');
  if (!makesOne(comesOff)) refuse('comesOff: three chances that make one');
}

/** The tree of what may come of a lens that is offered, as all its ends. */
function endsOf({ cleanValue, markedShare, etchedShare, costs, lies, comesOff, harm }: OfferCase): OfferEnd[] {
  const worthOf = { clean: 1, mark: markedShare, etched: etchedShare, harmed: etchedShare };
  return DEPTHS.flatMap((depth) => {
    const harmed = depth === 'outside' ? 0 : harm[depth];
    const ways = {
      clean: comesOff.clean * (1 - harmed),
      mark: comesOff.mark * (1 - harmed),
      etched: comesOff.etched * (1 - harmed),
      harmed,
    };
    return (Object.keys(ways) as (keyof typeof ways)[]).map((end) => ({
      depth,
      end,
      chance: lies[depth] * ways[end],
      worth: cleanValue * worthOf[end] - costs[depth],
    }));
  })
    .filter((end) => end.chance > 0)
    .sort((a, b) => a.worth - b.worth);
}

/**
 * What a lens with growth is worth to its buyer: where it lies by how it comes off by whether the opening goes well, each end
 * with its value less its cost; the average of all, and the price up to which a loss stays as likely as one in four.
 *
 * @throws RangeError naming the part that is no chance, or chances that do not make one.
 */
export function offerFor(offer: OfferCase): Offer {
  checkCase(offer);
  const ends = endsOf(offer);
  const worth = ends.reduce((sum, end) => sum + end.chance * end.worth, 0);
  let chance = 0;
  // Paid more than an end is worth, that end is a loss: up to the first end with which more than one in four would be.
  const boldest = ends.find((end) => (chance += end.chance) > BEARABLE + 1e-12);
  return { ends, worth, boldestPrice: boldest?.worth ?? 0 };
}

/** How likely a price loses money, 0 to 1: paid more than an end is worth, that end is a loss. */
export const chanceOfLoss = ({ ends }: Pick<Offer, 'ends'>, price: number): number =>
  ends.reduce((sum, end) => sum + (end.worth < price - 1e-9 ? end.chance : 0), 0);
