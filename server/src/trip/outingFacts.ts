import { trip, type schedule } from '@bright-keeper/core';
import type { DatedOuting } from './outing.repository.js';

type OutingFacts = schedule.OutingFacts;
type Counted = { frames: number | null; lensChanges: number | null; hours?: number | null };
const countsOf = ({ frames, lensChanges, hours = null }: Counted): OutingFacts['counts'] => ({
  ...(frames === null ? {} : { frames }),
  ...(lensChanges === null ? {} : { 'lens-changes': lensChanges }),
  ...(hours === null ? {} : { hours }),
});

/** What care has to know of an outing: its counts are those of every thing that came along, unless they are known by thing. */
export function outingFacts({ id, name, from, to, notedAt, itemIds, met, used, ...outing }: DatedOuting): OutingFacts {
  const byThing: OutingFacts['countsOf'] = Object.fromEntries(Object.entries<trip.UsedThing>(used).map(([id, of]) => [id, countsOf(of)]));
  return {
    ...{ id, name, from, to, notedAt, itemIds, met },
    ...trip.skyAndCold({ grounds: [outing.place, ...outing.also], weather: outing.weather }),
    counts: countsOf(outing),
    countsOf: byThing,
  };
}
