import { type record, trip } from '@bright-keeper/core';
import { MET } from '../schedule/due.js';
import { capital, count } from '../text.js';

const DIRT_WORDS: Record<record.Dirt, string> = {
  loose: 'dust, fibres and grains',
  film: 'prints and films',
  spots: 'spots and salt',
  growth: 'growth',
  corrosion: 'corrosion',
};

/** After what, in the words of a sentence. @param name of the place or the thing. */
export function causeName(cause: record.Cause, name: string | null): string {
  switch (cause.is) {
    case 'out':
      return 'after an outing';
    case 'ground':
      return `after an outing (${trip.groundFacts(cause.ground).name.toLowerCase()})`;
    case 'met':
      return `after it met ${MET[cause.met]} outdoors`;
    case 'with':
      return `after going out with ${name ?? 'a thing that is gone'}`;
    case 'place':
      return `while it lies in ${name ?? 'a place that is gone'}`;
    default:
      return cause satisfies never;
  }
}

type Told = Omit<record.Goes, 'high'> & { high: number | null; name: string | null };
const times = (x: number): string => (x < 10 ? x.toFixed(1) : x.toFixed(0));

/** What goes before what, as a title, and the numbers it stands on. */
export function goesBeforeWords({ dirt, cause, after, else: other, ratio, low, high, name }: Told): { title: string; on: string } {
  const often = other.found === 0 ? 'Never found otherwise' : `${times(ratio)} times as often by the day as otherwise`;
  const range = high === null ? `at least ${times(low)} times as often` : `${times(low)} to ${times(high)} times`;
  return {
    title: `${capital(DIRT_WORDS[dirt])} come${dirt === 'growth' || dirt === 'corrosion' ? 's' : ''} ${causeName(cause, name)}`,
    on: `Found on ${after.found} of ${count(after.looks, 'look', 'looks')} then (${count(Math.round(after.days), 'day', 'days')}), on ${other.found} of ${other.looks} otherwise (${count(Math.round(other.days), 'day', 'days')}). ${often}; ${range}, as far as so many looks can tell.`,
  };
}
