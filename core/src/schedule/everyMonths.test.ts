import { describe, expect, it } from 'vitest';
import { dutyFacts, everyMonths, RHYTHM_CODES, rhythmTroubles } from './index.js';

describe('every so many months', () => {
  it.each(RHYTHM_CODES)('%s: anybody can keep it, and what else makes it due stays', (code) => {
    const usual = dutyFacts(code).rhythm!;
    for (let months = 1; months <= 120; months += 1) {
      const rhythm = everyMonths(usual, months);
      expect(rhythmTroubles(rhythm, '2026-06-01'), `${code} ${months}`).toEqual([]);
      expect(rhythm.triggers[0]).toEqual({ on: 'calendar', rrule: `FREQ=MONTHLY;INTERVAL=${months}`, from: 'last-done' });
      for (const trigger of usual.triggers) if (trigger.on !== 'calendar' || trigger.while) expect(rhythm.triggers).toContainEqual(trigger);
      // The same once more is the same.
      expect(everyMonths(rhythm, months)).toEqual(rhythm);
    }
  });
});
