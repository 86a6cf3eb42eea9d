import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { between, columnsOf, instantMs, readingsOf, type Reading } from './index.js';

const anyDate = fc.date({ min: new Date('1930-01-01T00:00:00Z'), max: new Date('2130-12-31T23:59:59.999Z'), noInvalidDate: true });
const anyLog = fc
  .array(
    fc.record({
      at: anyDate,
      temperatureC: fc.double({ min: -30, max: 60, noNaN: true }),
      humidityPct: fc.double({ min: 0, max: 100, noNaN: true }),
    }),
    {
      maxLength: 40,
    },
  )
  .map((all): Reading[] => all.map((r) => ({ ...r, at: r.at.toISOString() })).sort((a, b) => (a.at < b.at ? -1 : 1)));

/** Reference: the platform's own reading of an instant (ECMA-262, Date.parse). */
describe('an instant', () => {
  it('is read as the platform reads it, in whatever shape it is written', () => {
    fc.assert(
      fc.property(anyDate, (date) => {
        const iso = date.toISOString();
        for (const at of [iso, iso.replace('Z', '+00:00'), iso.replace('.', ','), `${iso.slice(0, 19)}Z`, iso.slice(0, 10)])
          expect(instantMs(at)).toEqual(Date.parse(at));
      }),
      { seed: 4872 },
    );
  });

  it.each([
    '2026-03-01T25:00:00.000Z',
    '2026-03-01T10:75:00.000Z',
    '2026-03-01T10:00:60.000Z',
    '2026-13-01T10:00:00.000Z',
    '2026-03-01Tab:00:00.000Z',
    'soon',
    '',
  ])('%j is none', (text) => {
    expect(instantMs(text)).toBeNaN();
  });
});

describe('a log in columns', () => {
  it('says what the readings say, there and back', () => {
    fc.assert(
      fc.property(anyLog, (log) => void expect(readingsOf(columnsOf(log))).toEqual(log)),
      { seed: 4872 },
    );
  });

  it('is cut between two instants as readings are sifted by them', () => {
    fc.assert(
      fc.property(anyLog, anyDate, anyDate, (log, a, b) => {
        const [from, to] = [a.getTime(), b.getTime()];
        const sifted = log.filter((r) => Date.parse(r.at) >= from && Date.parse(r.at) <= to);
        expect(readingsOf(between(columnsOf(log), from, to))).toEqual(sifted);
      }),
      { seed: 4872 },
    );
  });
});
