import { dewPointC, instantMs, type WeatherHour } from '../air/index.js';
import { type Day, isNightHour, localDay, localHour } from '../schedule/index.js';
import { BARE_UNDER_THE_SKY, isOfNow, RAIN_FROM_MM_H, takesDew } from '../storage/index.js';
import { type Weather, WEATHERS } from './grounds/index.js';
import { type HourOutside, type InTheAir, windSign } from './lensChange.js';

/** From so much on a cover does not hold long, mm/h: what is called moderate rain (WMO-No. 8, from memory). */
const HEAVY_FROM = 2.5;
/** So near the dew point the air itself is wet, K (our choice). */
const MIST_K = 1;
const FROST_C = 0;

/** What a forecast says of the days of an outing, and what of it one has to be ready for. */
export type WeatherTold = {
  expects: Weather[];
  coldestC: number;
  warmestC: number;
  /** Null where it says nothing of wind, or of rain. */
  windiestMs: number | null;
  wettestMmPerH: number | null;
  /** The first and the last of those days it speaks of, in the household's time. */
  from: Day;
  to: Day;
};

/** Which hours bring which weather. Of a night it is not told how clear it is: a clear one is reckoned with. */
const BRINGS: Record<Weather, (hour: WeatherHour, timeZone: string) => boolean> = {
  wind: ({ windMs }) => windMs !== undefined && ['raises-dust', 'branches-move'].includes(windSign(windMs)),
  rain: ({ rainMmPerH = 0 }) => rainMmPerH >= RAIN_FROM_MM_H,
  cold: ({ temperatureC }) => temperatureC <= FROST_C,
  'damp-night': (hour, timeZone) => isNightHour(localHour(hour.at, timeZone)) && takesDew(hour, BARE_UNDER_THE_SKY),
};

const most = (of: readonly (number | undefined)[]): number | null => {
  const told = of.filter((value) => value !== undefined);
  return told.length > 0 ? Math.max(...told) : null;
};

/**
 * What the hours foretold mean for the days from one to another; null where they speak of none of them.
 *
 * @param timeZone IANA name: which days and which nights these are.
 */
export function weatherTold(hours: readonly WeatherHour[], { from, to }: { from: Day; to: Day }, timeZone: string): WeatherTold | null {
  const told = hours
    .map((hour) => ({ hour, day: localDay(hour.at, timeZone) }))
    .filter(({ day }) => from <= day && day <= to)
    .sort((a, b) => instantMs(a.hour.at) - instantMs(b.hour.at));
  const [first, last] = [told[0], told.at(-1)];
  if (!first || !last) return null;
  const own = told.map(({ hour }) => hour);
  const warmth = own.map(({ temperatureC }) => temperatureC);
  return {
    expects: WEATHERS.filter((weather) => own.some((hour) => BRINGS[weather](hour, timeZone))),
    coldestC: Math.min(...warmth),
    warmestC: Math.max(...warmth),
    windiestMs: most(own.map(({ windMs }) => windMs)),
    wettestMmPerH: most(own.map(({ rainMmPerH }) => rainMmPerH)),
    from: first.day,
    to: last.day,
  };
}

/** What an hour foretold is to somebody who changes a lens in it. */
export type HourTold = Required<Pick<HourOutside, 'inTheAir' | 'temperatureC' | 'humidityPct'>> & Partial<Pick<HourOutside, 'wind'>>;

/** This hour by the forecast, rounded as one would type it; null where none of its hours is of now. */
export function hourTold(hours: readonly WeatherHour[], nowMs: number): HourTold | null {
  const near = hours.filter((hour) => isOfNow(hour, nowMs));
  const distance = ({ at }: WeatherHour) => Math.abs(instantMs(at) - nowMs);
  const hour = near.toSorted((a, b) => distance(a) - distance(b))[0];
  if (!hour) return null;
  const { temperatureC, humidityPct, windMs, rainMmPerH = 0 } = hour;
  const isMist = temperatureC - dewPointC(temperatureC, Math.max(1, humidityPct)) <= MIST_K;
  const inTheAir: InTheAir[] = [
    ...(rainMmPerH >= HEAVY_FROM ? ['heavy-rain' as const] : rainMmPerH >= RAIN_FROM_MM_H ? ['light-rain' as const] : []),
    ...(isMist ? ['dew' as const] : []),
  ];
  return {
    inTheAir,
    temperatureC: Math.round(temperatureC),
    humidityPct: Math.round(humidityPct),
    ...(windMs === undefined ? {} : { wind: windSign(windMs) }),
  };
}
