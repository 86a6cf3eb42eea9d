import type { Forecast, StorageOverview } from '@bright-keeper/contract';
import { air, storage } from '@bright-keeper/core';
import { chosenOf } from '../../ui/choices';
import { type Wind, WINDS } from '../../ui/winds';
import { entryOf, type Entry } from '../../ui/numberEntry';

export const FIELDS = {
  airC: { label: 'The air, °C', min: -40, max: 45, usual: 10 },
  humidityPct: { label: 'The air, % RH', min: 5, max: 100, usual: 80 },
  frontMm: { label: 'The front glass across, mm', min: 5, max: 500, usual: 77 },
  fromC: { label: 'It comes out of a room of, °C', min: -40, max: 45, usual: 20 },
  cellWh: { label: 'The cell for the strap, Wh', min: 1, max: 2000, usual: 36 },
} as const;
export type FieldId = keyof typeof FIELDS;
export const FIELD_IDS = Object.keys(FIELDS) as FieldId[];

/** What one says of a sky and a hood, and what each is reckoned as (our choice). */
export const SKIES = { clear: ['Clear', 0], broken: ['Half clouded', 0.5], overcast: ['Overcast', 1] } as const;
export const HOODS = { none: ['No hood', 0], short: ['A short hood', 0.7], long: ['A dew shield', 2.5] } as const;
export type Sky = keyof typeof SKIES;
export type Hood = keyof typeof HOODS;

/** The air outdoors, from the station, as long as it is of now. */
export function measuredIn(overview: StorageOverview | undefined, nowMs: number): Partial<Record<FieldId, number>> {
  const latest = overview?.outdoors?.latest;
  return latest && storage.isOfNow(latest, nowMs)
    ? { airC: Math.round(latest.temperatureC), humidityPct: Math.round(latest.humidityPct) }
    : {};
}

export type DewView = {
  entries: Record<FieldId, Entry>;
  sky: Sky;
  wind: Wind;
  hood: Hood;
  /** Null while a field cannot be read. */
  result:
    | (air.Dew & {
        watts: number;
        cellHours: number | null;
        /** Out there, until it takes dew; null where it takes none. */ afterMinutes: number | null;
      })
    | null;
};

/** Behind a larger front than this there is a telescope, which cools more slowly. */
const LARGE_FRONT_MM = 90;

const skyOf = ({ sky, wind, hood }: Pick<DewView, 'sky' | 'wind' | 'hood'>) => ({
  cloud: SKIES[sky][1],
  windMs: WINDS[wind][1],
  hoodRatio: HOODS[hood][1],
});

/** Everything the page shows, from the address and what was measured. */
export function dewFrom(params: URLSearchParams, measured: Partial<Record<FieldId, number>>): DewView {
  const entries = Object.fromEntries(FIELD_IDS.map((f) => [f, entryOf(params.get(f), measured[f], FIELDS[f])])) as Record<FieldId, Entry>;
  const ways = {
    sky: chosenOf<Sky>(SKIES, params.get('sky'), 'clear'),
    wind: chosenOf<Wind>(WINDS, params.get('wind'), 'calm'),
    hood: chosenOf<Hood>(HOODS, params.get('hood'), 'none'),
  };
  const [airC, humidityPct, frontMm, fromC, cellWh] = FIELD_IDS.map((f) => entries[f].value);
  if (airC == null || humidityPct == null || frontMm == null || fromC == null || cellWh == null) return { entries, ...ways, result: null };
  const dew = air.dewOnGlass({ airC, humidityPct, ...skyOf(ways) });
  const watts = air.strapWatts(dew, frontMm);
  const afterMinutes = storage.dewAfterMinutes(fromC, dew, frontMm > LARGE_FRONT_MM ? 'telescope' : 'mid-lens');
  return { entries, ...ways, result: { ...dew, watts, cellHours: watts > 0 ? cellWh / watts : null, afterMinutes } };
}

/** From when the forecast means dew under such a sky, as `storage.dewAhead` reckons it. */
export function dewAhead(forecast: Forecast, ways: Pick<DewView, 'sky' | 'wind' | 'hood'>, nowMs: number) {
  const ahead = storage.dewAhead(forecast.readings, skyOf(ways), nowMs);
  return ahead && { ...ahead, fromMs: Math.max(nowMs, ahead.fromMs) };
}
