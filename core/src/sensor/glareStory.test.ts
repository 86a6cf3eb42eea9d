import { describe, expect, it } from 'vitest';
import { glareStory, type GlareTold } from './glareStory.js';

const test = (day: string, glarePct: number, more: Partial<GlareTold> = {}): GlareTold => ({
  takenAt: `${day}T10:00:00Z`,
  glarePct,
  lowPct: glarePct - 0.3,
  highPct: glarePct + 0.3,
  fNumber: 8,
  iso: 100,
  exposureS: 0.01,
  body: 'A',
  style: null,
  ...more,
});

describe('tests of glare over time', () => {
  it('the first after a clean is held against the last before it, the next against the one before', () => {
    const story = glareStory(
      [test('2026-01-01', 9.3), test('2026-02-01', 9.4), test('2026-02-10', 3.1), test('2026-02-20', 3.2)],
      ['2026-02-09T12:00:00Z', '2026-02-05T12:00:00Z'],
    );
    expect(story.map((s) => s.map((c) => [c.against, c.other.glarePct, c.change]))).toEqual([
      [],
      [['before', 9.3, 'same']],
      [['clean', 9.4, 'less']],
      [['before', 3.1, 'same']],
    ]);
    expect(story[2]![0]!.cleanedAt).toBe('2026-02-09T12:00:00Z');
  });

  it('a clean that made it worse says so, and one after the last test says nothing', () => {
    expect(glareStory([test('2026-01-01', 3), test('2026-01-03', 6)], ['2026-01-02T08:00:00Z'])[1]![0]).toMatchObject({
      against: 'clean',
      change: 'more',
    });
    expect(glareStory([test('2026-01-01', 3), test('2026-01-03', 6)], ['2026-01-05T08:00:00Z'])[1]![0]!.against).toBe('before');
  });

  it('each is held against the same lens a year earlier, if there was a test within three months of that', () => {
    const story = glareStory([test('2025-01-10', 4), test('2025-03-01', 5), test('2026-01-20', 4.1), test('2026-02-20', 7)], []);
    expect(story[2]!.map((c) => [c.against, c.other.glarePct, c.change])).toEqual([
      ['before', 5, 'less'],
      ['year', 4, 'same'],
    ]);
    expect(story[3]!.map((c) => [c.against, c.other.glarePct, c.change])).toEqual([
      ['before', 4.1, 'more'],
      ['year', 5, 'more'],
    ]);
    expect(glareStory([test('2024-01-10', 4), test('2025-06-01', 5), test('2026-01-20', 4.1)], [])[2]!.map((c) => c.against)).toEqual([
      'before',
    ]);
  });

  it('what cannot be compared has no change, whatever the numbers say', () => {
    const told = glareStory([test('2026-01-01', 9), test('2026-02-01', 3, { style: 'Contrast Hard', iso: 800 })], [])[1]![0];
    expect(told).toMatchObject({ change: null, differences: ['exposure'] });
    const styled = glareStory([test('2026-01-01', 9, { style: 'Contrast Normal' }), test('2026-02-01', 3, { style: 'Contrast Hard' })], []);
    expect(styled[1]![0]).toMatchObject({ change: null, differences: ['style'] });
  });
});
