import { describe, expect, it } from 'vitest';
import { seeded } from '../testing/logs.js';
import { countOf, split, withCount } from './several.js';

describe('several equal things on one line', () => {
  it('are one where nobody said, and of one nothing is said', () => {
    expect(countOf({})).toBe(1);
    expect(withCount({ maker: 'A', count: 4 }, 1)).toEqual({ maker: 'A' });
    expect(withCount({}, 3)).toEqual({ count: 3 });
  });

  it('share sums by head, and a serial number stays with the line that was there', () => {
    const { stays, goes } = split({ count: 6, serial: '77', paid: 100, insuredFor: 120, massG: 30, tags: ['kit'] }, 2);
    expect(stays).toEqual({ count: 4, serial: '77', paid: 66.67, insuredFor: 80, massG: 30, tags: ['kit'] });
    expect(goes).toEqual({ count: 2, paid: 33.33, insuredFor: 40, massG: 30, tags: ['kit'] });
  });

  it('are as many and worth as much together as before, to the cent, however they are split', () => {
    const random = seeded(28);
    for (let i = 0; i < 2000; i++) {
      const count = 2 + Math.floor(random() * 998);
      const off = 1 + Math.floor(random() * (count - 1));
      const paid = Math.round(random() * 1e7) / 100;
      const { stays, goes } = split({ count, paid }, off);
      expect(countOf(stays) + countOf(goes)).toBe(count);
      expect(Math.round((stays.paid! + goes.paid!) * 100)).toBe(Math.round(paid * 100));
      expect(Math.min(stays.paid!, goes.paid!)).toBeGreaterThanOrEqual(0);
    }
  });

  it.each([0, 3, 4, 1.5, -1])('refuses to split %s off three', (off) => {
    expect(() => split({ count: 3 }, off)).toThrow(RangeError);
  });
});
