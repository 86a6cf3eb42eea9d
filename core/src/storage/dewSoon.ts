import { type Dew, dewOnGlass, type OpenSky, type WeatherHour } from '../air/index.js';
import { MS_PER_HOUR } from '../units.js';
import { bareTauMinutes, type TypicalThing } from './warmUp.js';

/**
 * After how many minutes out there a front takes dew that comes from a warmer room: it cools towards what the sky makes of
 * it. 0 where it is cold enough already, null where it never takes any.
 */
export function dewAfterMinutes(fromC: number, { glassC, dewPointC, dew }: Dew, thing: TypicalThing): number | null {
  if (!dew) return null;
  return fromC <= dewPointC ? 0 : bareTauMinutes(thing) * Math.log((fromC - glassC) / (dewPointC - glassC));
}

/** How far ahead a night reaches, hours: beyond it the sun is up again, which is not reckoned with. */
const TONIGHT_H = 12;

/** What a front stands under, whatever the hour. */
export type FrontUnder = Pick<OpenSky, 'cloud' | 'windMs' | 'hoodRatio'>;
/** A clear, still night, and nothing before the glass: no front takes dew sooner. */
export const BARE_UNDER_THE_SKY: FrontUnder = { cloud: 0, windMs: 0, hoodRatio: 0 };

/** From so much on it rains, mm/h: less wets nothing (our choice). */
export const RAIN_FROM_MM_H = 0.2;

/** Does a front that stands out in an hour of weather take dew? Under rain it is wet without, and no sky is clear. */
export const takesDew = ({ temperatureC, humidityPct, rainMmPerH = 0 }: WeatherHour, under: FrontUnder): boolean =>
  rainMmPerH < RAIN_FROM_MM_H && dewOnGlass({ airC: temperatureC, humidityPct, ...under }).dew;

/**
 * From when the hours foretold mean dew on a front, and until when where it clears within the night, ms; null where there is
 * none of it in the next twelve hours. An hour that has begun counts from its beginning.
 *
 * @param isNight leaves out hours in which the sun may be up; all count where it is left out.
 */
export function dewAhead(
  hours: readonly WeatherHour[],
  under: FrontUnder,
  nowMs: number,
  isNight: (ms: number) => boolean = () => true,
): { fromMs: number; toMs: number | null } | null {
  const ahead = hours
    .map((hour) => ({ ms: Date.parse(hour.at), dew: takesDew(hour, under) }))
    .filter(({ ms }) => ms > nowMs - MS_PER_HOUR && ms <= nowMs + TONIGHT_H * MS_PER_HOUR && isNight(ms));
  const first = ahead.findIndex((hour) => hour.dew);
  if (first < 0) return null;
  return { fromMs: ahead[first]!.ms, toMs: ahead.slice(first).find((hour) => !hour.dew)?.ms ?? null };
}
