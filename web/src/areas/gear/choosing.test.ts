import { describe, expect, it } from 'vitest';
import { NOTHING_CHOSEN, tapped, withAll, type Chosen } from './choosing';

const order = ['a', 'b', 'c', 'd', 'e'];
const tap = (taps: readonly (readonly [string, boolean])[], from: Chosen = NOTHING_CHOSEN): string =>
  [...taps.reduce((chosen, [id, isRange]) => tapped(chosen, id, isRange, order), from).ids].sort().join('');

describe('choosing on the shelf', () => {
  it.each([
    ['one, and none again', [['b', false]], 'b'],
    [
      'one, and none again',
      [
        ['b', false],
        ['b', false],
      ],
      '',
    ],
    [
      'a range, downwards',
      [
        ['b', false],
        ['d', true],
      ],
      'bcd',
    ],
    [
      'a range, upwards',
      [
        ['d', false],
        ['b', true],
      ],
      'bcd',
    ],
    [
      'a range that is let go',
      [
        ['a', false],
        ['e', true],
        ['c', false],
        ['d', true],
      ],
      'abe',
    ],
    ['a range from nothing is the one', [['c', true]], 'c'],
  ] as const)('%s', (_, taps, chosen) => {
    expect(tap(taps)).toBe(chosen);
  });
  it('keeps what is chosen though it is not shown any more, and takes all of a filter besides', () => {
    const gone = withAll(NOTHING_CHOSEN, ['x']);
    expect(tap([['b', true]], gone)).toBe('bx');
    expect(tap([], withAll(gone, order))).toBe('abcdex');
  });
});
