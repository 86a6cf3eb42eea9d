import { commonPractice, ourChoice, type Basis } from './knowledge/basis.js';
import type { HazardId } from './knowledge/hazards.js';
import { withDefaults, type ItemKind } from './knowledge/kinds.js';
import { SOILS, type Severity, type Soil } from './knowledge/soils.js';
import type { Traits } from './knowledge/traits.js';

/** How far in the dirt lies: behind one retaining ring, or deeper. */
export const DEPTHS = ['front-group', 'rear-group', 'deeper'] as const;
export type Depth = (typeof DEPTHS)[number];
export const DEPTH_NAMES: Record<Depth, string> = {
  'front-group': 'behind the front group',
  'rear-group': 'behind the rear group',
  deeper: 'deeper than one ring',
};

export const EXPERIENCES = ['none', 'some', 'this-type'] as const;
/** Never opened a lens; opened others; opened this type before. */
export type Experience = (typeof EXPERIENCES)[number];

export type OpeningQuestion = {
  item: { kind: ItemKind; traits: Traits };
  soil: Soil;
  severity: Severity;
  depth: Depth;
  experience: Experience;
};

export type OpeningAdvice = {
  advice: 'open' | 'service' | 'accept';
  /** It may not be opened by its owner at all, whatever it is worth. */
  forbidden: boolean;
  /** The chance that it goes well, 0 to 1; null where opening is out of the question. */
  odds: number | null;
  /** What going wrong costs on average: the value times the chance of spoiling it; null without a value. */
  expectedLoss: number | null;
  reasons: string[];
  cautions: HazardId[];
  basis: Basis;
};

/** The chance that one ring is undone, the faces cleaned, and all of it goes back as it was (our choice). */
const ODDS: Record<Depth, Record<Experience, number>> = {
  'front-group': { none: 0.7, some: 0.85, 'this-type': 0.95 },
  'rear-group': { none: 0.6, some: 0.8, 'this-type': 0.92 },
  deeper: { none: 0.15, some: 0.35, 'this-type': 0.65 },
};

/** What a person may open at all: glass and metal, no flash and no electronics near. */
const MECHANICAL: readonly ItemKind[] = ['lens', 'teleconverter', 'eyepiece', 'binocular', 'viewfinder-loupe'];
/** What is worth reaching for; the rest inside a lens is harmless. */
const WORTH_REACHING: readonly Soil[] = ['fungus', 'haze', 'oil', 'internal-dust'];
/** Below even odds the weighing is not worth doing (our choice). */
const SENSIBLE_ODDS = 0.5;

type Verdict = Pick<OpeningAdvice, 'advice' | 'reasons'>;

/** What the rules forbid outright, as a reason; null when nothing does. */
function forbiddenBecause({ kind, traits }: OpeningQuestion['item']): string | null {
  const own = withDefaults(kind, traits);
  if (own.radioactiveGlass) return 'Suspected radioactive glass is never opened or ground.';
  if (own.popupFlash || !MECHANICAL.includes(kind))
    return 'A body, or anything with a flash, holds a charge that can kill long after the battery is out. It is never opened by its owner.';
  if (own.electronicContacts)
    return 'Flat cables and sensors sit behind the rings of an electronic lens: they tear, and it must be set up anew.';
  return null;
}

const grave = ({ soil, severity }: OpeningQuestion): boolean => soil === 'fungus' || (severity >= 3 && WORTH_REACHING.includes(soil));

/** Not opening: a workshop where it is worth its price, else live with it. */
function handOverOrAccept(question: OpeningQuestion): Verdict {
  const { value, servicePrice } = question.item.traits;
  const { name } = SOILS[question.soil];
  const keepApart = question.soil === 'fungus' ? ' Keep it apart from the rest for good.' : '';
  if (!grave(question))
    return { advice: 'accept', reasons: [`This little ${name} hardly shows: note it, and look again in three months.`] };
  if (value == null || servicePrice == null)
    return { advice: 'service', reasons: ['Ask a workshop for a price and weigh it against what the thing is worth to you.'] };
  return servicePrice < value
    ? { advice: 'service', reasons: [`A service for ${servicePrice} is less than the ${value} it is worth.`] }
    : { advice: 'accept', reasons: [`A service for ${servicePrice} costs more than the ${value} it is worth.${keepApart}`] };
}

function weigh(question: OpeningQuestion, odds: number, expectedLoss: number | null): Verdict {
  const { servicePrice } = question.item.traits;
  const inTen = Math.round(odds * 10);
  const chance = `${inTen} in 10 such openings go well at this experience.`;
  if (!grave(question)) return handOverOrAccept(question);
  if (odds < SENSIBLE_ODDS) {
    const { advice, reasons } = handOverOrAccept(question);
    return { advice, reasons: [`Only ${chance}`, ...reasons] };
  }
  if (expectedLoss === null)
    return { advice: 'open', reasons: [chance, 'Write down what it is worth and what a service costs to weigh them.'] };
  if (servicePrice != null && servicePrice < expectedLoss) {
    return {
      advice: 'service',
      reasons: [chance, `On average a spoilt one costs ${Math.round(expectedLoss)}; the service asks ${servicePrice}.`],
    };
  }
  const against = servicePrice == null ? '' : ` against ${servicePrice} for the service`;
  return { advice: 'open', reasons: [chance, `On average a spoilt one costs ${Math.round(expectedLoss)}${against}.`] };
}

/**
 * Should the owner undo one ring and clean behind it, hand the thing over, or live with it? By depth, design,
 * experience, value and service price. Opening is for mechanical things one ring deep; the owner takes the risk.
 */
export function adviseOpening(question: OpeningQuestion): OpeningAdvice {
  const forbidden = forbiddenBecause(question.item);
  if (forbidden) {
    const { advice, reasons } = handOverOrAccept(question);
    const cautions: HazardId[] = question.item.traits.radioactiveGlass
      ? ['radioactive-glass']
      : MECHANICAL.includes(question.item.kind)
        ? []
        : ['flash-capacitor'];
    return { advice, forbidden: true, odds: null, expectedLoss: null, reasons: [forbidden, ...reasons], cautions, basis: commonPractice };
  }
  const odds = ODDS[question.depth][question.experience];
  const { value } = question.item.traits;
  const expectedLoss = value == null ? null : value * (1 - odds);
  return {
    ...weigh(question, odds, expectedLoss),
    forbidden: false,
    odds,
    expectedLoss,
    cautions: ['sharp-tip', ...(question.soil === 'fungus' ? (['mould'] as const) : [])],
    basis: ourChoice('The odds are estimates, to make the weighing plain; the rules of what is never opened are common practice.'),
  };
}
