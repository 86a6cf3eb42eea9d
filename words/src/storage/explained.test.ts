import { storage } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { cannotExplainWords, explainedWords, hindcastWords, somethingElseWords } from '../index.js';

const place = storage.usualPlace({ volumeL: 300, airChangesPerDay: 3, openingsPerWeek: 2, targetPct: 60 }, null);
const fit = (
  more: Partial<storage.FittedPlace>,
  intervals: storage.PlaceFit['intervals'] = { airChangesPerDay: { low: 2.9, high: 3.5 } },
) => {
  const own = { ...place, ...more };
  return { place: own, intervals, leakPerDay: storage.leakOf(own) };
};

describe('what its past says of a place, in words', () => {
  it('tells leak, wall, walls and water of a cupboard', () => {
    const words = explainedWords(
      fit(
        { warmerC: -1.9, lagH: 16.4, vapourExcessGm3: 0.6, bufferPerDay: 6, bufferDays: 4.2 },
        { airChangesPerDay: { low: 2.9, high: 3.5 }, warmerC: { low: -2, high: -1.8 } },
      ),
    );
    expect(words).toEqual([
      'Its air is changed 3.0 times a day (2.7 to 3.3), and by 2 openings a week besides.',
      '1.9 °C colder than the air around it (1.8 to 2.0); it follows within 16 h. A cold outer wall does that: the same air is damper there.',
      'What comes in gains 0.6 g of water a cubic metre: people, walls, or two hygrometers that differ by as much.',
      'Walls and contents take up damp and give it back over about 4 days.',
    ]);
  });
  it('does not pretend to a seal it cannot tell, nor to differences nobody would feel', () => {
    const open = fit(
      { airChangesPerDay: 180, warmerC: 0.1, lagH: 0.6, vapourExcessGm3: 0.02 },
      { airChangesPerDay: { low: 100, high: 240 } },
    );
    expect(explainedWords(open)).toEqual([
      'Its air is changed so often that its seal cannot be told.',
      'As warm as the air around it; it follows within the hour.',
    ]);
    expect(explainedWords(fit({}, {}))[0]).toMatch(/cannot be told/);
  });
  it('tells heating, and water that fades with warmth, of a room in the weather', () => {
    const words = explainedWords(fit({ heatedToC: 19.6, warmerC: 2.5, lagH: 13, vapourExcessGm3: 4, excess: 'fades' })).join(' ');
    expect(words).toMatch(/2\.5 °C warmer than the air around it.*Heated to 20 °C\./);
    expect(words).toMatch(/gains 4\.0 g of water a cubic metre when it freezes outside, less as it warms, and none from 20 °C on/);
  });
  it('tells the set-point of a cabinet, and that its seal is not known', () => {
    const words = explainedWords(fit({ setPointPct: 42.3, deadBandPct: 1.8 }, {}));
    expect(words[0]).toBe('It holds 42 %, within 1.8 % for eight hours of ten, where the air around it is damper.');
    expect(words.at(-1)).toMatch(/taken as usual/);
  });
  it('says how far it holds, and what it does not explain', () => {
    expect(hindcastWords({ medianPct: 0.56, p90Pct: 1.48, days: 121.7 })).toBe(
      'On 122 days it had never seen it was off by 0.6 % in the middle, and by no more than 1.5 % in nine hours of ten.',
    );
    expect(somethingElseWords({ from: 'a', to: 'b', byPct: -16.2 }, (day) => day.toUpperCase())).toBe(
      'From A to B it was 16 % drier than that explains: something else went on.',
    );
  });
  it('says why it cannot, and what to measure for how long', () => {
    const all: Parameters<typeof cannotExplainWords>[0][] = [
      { cannot: 'inside-not-measured' },
      { cannot: 'outside-not-measured' },
      { cannot: 'not-the-same-time' },
      { cannot: 'full-of-holes' },
      { cannot: 'too-short', days: 9.6, needDays: 21 },
      { cannot: 'too-seldom', hours: 60, needHours: 240 },
      { cannot: 'at-its-stop', which: 'outside', pct: 99 },
      { cannot: 'stands-still', which: 'inside', pct: 50 },
      { cannot: 'something-else', medianPct: 4.75, p90Pct: 12.4 },
      { cannot: 'not-finished' },
    ];
    for (const why of all) expect(cannotExplainWords(why), why.cannot).toMatch(/^[A-Z].*\.$/);
    expect(cannotExplainWords(all[4]!)).toBe('It and the air around it were measured together for 10 days. It takes 21: 11 days more.');
    expect(cannotExplainWords(all[6]!)).toMatch(/^The hygrometer around it stands at 99 %/);
  });
});
