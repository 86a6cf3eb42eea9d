import type { KeptOffer } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import { chosenOf, withChoice } from '../../ui/choices';

export const TROUBLE_WORDS: Record<record.OfferTrouble, string> = {
  fungus: 'Fungus',
  haze: 'Haze',
  stiffness: 'It turns stiffly',
  marks: 'Marks on the glass',
};
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
  veil: 'A thin veil, seen by the torch alone',
  thick: 'Milky without a torch',
  stiff: 'Stiff all the way round',
  jerky: 'In jerks, or dry in places',
  stuck: 'It does not turn',
  'cleaning-marks': 'Fine marks from wiping',
  'coating-worn': 'The coating is worn or spotted',
  'deep-scratch': 'A scratch a nail feels',
  unsure: 'I cannot tell',
};
/** What a look at the counter does first, for each. */
export const GUIDE: Record<record.OfferTrouble, string> = {
  fungus: 'Caps off, aperture wide open, a torch from behind and then aslant: threads that branch are growth. Breathe on nothing.',
  haze: 'Aperture wide open, a torch aslant through it: a veil that lights up evenly is haze, and nobody sees it by daylight.',
  stiffness: 'Turn it slowly from end to end, once, without force; then the aperture: snaps it shut at once?',
  marks: 'A lamp aslant over the front, then the rear: marks on the rear show sooner than any on the front.',
};
export const HANDS_WORDS: Record<record.WhoseHands, string> = {
  workshop: 'A workshop',
  practised: 'Mine: I have opened lenses',
  'first-time': 'Mine: it would be my first',
};
type Ends = Record<record.OfferEnd['end'], string>;
const GLASS: Ends = {
  clean: 'comes off without a trace',
  mark: 'leaves a mark',
  etched: 'the glass is etched',
  harmed: 'the opening does harm',
};
export const END_WORDS: Record<record.OfferTrouble, Ends> = {
  fungus: GLASS,
  haze: GLASS,
  stiffness: { clean: 'turns as new', mark: 'stays a little stiff', etched: 'its thread is worn out', harmed: 'the opening does harm' },
  marks: {
    clean: 'was a film and comes off',
    mark: 'stays, and lowers the price',
    etched: 'shows in pictures',
    harmed: 'the opening does harm',
  },
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

/** One's own odds, of 100: how they are asked for, by what is wrong. */
export const ODDS = {
  clean: (trouble: record.OfferTrouble) => `Of 100 like it: ${END_WORDS[trouble].clean}`,
  mark: (trouble: record.OfferTrouble) => `Of 100 like it: ${END_WORDS[trouble].mark}`,
  harm: () => 'Of 100 openings: harm is done',
} as const;
export type OddsId = keyof typeof ODDS;
export const ODDS_IDS = Object.keys(ODDS) as OddsId[];
const oddsKey = (id: OddsId): string => `of-${id}`;

export type OfferView = Omit<record.OfferSeen, 'sums'> & {
  /** All that is needed to say anything; null until both prices are told. */
  seen: record.OfferSeen | null;
  answer: OfferAnswer | null;
};
export type OfferAnswer = { offer: record.Offer; clean: number; asked: number; chanceOfLoss: number; verdict: record.OfferVerdict };

/** What an offer comes to, by what is seen of it. */
export function answerOf(seen: record.OfferSeen): OfferAnswer {
  const { clean, asked } = seen.sums;
  const offer = record.offerFor(record.offerCaseOf(seen));
  return { offer, clean, asked, chanceOfLoss: record.chanceOfLoss(offer, asked), verdict: record.offerVerdict(offer, asked) };
}

const within = (typed: string | null, most: number): number | null => {
  const value = typed === null || typed.trim() === '' ? NaN : Number(typed);
  return value >= 0 && value <= most ? value : null;
};

/** All that is said of an offer in the address, and what follows from it. */
export function offerViewFrom(params: URLSearchParams): OfferView {
  const sumOf = (id: SumId): number | null => within(params.get(id), MOST) ?? SUMS[id].usual;
  const trouble = chosenOf<record.OfferTrouble>(record.OFFER_TROUBLES, params.get('trouble'), 'fungus');
  const where = chosenOf<record.SeenWhere>(record.SEEN_WHERE, params.get('where'), 'unsure');
  const how = chosenOf<record.SeenHow>(record.waysOf(trouble) as Record<record.SeenHow, unknown>, params.get('how'), 'unsure');
  const hands = chosenOf<record.WhoseHands>(record.WHOSE_HANDS, params.get('hands'), 'workshop');
  const own = Object.fromEntries(
    ODDS_IDS.flatMap((id) => {
      const told = within(params.get(oddsKey(id)), 100);
      return told === null ? [] : [[id, told]];
    }),
  ) as record.OwnOdds;
  const sums = Object.fromEntries(SUM_IDS.map((id) => [id, sumOf(id)])) as Record<SumId, number | null>;
  const seen = sums.clean === null || sums.asked === null ? null : { trouble, where, how, hands, own, sums: sums as record.OfferSums };
  return { trouble, where, how, hands, own, seen, answer: seen && answerOf(seen) };
}

/** The odds as they stand: one's own, or ours, of 100. */
export function oddsNow({ trouble, how, hands, own }: Omit<OfferView, 'seen' | 'answer'>): Record<OddsId, number> {
  const { comesOff, harm } = record.offerCaseOf({
    trouble,
    how,
    hands,
    own,
    where: 'unsure',
    sums: { clean: 0, asked: 0, wipe: 0, ring: 0, deep: 0 },
  });
  const of100 = (share: number) => Math.round(share * 100);
  return { clean: of100(comesOff.clean), mark: of100(comesOff.mark), harm: of100(harm.deeper) };
}

/** The address with one of one's own odds in it. */
export const withOdds = (params: URLSearchParams, id: OddsId, of100: number): URLSearchParams =>
  withChoice(params, oddsKey(id), String(of100));
/** The address with our odds again. */
export const withOurOdds = (params: URLSearchParams): URLSearchParams =>
  ODDS_IDS.reduce((all, id) => withChoice(all, oddsKey(id), null), params);

/** An offer that is kept, as its address. */
export function addressOf({ id, trouble, where, how, hands, sums, own }: KeptOffer): string {
  const params = new URLSearchParams({ offer: id, trouble, where, how, hands });
  for (const sum of SUM_IDS) params.set(sum, String(sums[sum]));
  for (const odds of ODDS_IDS) if (own[odds] !== undefined) params.set(oddsKey(odds), String(own[odds]));
  return `/offer?${params.toString()}`;
}
