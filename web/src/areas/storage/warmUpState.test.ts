import type { StorageOverview } from '@bright-keeper/contract';
import { describe, expect, it } from 'vitest';
import { measuredIn, verdictOf, warmUpFrom } from './warmUpState';

const view = (query: string, measured: Parameters<typeof warmUpFrom>[1] = {}) => warmUpFrom(new URLSearchParams(query), measured);

describe('in from the cold', () => {
  it('begins with what is usual, then what was measured, then what was typed', () => {
    expect(view('').entries.startC.value).toBe(-2);
    expect(view('', { startC: -7 }).entries.startC.value).toBe(-7);
    expect(view('startC=-11,5', { startC: -7 }).entries.startC).toEqual({ text: '-11,5', value: -11.5, fault: null });
  });

  it.each([
    ['startC=cold', 'startC', 'A number from -40 to 50.'],
    ['roomC=80', 'roomC', 'A number from -10 to 45.'],
    ['roomHumidityPct=', 'roomHumidityPct', 'A number from 5 to 100.'],
  ] as const)('says what is wrong with %s beside it, keeps it, and reckons nothing', (query, field, fault) => {
    expect(view(query).entries[field].fault).toBe(fault);
    expect(view(query).result).toBeNull();
    expect(view(query).waitMin).toBe(0);
  });

  // The room's dew point is 10.2 °C at 21 °C and 50 % (the formula of Alduchov & Eskridge 1996).
  it('warns of fog below the dew point of the room, and lets it stay longer in a padded bag than bare', () => {
    expect(verdictOf(view('startC=-2').result!)).toBe('fogs');
    expect(verdictOf(view('startC=14').result!)).toBe('stays-clear');
    expect(view('wrapping=padded-bag').waitMin).toBeGreaterThan(view('wrapping=bare').waitMin);
  });

  it('says that it never clears in a room as damp as it is warm', () => {
    expect(verdictOf(view('startC=2&roomHumidityPct=100').result!)).toBe('fogs-for-good');
  });

  it('reads the cold off the weather station and the room off an open place', () => {
    const latest = (temperatureC: number, humidityPct: number) => ({ at: '2026-03-10T10:00:00Z', temperatureC, humidityPct, dewPointC: 0 });
    const overview = {
      outdoors: { name: 'Mast', latest: latest(-3.4, 80), forecast: null },
      places: [
        { kind: 'sealed-box', latest: latest(30, 20) },
        { kind: 'shelf', latest: latest(19.6, 51.2) },
      ],
    } as unknown as StorageOverview;
    const now = Date.parse('2026-03-10T10:30:00Z');
    expect(measuredIn(overview, now)).toEqual({ startC: -3, roomC: 20, roomHumidityPct: 51 });
    expect(measuredIn(undefined, now)).toEqual({});
    // What was read yesterday is not how cold it is.
    expect(measuredIn(overview, now + 86_400_000)).toEqual({});
  });
});
