import { trip } from '@bright-keeper/core';
import { forecastWords, inWords, WEATHER_WORDS } from '@bright-keeper/words';
import { useMemo } from 'react';
import { Button } from '../../ui/parts';
import { useZone } from '../../ui/zone';
import { useOverview } from '../storage';

type Props = { from: string; to: string; weather: readonly trip.Weather[]; onTake: (weather: trip.Weather[]) => void; busy?: boolean };

/** What the household's own station foretells for the days of an outing, and what of it is not said of the outing yet. */
export function ForecastFor({ from, to, weather, onTake, busy = false }: Props) {
  const timeZone = useZone();
  const station = useOverview().data?.outdoors;
  const hours = station?.forecast?.readings;
  // A form is drawn at every letter; a forecast may have thousands of hours.
  const told = useMemo(() => (hours && from && to ? trip.weatherTold(hours, { from, to }, timeZone) : null), [hours, from, to, timeZone]);
  if (!station || !told) return null;
  const more = told.expects.filter((one) => !weather.includes(one));
  return (
    <div className="flex flex-wrap items-center gap-3 text-sm">
      <p className="min-w-0 flex-1 basis-80">{forecastWords(told, station.name, { to })}</p>
      {more.length > 0 && (
        <Button disabled={busy} onClick={() => onTake([...weather, ...more])}>
          Expect {inWords(more.map((one) => WEATHER_WORDS[one].toLowerCase()))}
        </Button>
      )}
    </div>
  );
}
