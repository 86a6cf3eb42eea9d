import { MS_PER_HOUR, MS_PER_MINUTE } from '@bright-keeper/core';
import type { PlacePage as PlaceData } from '@bright-keeper/contract';
import { lazy, Suspense, useEffect, useRef } from 'react';
import { Button, Failure, Loading, Section } from '../../ui/parts';
import { SOON_PX, useNear } from '../../ui/useNear';
import { useNow } from '../../ui/useNow';
import { useIsWide } from '../../ui/windowed';
import { useChoices, withChoice } from '../../ui/choices';
import { useChart } from './queries';

// Chart.js is large: its code comes when a chart is first neared, and draws when it is seen.
const chartCode = () => import('./ClimateChart');
const ClimateChart = lazy(async () => ({ default: (await chartCode()).ClimateChart }));

const SPANS = [
  ['hour', 'An hour', MS_PER_HOUR],
  ['day', 'A day', 24 * MS_PER_HOUR],
  ['week', 'A week', 7 * 24 * MS_PER_HOUR],
  ['month', 'A month', 31 * 24 * MS_PER_HOUR],
  ['season', '3 months', 92 * 24 * MS_PER_HOUR],
  ['year', 'A year', 366 * 24 * MS_PER_HOUR],
  ['5-years', '5 years', 5 * 365.25 * 24 * MS_PER_HOUR],
] as const;

/** The chart with its spans; how far back one looks stands in the address. */
export function ChartSection({ place }: { place: PlaceData }) {
  const [params, setParams] = useChoices();
  const [id, , spanMs] = SPANS.find(([s]) => s === params.get('span')) ?? SPANS[3];
  const backMs = Math.max(0, Number(params.get('back') ?? 0)) * spanMs;
  // To the minute, so that the same question is not asked anew with every look.
  const now = Math.ceil(useNow(MS_PER_MINUTE).getTime() / MS_PER_MINUTE) * MS_PER_MINUTE;
  const to = new Date(now - backMs).toISOString();
  const from = new Date(now - backMs - spanMs).toISOString();
  const isWide = useIsWide();
  const chart = useChart(place.id, from, to, isWide ? 600 : 300);
  const plot = useRef<HTMLDivElement>(null);
  const isNear = useNear(plot, SOON_PX);
  const isSeen = useNear(plot);
  useEffect(() => {
    if (isNear) void chartCode().catch(() => undefined);
  }, [isNear]);
  const back = Number(params.get('back') ?? 0);
  const go = (n: number) => setParams(withChoice(params, 'back', n > 0 ? String(n) : null), { replace: true });
  return (
    <Section
      title="The air"
      aside={
        <span className="flex gap-2">
          <Button look="quiet" onClick={() => go(back + 1)}>
            Earlier
          </Button>
          <Button look="quiet" disabled={back === 0} onClick={() => go(back - 1)}>
            Later
          </Button>
        </span>
      }
    >
      <div className="sheet p-4">
        <div className="mb-3 flex flex-wrap gap-1.5" role="group" aria-label="How long">
          {SPANS.map(([s, name]) => (
            <button
              key={s}
              type="button"
              aria-pressed={s === id}
              onClick={() => setParams(withChoice(withChoice(params, 'back', null), 'span', s), { replace: true })}
              className={`min-h-9 rounded border px-3 text-sm ${s === id ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line bg-page'}`}
            >
              {name}
            </button>
          ))}
        </div>
        {/* As high as the chart, so that what stands below does not jump when it comes. */}
        <div ref={plot} className="min-h-[32rem]">
          {chart.isError && <Failure error={chart.error} onRetry={() => void chart.refetch()} />}
          {chart.data &&
            (chart.data.points.length === 0 ? (
              <p className="py-12 text-center text-soft">No readings in this time.</p>
            ) : (
              isSeen && (
                <Suspense fallback={<Loading />}>
                  <ClimateChart chart={chart.data} band={place} />
                </Suspense>
              )
            ))}
        </div>
      </div>
    </Section>
  );
}
