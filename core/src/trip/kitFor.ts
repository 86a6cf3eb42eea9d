import { CARRIED_IDS, carriedFacts, type CarriedId } from './knowledge/carried.js';
import { groundFacts, type GroundId, type Weather } from './grounds/index.js';
import { byHabit, type Habits } from './habits.js';
import { FIELD_NEED_IDS, FIELD_NEEDS, type FieldNeedId } from './knowledge/needs.js';
import { expectedLossWith, type Kit, type KitLimits, type KitNeed, type KitQuestion, packKit } from './packKit.js';

/** How one gets there: what carriers have rules about is packed with their word, or not at all. */
export const TRAVELS = ['own-way', 'flight', 'post'] as const;
export type Travel = (typeof TRAVELS)[number];

/** What an outing is like, as far as its kit hangs on it. */
export type OutingToCome = {
  grounds: readonly GroundId[];
  days: number;
  weather: readonly Weather[];
  travel: Travel;
  /** How one takes pictures, where outings were counted. */
  habits?: Habits | null;
};

/** More days than this need nothing else. */
export const MOST_DAYS = 60;

/** How likely something is needed on one day of a ground: whatever brings it there in this weather. */
function aDayOn(ground: GroundId, id: FieldNeedId, weather: readonly Weather[]): number {
  let spared = 1;
  for (const { need, aDay, in: only } of groundFacts(ground).risks)
    if (need === id && (only === undefined || weather.includes(only))) spared *= 1 - aDay;
  return 1 - spared;
}

/** How likely each thing is needed at least once: on every day anew, by the worst of the grounds one is on. */
export function needsOf({ grounds, days, weather, habits = null }: Omit<OutingToCome, 'travel'>): KitNeed[] {
  const many = Math.min(MOST_DAYS, Math.max(1, days));
  return FIELD_NEED_IDS.flatMap((id) => {
    const aDay = byHabit(id, Math.max(0, ...grounds.map((ground) => aDayOn(ground, id, weather))), habits);
    return aDay > 0 ? [{ id, likelihood: 1 - (1 - aDay) ** many, loss: FIELD_NEEDS[id].lossMin }] : [];
  });
}

/** May it be packed, however one travels? Flammable fluid goes neither by air nor by post, cells not by post: their rules decide. */
export const mayTravel = (id: CarriedId, travel: Travel): boolean => {
  const { hazard } = carriedFacts(id);
  return hazard === undefined || travel === 'own-way' || (travel === 'flight' && hazard === 'cells');
};

/** One thing of a kit: what it is for, the most likely first, and what leaving it out would cost, minutes to be expected. */
export type PackedThing = { id: CarriedId; isFor: FieldNeedId[]; leftOutCostsMin: number };
export type PackedKit = Pick<Kit, 'proven'> & {
  things: PackedThing[];
  /** Minutes to be expected with nothing, and with this kit. */
  barelyMin: number;
  expectedMin: number;
  massG: number;
  volumeL: number;
  price: number;
  /** What stays at home for how one travels, though it would help. */
  stays: CarriedId[];
  /** What is left to be expected most, and nothing packed meets. */
  unmet: FieldNeedId[];
};

/**
 * The kit for an outing: the least to be expected within the limits, what each thing is for, and what leaving it out would cost.
 *
 * @param owned what costs nothing more, because one has it.
 */
export function kitFor(outing: OutingToCome, limits: KitLimits, owned: readonly CarriedId[] = []): PackedKit {
  const question: KitQuestion = {
    needs: needsOf(outing),
    items: CARRIED_IDS.filter((id) => mayTravel(id, outing.travel)).map((id) => {
      const { massG, volumeL, price, covers } = carriedFacts(id);
      return { id, massG, volumeL, price: owned.includes(id) ? 0 : price, covers };
    }),
    limits,
  };
  const { items, expectedLoss, proven } = packKit(question);
  const packed = question.items.filter((item) => items.includes(item.id));
  const sum = (of: 'massG' | 'volumeL' | 'price') => packed.reduce((total, item) => total + item[of], 0);
  // The heaviest first: whatever is picked from it stands in that order.
  const needed = question.needs.toSorted((a, b) => b.likelihood * b.loss - a.likelihood * a.loss).map((n) => n.id as FieldNeedId);
  const things = (items as CarriedId[]).map((id) => ({
    id,
    isFor: needed.filter((need) => carriedFacts(id).covers[need] !== undefined),
    leftOutCostsMin:
      expectedLossWith(
        question,
        items.filter((other) => other !== id),
      ) - expectedLoss,
  }));
  return {
    things: things.sort((a, b) => b.leftOutCostsMin - a.leftOutCostsMin),
    barelyMin: expectedLossWith(question, []),
    expectedMin: expectedLoss,
    proven,
    massG: sum('massG'),
    volumeL: sum('volumeL'),
    price: sum('price'),
    stays: CARRIED_IDS.filter((id) => !mayTravel(id, outing.travel) && needed.some((need) => carriedFacts(id).covers[need] !== undefined)),
    unmet: needed.filter((need) => !packed.some((item) => item.covers[need] !== undefined)),
  };
}
