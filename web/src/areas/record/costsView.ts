import type { Drawer } from '@bright-keeper/contract';
import { care, gear, MS_PER_DAY, record, schedule } from '@bright-keeper/core';
import { chosenOf } from '../../ui/choices';

/** Over what time it is told. */
export const SPANS = { year: 'The last 12 months', all: 'All that is known' } as const;
export type Span = keyof typeof SPANS;
const YEAR_DAYS = 365;

type Took = record.BenchTook;
type PriceOf = (taking: Took['takings'][number]) => number | null;

/** What a unit of something costs, by the very pack it was taken from, else by another of its kind that has a price. */
export function pricesOf({ supplies }: Pick<Drawer, 'supplies'>): PriceOf {
  const priced = supplies.filter(({ packPrice, packSize }) => packPrice !== null && packSize !== null);
  const unit = ({ packPrice, packSize }: Drawer['supplies'][number]): number => packPrice! / packSize!;
  const byId = new Map(priced.map((pack) => [pack.id, unit(pack)]));
  const byKind = new Map<care.Tool | care.Material, number>(priced.toReversed().map((pack) => [pack.thing, unit(pack)]));
  return ({ id, thingId }) => (thingId === null ? undefined : byId.get(thingId)) ?? byKind.get(id) ?? null;
}

export type CostRow = { key: string; name: string; cost: record.Cost };
/** A thing with what it is worth, as far as anybody said, and how long care takes for each hundred of it. */
export type ThingCost = CostRow & { worth: number | null; minutesAHundred: number | null };
export type CostsView = { span: Span; all: record.Cost; byThing: ThingCost[]; byMonth: CostRow[]; bySchool: CostRow[] };

type Told = {
  uses: readonly Took[];
  drawer: Pick<Drawer, 'supplies'>;
  /** Null for what is not on the shelf any more. */
  thingOf: (id: string) => (Parameters<typeof gear.worthOf>[0] & { name: string }) | null;
  timeZone: string;
  now: Date;
};

function thingCost({ key, cost }: Pick<CostRow, 'key' | 'cost'>, thing: ReturnType<Told['thingOf']>): ThingCost {
  const worth = thing && gear.worthOf(thing);
  return {
    ...{ key, cost, worth },
    name: thing?.name ?? 'A thing that is not on the shelf any more',
    minutesAHundred: worth ? (100 * cost.minutes) / worth : null,
  };
}

/** By school, as far as more than one of its choices was followed: what nobody did otherwise is no comparison. */
function bySchool(uses: readonly Took[], priceOf: PriceOf): CostRow[] {
  return care.CARE_SCHOOL_IDS.flatMap((school) => {
    const own = uses.filter(({ followed }) => followed[school] !== undefined);
    const rows = record.costsBy(own, ({ followed }) => followed[school]!, priceOf);
    if (rows.length < 2) return [];
    const { name, choices } = care.schoolFacts(school);
    return rows.map(({ key, cost }) => ({ key: `${school}/${key}`, name: `${name}: ${choices[key]?.name ?? key}`, cost }));
  });
}

/** Everything the page shows. */
export function costsFrom(params: URLSearchParams, told: Told): CostsView {
  const span = chosenOf<Span>(SPANS, params.get('span'), 'year');
  const from = told.now.getTime() - YEAR_DAYS * MS_PER_DAY;
  const uses = told.uses.filter(({ at }) => span === 'all' || Date.parse(at) >= from);
  const priceOf = pricesOf(told.drawer);
  const monthOf = ({ at }: Took) => schedule.localDay(at, told.timeZone).slice(0, 7);
  return {
    span,
    all: record.costOf(uses, priceOf),
    byThing: record
      .costsBy(uses, ({ itemId }) => itemId, priceOf)
      .map((row) => thingCost(row, told.thingOf(row.key)))
      .sort((a, b) => b.cost.minutes - a.cost.minutes || a.name.localeCompare(b.name)),
    byMonth: record
      .costsBy(uses, monthOf, priceOf)
      .map((row) => ({ ...row, name: row.key }))
      .sort((a, b) => b.key.localeCompare(a.key)),
    bySchool: bySchool(uses, priceOf),
  };
}

/** "25 min", "1 h 40 min". */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
