import { storage } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { standingBecause, standingTone, standingWords } from '../index.js';

const since = '2026-02-05T00:00:00Z';
/** One of each; what is missing here does not compile. */
const EACH: Record<storage.StandingId, storage.Standing> = {
  'not-measured': { says: 'not-measured' },
  'growth-found': { says: 'growth-found' },
  act: { says: 'act' },
  watch: { says: 'watch' },
  'drying-out': { says: 'drying-out' },
  'too-little': { says: 'too-little', days: 5.4, needDays: 14 },
  'over-band': { says: 'over-band', days: 6.2 },
  'under-band': { says: 'under-band', days: 90 },
  disputed: { says: 'disputed' },
  'not-heard': { says: 'not-heard', since },
  'back-in-band': { says: 'back-in-band', since },
  'on-its-way': { says: 'on-its-way', days: 70 },
  safe: { says: 'safe', days: 40, inBand: true },
};
const told = (standing: storage.Standing) => standingWords(standing, () => '5 Feb');

describe('how a place or a thing stands, in words', () => {
  it('are other words for every standing, and safe and good are said of one alone', () => {
    const all = Object.values(EACH);
    expect(new Set(all.map(told)).size).toBe(all.length);
    for (const standing of all) {
      expect(/safe/i.test(told(standing)), standing.says).toBe(standing.says === 'safe');
      expect(standingTone(standing) === 'good', standing.says).toBe(standing.says === 'safe');
    }
  });
  it('say since when, in how long, and what the word stands on', () => {
    expect(told(EACH['over-band'])).toBe('Above its band for 6 days');
    expect(told(EACH['under-band'])).toBe('Too dry for 3 months or more');
    expect(told(EACH['back-in-band'])).toBe('Back in its band since 5 Feb');
    expect(told(EACH['on-its-way'])).toBe('Growth in 2 months, if it goes on so');
    expect(standingBecause(EACH['too-little'])).toBe('Measured on 5 days; it takes 14 to call it safe.');
    expect(standingBecause(EACH.safe)).toBe('Measured in its band for 40 days and up to now, with neither model on its way.');
    // A thing has no band to have stayed in.
    expect(standingBecause({ says: 'safe', days: 200, inBand: false })).toBe(
      'Measured on 200 days and up to now, with neither model on its way.',
    );
    expect(standingBecause(EACH.watch)).toBeNull();
  });
});
