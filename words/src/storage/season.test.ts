import type { storage } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { dryingWords, seasonWords } from '../index.js';

const dayOf = (instant: string) => instant.slice(0, 10);
const at = (day: string) => `${day}T10:00:00Z`;
const season = (more: object): storage.Season => ({ out: null, leaves: null, mayLeave: null, weeksPct: [], ...more });
const say = (more: object) => seasonWords(season(more), 60, dayOf).join(' ');
const leaves = { side: 'damp', at: at('2026-06-12'), earliest: at('2026-06-03'), latest: at('2026-06-20') };

describe('the year ahead in words', () => {
  it.each([
    [{}, /stays within its band all year\.$/],
    [{ mayLeave: { side: 'dry', at: at('2026-01-04') } }, /it might be drier than 30 % from 4 January on\.$/],
    [{ leaves }, /^It will be damper than 60 % from about 12 June\. Between 3 June and 20 June, if nothing is done/],
    [{ leaves: { ...leaves, latest: null } }, /At the earliest on 3 June, and perhaps not at all, if nothing/],
    [
      { out: { side: 'dry', back: at('2026-02-01') } },
      /^It is drier than 30 %\. If nothing is done, it comes back by itself about 1 February\.$/,
    ],
    [{ out: { side: 'damp', back: null } }, /^It is damper than 60 %, and if nothing is done it stays so all year\.$/],
    [{ out: { side: 'dry', back: at('2026-02-01') }, leaves }, /about 1 February\. It will be damper than 60 % from about 12 June\./],
  ])('%j', (more, words) => {
    expect(say(more)).toMatch(words);
  });
  it('says what to measure where nobody can tell', () => {
    expect(seasonWords({ cannot: 'no-year' }, 60, dayOf)[0]).toMatch(/Leave a hygrometer in the room/);
  });
});

describe('when gel goes into the oven, in words', () => {
  const [a, b, c, d] = ['2026-05-01', '2026-06-01', '2026-07-01', '2026-08-01'].map(at) as [string, string, string, string];
  it.each([
    [
      { dry: 'once', from: a, by: b, until: d },
      'Dry it between 1 May and 1 June: then it lasts past the damp season, which ends about 1 August.',
    ],
    [{ dry: 'once', from: a, by: a, until: null }, 'Dry it on 1 May: then it lasts for the rest of the year.'],
    [{ dry: 'again', by: [a, b], until: d }, 'Dry it by 1 May and 1 June before the damp season ends about 1 August.'],
    [
      { dry: 'again', by: [a, b, c, d], until: null },
      'Dry it by 1 May, 1 June and 1 July, and 1 more time. More gel would ask for it less often.',
    ],
    [{ dry: 'too-little' }, 'Dried again, it would be spent within a week at some time of the year: it is too little for this place.'],
  ] as const)('%j', (drying, words) => {
    expect(dryingWords(drying as storage.Drying, dayOf)).toBe(words);
  });
});
