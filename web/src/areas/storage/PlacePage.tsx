import type { PlacePage as PlaceData } from '@bright-keeper/contract';
import { fungus, storage } from '@bright-keeper/core';
import { assessWords, homeWords, warningWords } from '@bright-keeper/words';
import { lazy, Suspense } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { ClimateRibbon, ribbonEvents } from '../../ui/ClimateRibbon';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { useNow } from '../../ui/useNow';
import { At, todayHere } from '../../ui/when';
import { withChoice } from '../care/planChoices';
import { AlertList } from './AlertList';
import { BoxCard } from './BoxCard';
import { LevelChip } from './PlaceCard';
import { useArchivePlace, useChart, usePlace } from './queries';
import { airWords, EVENT_MARKS, eventWords, zoneName } from './words';

// Chart.js is large: it comes when a chart is first drawn.
const ClimateChart = lazy(async () => ({ default: (await import('./ClimateChart')).ClimateChart }));

const HOUR = 3_600_000;
const SPANS = [
  ['hour', 'An hour', HOUR],
  ['day', 'A day', 24 * HOUR],
  ['week', 'A week', 7 * 24 * HOUR],
  ['month', 'A month', 31 * 24 * HOUR],
  ['season', '3 months', 92 * 24 * HOUR],
  ['year', 'A year', 366 * 24 * HOUR],
  ['5-years', '5 years', 5 * 365.25 * 24 * HOUR],
] as const;
const MINUTE = 60_000;

/** The chart with its spans; how far back one looks stands in the address. */
function ChartSection({ place }: { place: PlaceData }) {
  const [params, setParams] = useSearchParams();
  const [id, , spanMs] = SPANS.find(([s]) => s === params.get('span')) ?? SPANS[3];
  const backMs = Math.max(0, Number(params.get('back') ?? 0)) * spanMs;
  // To the minute, so that the same question is not asked anew with every look.
  const now = Math.ceil(useNow(MINUTE).getTime() / MINUTE) * MINUTE;
  const to = new Date(now - backMs).toISOString();
  const from = new Date(now - backMs - spanMs).toISOString();
  const chart = useChart(place.id, from, to);
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
        {chart.isError && <Failure error={chart.error} onRetry={() => void chart.refetch()} />}
        {chart.data &&
          (chart.data.points.length === 0 ? (
            <p className="py-12 text-center text-soft">No readings in this time.</p>
          ) : (
            <Suspense fallback={<Loading />}>
              <ClimateChart chart={chart.data} band={place} />
            </Suspense>
          ))}
      </div>
    </Section>
  );
}

/** When growth is to be expected if it goes on like this. */
function soon(days: number | null): string {
  if (days === null) return 'not as it is';
  if (days === 0) return 'reached';
  return days < 60 ? `in ${Math.ceil(days)} days` : `in ${Math.round(days / 30.4)} months`;
}

/** Both models side by side, with what a gap may hide. */
function Risk({ assessment }: { assessment: fungus.Assessment }) {
  const { now, best, worst, peak, daysToGrowth, gapHours } = assessment;
  const widened = gapHours > 0 && (best.dose.toFixed(1) !== worst.dose.toFixed(1) || best.index.toFixed(1) !== worst.index.toFixed(1));
  const row = (name: string, words: (at: fungus.Exposure) => string, days: number | null) => (
    <tr className="border-t border-line">
      <th scope="row" className="py-2 pr-3 text-left font-medium">
        {name}
      </th>
      <td className="pr-3">{words(now)}</td>
      <td className="pr-3">{words(peak)}</td>
      {widened && (
        <td className="pr-3">
          {words(best)} to {words(worst)}
        </td>
      )}
      <td>{soon(days)}</td>
    </tr>
  );
  return (
    <div className="sheet p-4">
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left text-soft">
            <th className="pb-1 font-normal">Model</th>
            <th className="pb-1 font-normal">now</th>
            <th className="pb-1 font-normal">at its worst</th>
            {widened && <th className="pb-1 font-normal">with the gaps</th>}
            <th className="pb-1 font-normal">growth</th>
          </tr>
        </thead>
        <tbody>
          {row('Mould index', ({ index }) => `${index.toFixed(1)} of 6`, daysToGrowth.byIndex)}
          {row('Early warning', warningWords, daysToGrowth.byDose)}
        </tbody>
      </table>
      <ul className="mt-3 space-y-1 text-sm text-soft">
        {assessment.reasons.map((r) => (
          <li key={r.says}>{assessWords(r)}</li>
        ))}
        <li>
          Mould index: Hukka & Viitanen 1999. Early warning: our choice, cautious, on conservation practice. Your humidity school decides
          which of them alarms;{' '}
          <Link to="/settings" className="link">
            change it in Settings
          </Link>
          .
        </li>
      </ul>
    </div>
  );
}

function Things({ place }: { place: PlaceData }) {
  if (place.items.length === 0) return <p className="text-soft">Nothing lies here.</p>;
  return (
    <ul className="sheet divide-y divide-line">
      {place.items.map((item) => (
        <li key={item.itemId} className="px-4 py-2.5">
          <Link to={`/gear/${item.itemId}`} className="font-medium hover:underline">
            {item.name}
          </Link>{' '}
          <span className="text-sm text-soft">
            since <At instant={item.since} />
          </span>
          {item.sick && place.items.length > 1 && (
            <p className="text-sm font-medium text-act">
              It has fungus: it must not stay with the others. Take it out, and apart from everything.
            </p>
          )}
          {item.better && (
            <p className="text-sm text-soft">
              Better in: <span className="text-ink">{item.better.name}</span>. {item.better.reasons[0] && homeWords(item.better.reasons[0])}
            </p>
          )}
        </li>
      ))}
    </ul>
  );
}

const Events = ({ events }: { events: PlaceData['events'] }) => (
  <ol className="sheet max-h-72 divide-y divide-line overflow-y-auto">
    {events.map((e) => (
      <li key={e.id} className="flex gap-3 px-4 py-2 text-sm">
        <span aria-hidden="true" className="w-4 text-center text-soft">
          {EVENT_MARKS[e.data.kind]}
        </span>
        <span className="flex-1">{eventWords(e.data)}</span>
        <span className="text-soft">
          <At instant={e.at} />
        </span>
      </li>
    ))}
  </ol>
);

export function PlacePage() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const place = usePlace(id);
  const archive = useArchivePlace(id);
  if (place.isPending) return <Loading />;
  if (place.isError) return <Failure error={place.error} onRetry={() => void place.refetch()} />;
  const data = place.data;
  const closed = storage.placeFacts(data.kind).airChangesPerDay !== null;
  const measured = data.ribbon.length > 0 || data.assessment;
  // Beside the chart; where there is none, it is what the page is about.
  const box = closed && <BoxCard place={data} />;
  return (
    <Page
      title={
        <>
          {data.name} <LevelChip level={data.assessment} />
        </>
      }
      sub={
        <>
          {storage.placeFacts(data.kind).name}
          {data.latest && (
            <>
              {' '}
              · <span className="font-semibold">{airWords(data.latest)}</span>, dew point {data.latest.dewPointC.toFixed(1)} °C
              {data.zone && `, ${zoneName(data.zone)}`} · heard <At instant={data.latest.at} />
            </>
          )}
        </>
      }
      actions={
        <>
          <ButtonLink to={`/storage/${id}/edit`}>Edit</ButtonLink>
          <ButtonLink look="filled" to={`/storage/${id}/what-if`}>
            What if?
          </ButtonLink>
        </>
      }
    >
      {data.alerts.length > 0 && (
        <div className="mb-6">
          <AlertList alerts={data.alerts} />
        </div>
      )}
      {data.ribbon.length > 0 && (
        <div className="sheet mb-6 p-4">
          <ClimateRibbon
            days={data.ribbon}
            span={90}
            today={todayHere()}
            highPct={data.highPct}
            events={ribbonEvents(
              data.events,
              (e) => EVENT_MARKS[e.data.kind],
              (e) => eventWords(e.data),
            )}
          />
        </div>
      )}
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="min-w-0 space-y-6 lg:col-span-8">
          {measured ? (
            <ChartSection place={data} />
          ) : (
            <>
              <Notice tone="attention">
                Nothing is measured here. <ButtonLink to="/hygrometers">Put a hygrometer in it</ButtonLink>
              </Notice>
              {box}
            </>
          )}
          {data.assessment && (
            <Section title="Fungus risk">
              <Risk assessment={data.assessment} />
            </Section>
          )}
        </div>
        <div className="min-w-0 space-y-6 lg:col-span-4">
          {measured && box}
          <Section title="What lies here">
            <Things place={data} />
          </Section>
          {data.events.length > 0 && (
            <Section title="What happened">
              <Events events={data.events} />
            </Section>
          )}
          <Section title="Damp against air">
            <p className="sheet p-4 text-sm">{storage.placeFacts(data.kind).tradeOff}</p>
          </Section>
          {data.items.length === 0 && (
            <Button
              onClick={() => archive.mutate(data.version, { onSuccess: () => void navigate('/storage') })}
              disabled={archive.isPending}
            >
              Give this place up
            </Button>
          )}
          {archive.error && <Failure error={archive.error} />}
        </div>
      </div>
    </Page>
  );
}
