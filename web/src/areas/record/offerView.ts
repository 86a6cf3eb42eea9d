import { record } from '@bright-keeper/core';
import { chosenOf } from '../../ui/choices';

export const WHERE_WORDS: Record<record.SeenWhere, string> = {
  outside: 'On the front or rear, outside',
  front: 'Just behind the front or rear',
  deep: 'Deep among the lenses',
  unsure: 'I cannot tell',
};
export const HOW_WORDS: Record<record.SeenHow, string> = {
  'few-threads': 'A few thin threads at the rim',
  web: 'A web over part of it',
  dense: 'Dense, or dull patches beneath',
  unsure: 'I cannot tell',
};
export const HANDS_WORDS: Record<record.WhoseHands, string> = {
  workshop: 'A workshop',
  practised: 'Mine: I have opened lenses',
  'first-time': 'Mine: it would be my first',
};
export const END_WORDS: Record<record.OfferEnd['end'], string> = {
  clean: 'comes off without a trace',
  mark: 'leaves a mark',
  etched: 'the glass is etched',
  harmed: 'the opening does harm',
};
export const DEPTH_WORDS: Record<record.OfferEnd['depth'], string> = { outside: 'outside', oneRing: 'behind one ring', deeper: 'deeper' };

/** What is typed: its label, and what is taken of it while nothing is; of the prices nothing is, since nobody knows them. */
export const SUMS = {
  clean: { label: 'What a clean one costs', usual: null },
  asked: { label: 'What is asked for this one', usual: null },
  wipe: { label: 'Cleaning it outside', usual: 5 },
  ring: { label: 'Opening one ring', usual: 30 },
  deep: { label: 'Opening it deeper', usual: 120 },
} as const;
export type SumId = keyof typeof SUMS;
export const SUM_IDS = Object.keys(SUMS) as SumId[];
const MOST = 1_000_000;

export type OfferView = {
  where: record.SeenWhere;
  how: record.SeenHow;
  hands: record.WhoseHands;
  /** Null until both prices are told. */
  answer: OfferAnswer | null;
};
export type OfferAnswer = { offer: record.Offer; clean: number; asked: number; chanceOfLoss: number; verdict: Verdict };

export type Verdict = 'buy' | 'bold' | 'leave';
/** Whether the price asked is bearable: within what loses one time in four; above it but below its average worth; or above that. */
const verdictOf = ({ boldestPrice, worth }: record.Offer, asked: number): Verdict =>
  asked <= boldestPrice ? 'buy' : asked <= worth ? 'bold' : 'leave';

/** A lens with a mark brings this share of a clean one, and with etched glass this one (our choice). */
const MARKED_SHARE = 0.7;
const ETCHED_SHARE = 0.25;

/** All that is said of an offer in the address, and what follows from it. */
export function offerViewFrom(params: URLSearchParams): OfferView {
  const sumOf = (id: SumId): number | null => {
    const typed = params.get(id);
    const value = typed === null || typed.trim() === '' ? NaN : Number(typed);
    return value >= 0 && value <= MOST ? value : SUMS[id].usual;
  };
  const where = chosenOf<record.SeenWhere>(record.SEEN_WHERE, params.get('where'), 'unsure');
  const how = chosenOf<record.SeenHow>(record.SEEN_HOW, params.get('how'), 'unsure');
  const hands = chosenOf<record.WhoseHands>(record.WHOSE_HANDS, params.get('hands'), 'workshop');
  const [clean, asked] = [sumOf('clean'), sumOf('asked')];
  if (clean === null || asked === null) return { where, how, hands, answer: null };
  const offer = record.offerFor({
    cleanValue: clean,
    markedShare: MARKED_SHARE,
    etchedShare: ETCHED_SHARE,
    costs: { outside: sumOf('wipe')!, oneRing: sumOf('ring')!, deeper: sumOf('deep')! },
    lies: record.SEEN_WHERE[where],
    comesOff: record.SEEN_HOW[how],
    harm: record.WHOSE_HANDS[hands],
  });
  const answer = { offer, clean, asked, chanceOfLoss: record.chanceOfLoss(offer, asked), verdict: verdictOf(offer, asked) };
  return { where, how, hands, answer };
}
