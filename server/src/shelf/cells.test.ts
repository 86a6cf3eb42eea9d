import { describe, expect, it } from 'vitest';
import { orderOf, otherCurrency, readDay, readMeasure, readNumber, readYesNo } from './cells.js';

const now = new Date('2026-03-10T10:00:00Z');

/** How people write (common practice). */
describe('a cell of a list', () => {
  it.each([
    ['900', 900],
    ['€ 900', 900],
    ['900 €', 900],
    ['900,- EUR', 900],
    ['EUR 1.250,00', 1250],
    ['1,250.00', 1250],
    ['1.250,00', 1250],
    ['$1,250', 1250],
    ['1.250', 1250],
    ["1'250.50", 1250.5],
    ['1 250,50', 1250.5],
    ['1.234.567', 1234567],
    ['12,5', 12.5],
    ['12.5', 12.5],
    ['0.125', 0.125],
    ['0,5', 0.5],
    ['58 mm', 58],
    ['ø58mm', 58],
    ['f/22', 22],
    ['f/2.8', 2.8],
    ['c. 1965', 1965],
    ['1965', 1965],
    ['24.2 MP', 24.2],
    ['soon', 'soon'],
    ['1965-70', '1965-70'],
    ['2x', 2],
    ['', ''],
    ['.', '.'],
    ['=1+1', '=1+1'],
  ])('%s is %s', (cell, value) => {
    expect(readNumber(cell)).toBe(value);
  });

  /** Units: the international yard and pound agreement of 1959 (exact). */
  it.each([
    ['310', 'g', 310],
    ['310 g', 'g', 310],
    ['1.250 g', 'g', 1250],
    ['0,42 kg', 'g', 420],
    ['1.250 kg', 'g', 1250],
    ['1,2kg', 'g', 1200],
    ['12 oz', 'g', 340.194],
    ['1 lb', 'g', 453.592],
    ['52', 'mm', 52],
    ['⌀ 52 mm', 'mm', 52],
    ['40,5mm', 'mm', 40.5],
    ['6 cm', 'mm', 60],
    ['1.25"', 'mm', 31.75],
    ['2 in', 'mm', 50.8],
    ['420 g', 'mm', '420 g'],
    ['52 mm', 'g', '52 mm'],
    ['3 stone', 'g', '3 stone'],
    ['heavy', 'g', 'heavy'],
    ['€ 900', 'money', 900],
    ['f/2.8', 'f/', 2.8],
    ['24 MP', 'megapixels', 24],
  ])('%s, kept in %s, is %s', (cell, unit, value) => {
    expect(readMeasure(cell, unit)).toBe(value);
  });

  it.each([
    ['2019-03-12', 'day-first', '2019-03-12', false],
    ['12.03.2019', 'day-first', '2019-03-12', false],
    ['12.03.19', 'day-first', '2019-03-12', false],
    ['3/12/19', 'month-first', '2019-03-12', false],
    ['12-03-1998', 'day-first', '1998-03-12', false],
    ['12/03/98', 'day-first', '1998-03-12', false],
    ['3/2019', 'day-first', '2019-03-01', true],
    ['2019-03', 'day-first', '2019-03-01', true],
    ['2019', 'day-first', '2019-01-01', true],
    ['last spring', 'day-first', 'last spring', false],
  ] as const)('%s, %s, is the day %s', (cell, order, day, taken) => {
    expect(readDay(cell, order, now)).toEqual({ day, taken });
  });

  it('tells which comes first in a column by the dates in it that can be read one way only', () => {
    expect(orderOf(['03/04/2019', '25/04/2019'])).toEqual({ order: 'day-first', ambiguous: false });
    expect(orderOf(['03/04/2019', '04/25/2019'])).toEqual({ order: 'month-first', ambiguous: false });
    expect(orderOf(['03/04/2019', ''])).toEqual({ order: null, ambiguous: true });
    expect(orderOf(['04/04/2019', '2019-05-06'])).toEqual({ order: null, ambiguous: false });
  });

  it.each([
    ['€ 900', 'EUR', null],
    ['900', 'EUR', null],
    ['900 EUR', 'EUR', null],
    ['$ 900', 'EUR', '$'],
    ['USD 900', 'EUR', 'USD'],
    ['900 NOK', 'SEK', 'NOK'],
    ['$900', 'CAD', null],
    ['CAD $900', 'USD', 'CAD'],
  ])('%s in a household that reckons in %s is of another currency: %s', (cell, own, other) => {
    expect(otherCurrency(cell, own)).toBe(other);
  });

  it.each([
    ['ja', true],
    ['X', true],
    ['Nein', false],
    ['–', false],
    ['perhaps', 'perhaps'],
  ])('%s is %s', (cell, value) => {
    expect(readYesNo(cell)).toBe(value);
  });
});
