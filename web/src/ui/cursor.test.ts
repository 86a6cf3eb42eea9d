import { describe, expect, it } from 'vitest';
import { cursorAfter } from './cursor';
import { ticksOf } from './ribbonAxis';
import { toNumber } from './toNumber';

describe('a cursor over values', () => {
  it.each([
    ['ArrowLeft', null, 9],
    ['ArrowLeft', 9, 8],
    ['ArrowLeft', 0, 0],
    ['ArrowRight', 3, 4],
    ['ArrowRight', 9, 9],
    ['Home', 5, 0],
    ['End', 5, 9],
    ['PageDown', 5, 4],
    ['PageUp', 5, 6],
    ['Tab', 5, null],
  ] as const)('%s from %s of ten leads to %s', (key, at, next) => expect(cursorAfter(key, at, 10)).toBe(next));

  it('stands nowhere over nothing', () => expect(cursorAfter('Home', null, 0)).toBeNull());
  it('strides a tenth of many with the page keys', () => expect(cursorAfter('PageDown', 80, 100)).toBe(70));
});

describe('dates under a ribbon', () => {
  it.each([
    [7, ['1 Mar', '3 Mar', '5 Mar', 'today']],
    [28, ['7 Mar', '14 Mar', '21 Mar', 'today']],
    [90, ['3 Apr', '1 May', 'today']],
  ] as const)('over %d days: %j', (span, words) => {
    const ticks = ticksOf('2026-03-01', span);
    expect(ticks.map((t) => t.words).slice(-words.length)).toEqual([...words]);
    expect(ticks.length).toBeLessThanOrEqual(5);
    for (const t of ticks) expect(t.share > 0 && t.share < 1).toBe(true);
  });
});

describe('a number as it is typed', () => {
  it.each([
    ['4.5', 4.5],
    ['4,5', 4.5],
    ['-4,5', -4.5],
    ['−3,0', -3],
    ['1,000,000', '1,000,000'],
    ['4,5 °C', '4,5 °C'],
    ['', null],
    [undefined, null],
  ])('%j is read as %j', (text, number) => expect(toNumber(text)).toBe(number));
});
