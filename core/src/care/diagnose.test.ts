import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { diagnose, question, QUESTION_IDS, SUSPECTS, type Observations } from './index.js';

/** Facts of the trade: common practice. */
describe('where is the dirt?', () => {
  it.each([
    ['in every frame whatever the lens: the sensor', { 'seen-in': 'picture', lenses: 'every' }, 'sensor-cover'],
    ['in the finder, sharp, and air does not move it: the screen', { 'seen-in': 'finder', blow: 'sharp' }, 'focusing-screen'],
    ['with one lens, and it turns with the filter: the filter', { lenses: 'one', filter: 'moves' }, 'filter-front'],
    [
      'with one lens, and it moves with the front rim: the front glass',
      { lenses: 'one', filter: 'none', parallax: 'front' },
      'front-glass',
    ],
    ['with one lens, and it lags behind the rim: inside', { 'seen-in': 'both', lenses: 'one', parallax: 'between' }, 'inner-glass'],
  ] as [string, Observations, string][])('%s', (_, observations, surface) => {
    const found = diagnose(observations);
    expect(found.suspects[0]?.surface).toBe(surface);
  });

  it('suspects the sensor first when specks sharpen as one stops down', () => {
    expect(diagnose({ 'seen-in': 'only-picture', look: 'specks', aperture: 'sharper' }).suspects[0]).toEqual({
      surface: 'sensor-cover',
      points: 2,
    });
  });

  it('never suspects the sensor for what is in the finder alone', () => {
    expect(diagnose({ 'seen-in': 'finder' }).suspects.map((s) => s.surface)).toEqual([
      'reflex-mirror',
      'focusing-screen',
      'viewfinder-window',
    ]);
  });

  it('says so when answers contradict each other', () => {
    expect(diagnose({ lenses: 'every', filter: 'moves' })).toMatchObject({ contradiction: true, surface: null, next: null });
  });

  it('names the question whose answer is none of its own', () => {
    expect(() => diagnose({ lenses: 'two' })).toThrow(/lenses.*every, one, unknown/);
  });

  it('ends within one round of its questions, settled or in contradiction, whatever is answered', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(), { minLength: QUESTION_IDS.length, maxLength: QUESTION_IDS.length }), (picks) => {
        const observations: Observations = {};
        for (const pick of picks) {
          const { next } = diagnose(observations);
          if (!next) break;
          const answers = Object.keys(question(next).answers);
          observations[next] = answers[pick % answers.length]!;
        }
        const end = diagnose(observations);
        expect(end.next).toBeNull();
        expect(end.contradiction || (end.surface !== null && SUSPECTS.includes(end.surface))).toBe(true);
      }),
      { numRuns: 2000, seed: 4874 },
    );
  });

  it('asks nothing that cannot tell the remaining suspects apart', () => {
    expect(diagnose({ 'seen-in': 'finder' }).next).toBe('blow');
  });
});
