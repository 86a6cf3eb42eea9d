import { describe, expect, it } from 'vitest';
import { byHabit, FRAMES_A_CELL, habitsOf } from './habits.js';
import { FIELD_NEED_IDS, kitFor, needsOf } from './index.js';

const out = (days: number, frames: number | null, lensChanges: number | null = null) => ({ days, frames, lensChanges });

describe('how a keeper takes pictures', () => {
  it('is told by the outings that were counted, day by day', () => {
    expect(habitsOf([out(2, 1000, 10), out(1, 100, null), out(3, null, 2), out(5, null, null)])).toEqual({
      ...{ counted: 2, beyondACell: 1, framesADay: 1100 / 3, changesADay: 12 / 5 },
    });
    expect(habitsOf([out(5, null)])).toEqual({ counted: 0, beyondACell: 0, framesADay: null, changesADay: null });
  });

  it('says nothing where nothing was counted', () => {
    for (const need of FIELD_NEED_IDS) for (const habits of [null, habitsOf([])]) expect(byHabit(need, 0.2, habits)).toBeCloseTo(0.2, 12);
  });

  it('many frames make an empty cell likelier, few less; what never arises there never does', () => {
    const heavy = habitsOf(Array.from({ length: 12 }, () => out(1, 2 * FRAMES_A_CELL)));
    const light = habitsOf(Array.from({ length: 12 }, () => out(1, 20)));
    expect(byHabit('cell-empty', 0.15, heavy)).toBeCloseTo((4 * 0.15 + 12) / 16, 12);
    expect(byHabit('cell-empty', 0.15, light)).toBeCloseTo((4 * 0.15) / 16, 12);
    expect(byHabit('cell-empty', 0, heavy)).toBe(0);
  });

  it('more changes never make a speck less likely, by no more than three times, and nothing else any other (law)', () => {
    let before = 0;
    for (const changes of [0, 1, 2, 4, 8, 16, 400]) {
      const speck = byHabit('sensor-speck', 0.1, habitsOf([out(1, null, changes)]));
      expect(speck).toBeGreaterThanOrEqual(before);
      expect(speck >= 0.1 / 3 - 1e-12 && speck <= 0.3 + 1e-12).toBe(true);
      expect(byHabit('rain-on-it', 0.1, habitsOf([out(1, null, changes)]))).toBe(0.1);
      before = speck;
    }
    expect(byHabit('sensor-speck', 0.1, habitsOf([out(1, null, 4)]))).toBeCloseTo(0.1, 12);
  });

  it('goes into the bag: who empties a cell every day takes a spare one first', () => {
    const going = { grounds: ['town'], days: 1, weather: [], travel: 'own-way' } as const;
    const heavy = habitsOf(Array.from({ length: 30 }, () => out(1, 3 * FRAMES_A_CELL)));
    const likely = (habits: ReturnType<typeof habitsOf> | null) =>
      needsOf({ ...going, habits }).find((n) => n.id === 'cell-empty')!.likelihood;
    expect(likely(heavy)).toBeGreaterThan(5 * likely(null));
    expect(kitFor({ ...going, habits: heavy }, { massG: 100 }).things[0]?.id).toBe('spare-cell');
  });
});
