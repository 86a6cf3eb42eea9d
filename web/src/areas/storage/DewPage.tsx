import { air, MS_PER_MINUTE } from '@bright-keeper/core';
import { Link } from 'react-router';
import { useChoices, withChoice } from '../../ui/choices';
import { Notice, Page } from '../../ui/parts';
import { useNow } from '../../ui/useNow';
import { useMoment } from '../../ui/when';
import { basisWords } from '../care';
import { dewAhead, dewFrom, FIELD_IDS, FIELDS, HOODS, measuredIn, SKIES, type DewView } from './dewState';
import { WayButtons } from '../../ui/WayButtons';
import { WINDS } from '../../ui/winds';
import { NumberEntry } from '../../ui/numberEntry';
import { useOverview } from './queries';

const waysOf = <T extends string>(ways: Record<T, readonly [string, number]>) =>
  (Object.entries(ways) as [T, readonly [string, number]][]).map(([way, [words]]) => [way, words] as const);

const hoursWords = (hours: number): string =>
  hours >= 100 ? 'for days' : hours >= 10 ? `for ${Math.round(hours)} hours` : `for ${hours.toFixed(1)} hours`;

/** The verdict in large letters, what it follows from, and what would keep the glass clear. */
function Answer({ view, result }: { view: DewView; result: NonNullable<DewView['result']> }) {
  const { glassC, dewPointC, dew, watts, cellHours, afterMinutes } = result;
  return (
    <Notice tone={dew ? 'attention' : 'good'}>
      <p className="text-xl font-semibold">{dew ? 'The front takes dew' : 'The front stays clear'}</p>
      <p className="mt-1">
        Under this sky it cools to {glassC.toFixed(1)} °C; dew settles below {dewPointC.toFixed(1)} °C.
        {dew && dewPointC < 0 && ' It comes as frost.'}
      </p>
      {afterMinutes !== null && (
        <p className="mt-1">
          {afterMinutes < 1
            ? 'It is as cold as that already: dew comes at once.'
            : `Carried out of the room it is as cold as that after about ${Math.round(afterMinutes)} minutes: the strap goes on before.`}
        </p>
      )}
      {cellHours !== null && (
        <p className="mt-1">
          A strap of {watts.toFixed(1)} W keeps it a degree above that; the cell lasts {hoursWords(cellHours)}, less in the cold.
        </p>
      )}
      {dew && view.hood !== 'long' && <p className="mt-1">A dew shield costs nothing and helps first; so does the cap while you wait.</p>}
      {dew && (
        <p className="mt-1">
          What has settled is left alone, since wiping moves dirt: it dries by itself once the glass is warmer, under a strap, or indoors
          shut in its bag.
        </p>
      )}
    </Notice>
  );
}

/** By the forecast of the station, where there is one. */
function Tonight({ view }: { view: DewView }) {
  const now = useNow(MS_PER_MINUTE).getTime();
  const at = useMoment();
  const forecast = useOverview().data?.outdoors?.forecast ?? null;
  if (!forecast) return null;
  const ahead = dewAhead(forecast, view, now);
  return (
    <p>
      {ahead
        ? `By the forecast it takes dew from ${ahead.fromMs <= now ? 'now on' : at(ahead.fromMs)}${ahead.toMs === null ? '' : ` to ${at(ahead.toMs)}`}, under the same sky.`
        : 'By the forecast it takes none in the next 12 hours, under the same sky.'}
    </p>
  );
}

/** Dew on a front under the night sky: whether, from when, and what keeps it clear. */
export function DewPage() {
  const [params, setParams] = useChoices();
  const measured = measuredIn(useOverview().data, useNow(MS_PER_MINUTE).getTime());
  const view = dewFrom(params, measured);
  const set = (key: string, value: string) => setParams(withChoice(params, key, value), { replace: true });
  return (
    <Page title="Dew tonight" sub="A front under a clear sky gets colder than the air, and takes dew before anything else does.">
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-4 p-5 lg:col-span-6">
          <div className="grid gap-4 sm:grid-cols-2">
            {FIELD_IDS.map((field) => (
              <NumberEntry key={field} label={FIELDS[field].label} entry={view.entries[field]} onChange={(text) => set(field, text)} />
            ))}
          </div>
          <WayButtons legend="The sky" ways={waysOf(SKIES)} chosen={view.sky} onChoose={(sky) => set('sky', sky)} />
          <WayButtons legend="The wind" ways={waysOf(WINDS)} chosen={view.wind} onChoose={(wind) => set('wind', wind)} />
          <WayButtons legend="Before the glass" ways={waysOf(HOODS)} chosen={view.hood} onChoose={(hood) => set('hood', hood)} />
          {measured.airC !== undefined && <p className="text-sm text-soft">The air is filled in from your weather station.</p>}
        </div>
        <div className="space-y-4 lg:col-span-6">
          {view.result && <Answer view={view} result={view.result} />}
          <Tonight view={view} />
          <p className="text-sm text-soft">{basisWords(air.DEW_BASIS)}</p>
          <p>
            Afterwards, indoors:{' '}
            <Link className="underline" to="/warm-up">
              how long to leave it shut
            </Link>
          </p>
        </div>
      </div>
    </Page>
  );
}
