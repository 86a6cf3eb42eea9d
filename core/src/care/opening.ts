import { kindFacts, withDefaults, type Depth, type ItemKind } from './kinds/index.js';
import { commonPractice, ourChoice, type Basis } from './knowledge/basis.js';
import type { HazardId } from './knowledge/hazards.js';
import { natureOf, type Severity, type Soil } from './soils/index.js';
import type { Traits } from './knowledge/traits.js';
import { filterBars, isWorthReaching, openingBar, type Bar } from './reach.js';

export const EXPERIENCES = ['none', 'some', 'this-type'] as const;
/** Never opened a lens; opened others; opened this type before. */
export type Experience = (typeof EXPERIENCES)[number];

export type OpeningQuestion = {
  item: { kind: ItemKind; traits: Traits };
  soil: Soil;
  severity: Severity;
  /** Null while its owner has not answered: nothing is advised on a guess. */
  depth: Depth | null;
  experience: Experience | null;
};

/** What speaks for or against, as a code with its facts; sums are in the keeper's currency. */
export type OpeningReason =
  | { says: 'barred'; bar: Bar }
  | { says: 'deeper' | 'filter-first' | 'ask-a-price' | 'write-down-worth' }
  | { says: 'answer-first'; open: ('depth' | 'experience')[] }
  /** The first ring is undone on a lens that may be spoilt. */
  | { says: 'practise-first'; value: number | null; practice: number }
  | { says: 'damage' | 'hardly-shows'; soil: Soil }
  | { says: 'service-is-less' | 'service-is-more'; servicePrice: number; value: number; keepApart: boolean }
  | { says: 'odds'; odds: number }
  | { says: 'loss'; loss: number; servicePrice: number | null; isMore: boolean };

export type OpeningAdvice = {
  advice: 'answer-first' | 'free-filter' | 'open' | 'service' | 'accept';
  /** It may not be opened by its owner at all, whatever it is worth. */
  forbidden: boolean;
  /** The chance that it goes well, 0 to 1; null where opening is out of the question. */
  odds: number | null;
  /** What going wrong costs on average: the value times the chance of spoiling it; null without a value. */
  expectedLoss: number | null;
  reasons: OpeningReason[];
  cautions: HazardId[];
  basis: Basis;
};

/** The chance that one ring is undone, the faces cleaned, and all of it goes back as it was (our choice). */
const ODDS: Record<Exclude<Depth, 'deeper'>, Record<Experience, number>> = {
  'front-group': { none: 0.7, some: 0.85, 'this-type': 0.95 },
  'rear-group': { none: 0.6, some: 0.8, 'this-type': 0.92 },
};

/** What a lens to practise on may be worth, in the keeper’s currency (our choice: the price of an evening out). */
const PRACTICE_WORTH = 50;

type Verdict = Pick<OpeningAdvice, 'advice' | 'reasons'>;
type Answered = OpeningQuestion & { depth: Depth; experience: Experience };

/** Worth a workshop's bench or one's own: fungus always, the rest from where it costs contrast or stops a part. */
const grave = ({ soil, severity }: OpeningQuestion): boolean => isWorthReaching(soil, severity);

/** Not opening: a workshop where it is worth its price, else live with it. */
function handOverOrAccept(question: OpeningQuestion): Verdict {
  const { value, servicePrice } = question.item.traits;
  const { soil } = question;
  if (!grave(question)) return { advice: 'accept', reasons: [{ says: natureOf(soil) === 'damage' ? 'damage' : 'hardly-shows', soil }] };
  if (value == null || servicePrice == null) return { advice: 'service', reasons: [{ says: 'ask-a-price' }] };
  const sums = { servicePrice, value, keepApart: soil === 'fungus' };
  return servicePrice < value
    ? { advice: 'service', reasons: [{ says: 'service-is-less', ...sums }] }
    : { advice: 'accept', reasons: [{ says: 'service-is-more', ...sums }] };
}

/** A first-timer undoes a first ring on a practice lens and on nothing else. */
function practiseFirst(question: Answered): Verdict | null {
  const value = question.item.traits.value ?? null;
  if (question.experience !== 'none' || !grave(question) || (value !== null && value <= PRACTICE_WORTH)) return null;
  const { advice, reasons } = handOverOrAccept(question);
  return { advice, reasons: [{ says: 'practise-first', value, practice: PRACTICE_WORTH }, ...reasons] };
}

/** Money is weighed only where it is known; the odds alone never say no to one ring. */
function weigh(question: OpeningQuestion, odds: number, expectedLoss: number | null): Verdict {
  const servicePrice = question.item.traits.servicePrice ?? null;
  const chance: OpeningReason = { says: 'odds', odds };
  if (!grave(question)) return handOverOrAccept(question);
  if (expectedLoss === null) return { advice: 'open', reasons: [chance, { says: 'write-down-worth' }] };
  const isMore = servicePrice !== null && servicePrice < expectedLoss;
  return { advice: isMore ? 'service' : 'open', reasons: [chance, { says: 'loss', loss: expectedLoss, servicePrice, isMore }] };
}

const BAR_CAUTIONS: Partial<Record<Bar, HazardId>> = { radioactive: 'radioactive-glass', flash: 'flash-capacitor' };

/** “Go” rests on answers, never on what stood there before anybody gave one. */
function answerFirst({ depth, experience }: OpeningQuestion): OpeningAdvice {
  const open = [...(depth === null ? (['depth'] as const) : []), ...(experience === null ? (['experience'] as const) : [])];
  return {
    advice: 'answer-first',
    forbidden: false,
    odds: null,
    expectedLoss: null,
    reasons: [{ says: 'answer-first', open }],
    cautions: [],
    basis: commonPractice,
  };
}

/** Kept shut, by what the thing is or by how deep it lies: hand it over, or live with it. */
function keepShut(question: OpeningQuestion, because: OpeningReason, cautions: HazardId[]): OpeningAdvice {
  const { advice, reasons } = handOverOrAccept(question);
  return { advice, forbidden: true, odds: null, expectedLoss: null, reasons: [because, ...reasons], cautions, basis: commonPractice };
}

/**
 * Should the owner undo one ring and clean behind it, hand the thing over, or live with it? By depth, design,
 * experience, value and service price. Opening is for mechanical things one ring deep; the owner takes the risk.
 * A filter that is stuck on comes off before anything else is asked of the front.
 */
export function adviseOpening(question: OpeningQuestion): OpeningAdvice {
  const { kind } = question.item;
  const traits = withDefaults(kind, question.item.traits);
  const bar = openingBar({ kind, traits });
  if (bar) return keepShut(question, { says: 'barred', bar }, BAR_CAUTIONS[bar] ? [BAR_CAUTIONS[bar]] : []);
  if (question.depth === 'deeper') return keepShut(question, { says: 'deeper' }, []);
  const cautions: HazardId[] = ['sharp-tip', ...(question.soil === 'fungus' ? (['mould'] as const) : [])];
  // Not told where it lies, a stuck filter still comes off first: the front is the way in nearly always.
  if (filterBars(traits, question.depth ?? 'front-group'))
    return {
      advice: 'free-filter',
      forbidden: false,
      odds: null,
      expectedLoss: null,
      reasons: [{ says: 'filter-first' }],
      cautions: [],
      basis: commonPractice,
    };
  const { depth, experience } = question;
  if (depth === null || experience === null) return answerFirst(question);
  const odds = ODDS[depth][experience];
  const expectedLoss = traits.value == null ? null : traits.value * (1 - odds);
  return {
    ...(practiseFirst({ ...question, depth, experience }) ?? weigh(question, odds, expectedLoss)),
    forbidden: false,
    odds,
    expectedLoss,
    cautions,
    basis: ourChoice('The odds are estimates, to make the weighing plain; the rules of what is never opened are common practice.'),
  };
}

/** Is opening a question at all for this kind? Where it is, the advice itself says no where it must. */
export const mayAskToOpen = (kind: ItemKind): boolean => kindFacts(kind).opening.by === 'owner';
