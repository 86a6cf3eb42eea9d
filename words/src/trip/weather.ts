import type { schedule, trip } from '@bright-keeper/core';
import { dayOfYear } from '../day.js';

export const WEATHER_WORDS: Record<trip.Weather, string> = {
  wind: 'Wind',
  rain: 'Rain or showers',
  cold: 'Frost',
  'damp-night': 'Clear damp nights',
};

/** A minus sign, not a hyphen. */
const degrees = (celsius: number): string => `${Math.round(celsius)}`.replace('-', '−');

/** How bad it gets: "−3 to 4 °C, wind up to 12 m/s, rain up to 1.5 mm an hour". */
function measures({ coldestC, warmestC, windiestMs, wettestMmPerH }: trip.WeatherTold): string {
  const [low, high] = [degrees(coldestC), degrees(warmestC)];
  return [
    low === high ? `${low} °C` : `${low} to ${high} °C`,
    ...(windiestMs === null ? [] : [`wind up to ${Math.round(windiestMs)} m/s`]),
    ...(wettestMmPerH === null ? [] : [wettestMmPerH < 0.1 ? 'no rain' : `rain up to ${wettestMmPerH.toFixed(1)} mm an hour`]),
  ].join(', ');
}

const silences = ({ windiestMs, wettestMmPerH }: trip.WeatherTold): string =>
  [...(windiestMs === null ? ['wind'] : []), ...(wettestMmPerH === null ? ['rain'] : [])].join(' and ');

/** What a station foretells of the days of an outing, for where it stands; and of what it says nothing. */
export function forecastWords(told: trip.WeatherTold, by: string, { to }: { to: schedule.Day }): string {
  const when = told.from === told.to ? dayOfYear(told.from) : `${dayOfYear(told.from)} to ${dayOfYear(told.to)}`;
  const silent = silences(told);
  return [
    `“${by}” foretells for where it stands, ${when}: ${measures(told)}.`,
    ...(silent ? [`It says nothing of ${silent}.`] : []),
    ...(told.to < to ? [`It speaks of no day after ${dayOfYear(told.to)}.`] : []),
  ].join(' ');
}
