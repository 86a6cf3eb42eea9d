import { routes, type Chart } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { useQueries } from '@tanstack/react-query';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { usePlaces } from '../storage';

const WEEKS = 53;
const AN_HOUR_MS = 3_600_000;

/** How damp the dampest place was in the same week of last year, % RH; null where nothing was measured. */
export function useDampSeasons(today: schedule.Day): (monday: schedule.Day) => number | null {
  const places = usePlaces();
  const from = `${schedule.addMonths(schedule.weekStart(today), -12)}T00:00:00.000Z`;
  const to = `${today}T00:00:00.000Z`;
  return useQueries({
    queries: (places.data?.places ?? []).map(({ id }) => ({
      queryKey: keys.chart(id, from, to, WEEKS),
      queryFn: () => http.get<Chart>(routes.placeChart(id) + queryString({ from, to, points: WEEKS })),
      staleTime: AN_HOUR_MS,
    })),
    combine: (charts) => {
      const byWeek = new Map<string, number>();
      for (const { data } of charts)
        for (const { at, humidityPct } of data?.points ?? []) {
          const week = schedule.weekStart(new Date(at).toISOString().slice(0, 10));
          byWeek.set(week, Math.max(byWeek.get(week) ?? 0, humidityPct.mean));
        }
      return (monday: schedule.Day) => byWeek.get(schedule.weekStart(schedule.addMonths(monday, -12))) ?? null;
    },
  });
}
