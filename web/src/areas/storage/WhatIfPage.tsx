import type { Place, PlaceAdvice, WhatIfStart } from '@bright-keeper/contract';
import { fungus, type air, type storage } from '@bright-keeper/core';
import { warningWords } from '@bright-keeper/words';
import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { ButtonLink, Failure, Loading, Page, Section } from '../../ui/parts';
import type { WhatIfWorker } from '../../workers/whatIf.worker';
import { withChoice } from '../../ui/address';
import { useSettings } from '../settings/queries';
import { AdviceWords } from './AdviceWords';
import { usePlace, usePlaces, useWhatIf } from './queries';
import { asToday, LIMITS, roomOf, scenarioOf, todayScenario, type WhatIf } from './whatIfState';
import { LEVEL_TONES, LEVEL_WORDS } from './words';

/** Today is what was measured, where it was; else what the model makes of it. */
type Today = storage.Figures & { readings: air.Reading[]; exhaustedAt?: string | null };
type Results = { now: Today; then: storage.ScenarioResult };

/** The worker of this page, made with it and ended with it. */
function useWorker(): () => Remote<WhatIfWorker> {
  const kept = useRef<{ worker: Worker; api: Remote<WhatIfWorker> } | null>(null);
  useEffect(
    () => () => {
      kept.current?.worker.terminate();
      kept.current = null;
    },
    [],
  );
  return useCallback(() => {
    if (!kept.current) {
      const worker = new Worker(new URL('../../workers/whatIf.worker.ts', import.meta.url), { type: 'module' });
      kept.current = { worker, api: wrap<WhatIfWorker>(worker) };
    }
    return kept.current.api;
  }, []);
}

const bandOf = ({ lowPct, highPct }: WhatIfStart) => ({ lowPct, highPct });

/** Reckons today and what-if side by side; an answer that comes after a newer question is dropped. */
function useResults(start: WhatIfStart, elsewhere: WhatIfStart, what: WhatIf, humiditySchool: fungus.HumiditySchool) {
  const worker = useWorker();
  const [reckoned, setReckoned] = useState<storage.ScenarioResult | null>(null);
  const [then, setThen] = useState<storage.ScenarioResult | null>(null);
  const [error, setError] = useState<unknown>(null);
  const asked = useRef(0);
  const text = JSON.stringify(what);
  const options = useMemo<fungus.AssessOptions>(
    () => ({ humiditySchool, surfaceState: 'soiled-glass', start: start.exposure }),
    [humiditySchool, start.exposure],
  );
  // Today does not change while one plays: it is reckoned once.
  useEffect(() => {
    if (start.measured) return;
    worker().run(todayScenario(start), start.room, bandOf(start), options).then(setReckoned, setError);
  }, [worker, start, options]);
  useEffect(() => {
    const turn = ++asked.current;
    const wanted = JSON.parse(text) as WhatIf;
    worker()
      .run(scenarioOf(start, wanted), roomOf(elsewhere, wanted), bandOf(start), options)
      .then(
        (result) => turn === asked.current && setThen(result),
        (failure: unknown) => turn === asked.current && setError(failure),
      );
  }, [worker, start, elsewhere, text, options]);
  const now: Today | null = start.measured ?? reckoned;
  const results: Results | null = now && then && { now, then };
  return { results, error };
}

const W = 640;
const H = 200;

/** Both courses over the same weeks, the band between its lines. */
function Courses({ results: { now, then }, band }: { results: Results; band: { lowPct: number; highPct: number } }) {
  const path = (readings: readonly air.Reading[]) => {
    const step = Math.max(1, Math.floor(readings.length / W));
    return readings
      .filter((_, i) => i % step === 0)
      .map(
        (r, i, all) =>
          `${i === 0 ? 'M' : 'L'}${((i / Math.max(1, all.length - 1)) * W).toFixed(1)} ${(H - (r.humidityPct / 100) * H).toFixed(1)}`,
      )
      .join('');
  };
  const y = (pct: number) => H - (pct / 100) * H;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="img"
      aria-label={`Humidity today, on average ${now.meanPct.toFixed(0)} %, and what if, ${then.meanPct.toFixed(0)} %`}
    >
      <rect width={W} height={H} className="fill-well" />
      <rect y={y(band.highPct)} width={W} height={y(band.lowPct) - y(band.highPct)} className="fill-glass-tint" />
      <path d={path(now.readings)} fill="none" className="stroke-soft" strokeWidth="1.5" strokeDasharray="4 3" />
      <path d={path(then.readings)} fill="none" className="stroke-ink" strokeWidth="2" />
      {[20, 40, 60, 80].map((pct) => (
        <text key={pct} x="4" y={y(pct) + 4} fontSize="11" className="fill-soft">
          {pct} %
        </text>
      ))}
    </svg>
  );
}

function Side({ title, result }: { title: string; result: Today }) {
  const rows: [string, string][] = [
    ['On average', `${result.meanPct.toFixed(0)} %`],
    ['Above its band', `${Math.round(result.above * 100)} % of the time`],
    ['Below its band', `${Math.round(result.below * 100)} % of the time`],
    ['Early warning', warningWords(result.end)],
    ['Mould index', `${result.end.index.toFixed(1)} of 6`],
  ];
  if (result.exhaustedAt !== undefined)
    rows.push(['Above its band for good', result.exhaustedAt ? `from ${result.exhaustedAt.slice(0, 10)} on` : 'not in this time']);
  return (
    <section aria-label={title} className="sheet p-4">
      <h3 className="mb-2 flex items-center justify-between font-semibold">
        {title} <span className={`rounded px-2 py-0.5 text-sm ${LEVEL_TONES[result.level]}`}>{LEVEL_WORDS[result.level]}</span>
      </h3>
      <dl className="space-y-1 text-sm">
        {rows.map(([term, value]) => (
          <div key={term} className="flex justify-between gap-3">
            <dt className="text-soft">{term}</dt>
            <dd className="text-right">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

type SliderKey = keyof typeof LIMITS;
const SLIDERS: { key: SliderKey; label: string; unit: string }[] = [
  { key: 'massG', label: 'Desiccant', unit: 'g' },
  { key: 'airChangesPerDay', label: 'Changes of air a day', unit: '' },
  { key: 'openingsPerWeek', label: 'Openings a week', unit: '' },
  { key: 'warmerC', label: 'Room warmer by', unit: 'K' },
  { key: 'damperPct', label: 'Room damper by', unit: '%' },
  { key: 'setPointPct', label: 'Set-point', unit: '%' },
  { key: 'powerCutDays', label: 'Days without current', unit: '' },
];
const CABINET_ONLY: readonly SliderKey[] = ['setPointPct', 'powerCutDays'];
const BOX_ONLY: readonly SliderKey[] = ['massG', 'openingsPerWeek'];

type ViewProps = {
  start: WhatIfStart;
  /** The same with the room of another place around it; `start` itself while none is chosen. */
  elsewhere: WhatIfStart;
  others: readonly Place[];
  name: string;
  placeId: string;
  school: fungus.HumiditySchool;
  /** The place’s own advice: the same here as on its page. */
  advice: PlaceAdvice | null;
};

function WhatIfView({ start, elsewhere, others, name, placeId, school, advice }: ViewProps) {
  const [params, setParams] = useSearchParams();
  const today = useMemo(() => asToday(start), [start]);
  const isCabinet = start.setPointPct !== null;
  const value = (key: SliderKey): number => {
    const text = params.get(key);
    const number = text === null ? NaN : Number(text);
    return Number.isFinite(number) ? Math.min(LIMITS[key].max, Math.max(LIMITS[key].min, number)) : (today[key] ?? 0);
  };
  const kinds = ['silica-gel', 'rice', 'none'] as const;
  const kind = kinds.find((k) => k === params.get('kind')) ?? (today.kind === 'none' && value('massG') > 0 ? 'silica-gel' : today.kind);
  const what: WhatIf = {
    kind,
    massG: value('massG'),
    airChangesPerDay: value('airChangesPerDay'),
    openingsPerWeek: value('openingsPerWeek'),
    warmerC: value('warmerC'),
    damperPct: value('damperPct'),
    setPointPct: isCabinet ? value('setPointPct') : null,
    powerCutDays: value('powerCutDays'),
  };
  const { results, error } = useResults(start, elsewhere, what, school);
  const set = (key: string, text: string | null) => setParams(withChoice(params, key, text), { replace: true });
  const shown = SLIDERS.filter(({ key }) => (isCabinet ? !BOX_ONLY.includes(key) : !CABINET_ONLY.includes(key)));
  const days = start.room.length > 1 ? Math.round((Date.parse(start.room.at(-1)!.at) - Date.parse(start.room[0]!.at)) / 86_400_000) : 0;
  return (
    <Page
      title={<>What if? {name}</>}
      sub={`Over the last ${days} days of the room around it (${start.roomName}), again with something changed.`}
      actions={<ButtonLink to={`/storage/${placeId}`}>Back to the place</ButtonLink>}
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-4 p-4 lg:col-span-4">
          <label className="block">
            <span className="mb-1 block text-sm text-soft">Where it stands</span>
            <select className="input" value={params.get('room') ?? ''} onChange={(e) => set('room', e.target.value || null)}>
              <option value="">as today: {start.roomName}</option>
              {others.map((o) => (
                <option key={o.id} value={o.id}>
                  in the air of: {o.name}
                </option>
              ))}
            </select>
          </label>
          {!isCabinet && (
            <label className="block">
              <span className="mb-1 block text-sm text-soft">What dries it</span>
              <select className="input" value={kind} onChange={(e) => set('kind', e.target.value)}>
                <option value="silica-gel">silica gel</option>
                <option value="rice">rice, oven-dried</option>
                <option value="none">nothing</option>
              </select>
            </label>
          )}
          {shown.map(({ key, label, unit }) => (
            <label key={key} className="block">
              <span className="flex justify-between">
                {label} <span className="font-semibold">{`${Number(value(key).toFixed(2))} ${unit}`}</span>
              </span>
              <input
                type="range"
                className="range"
                {...LIMITS[key]}
                value={value(key)}
                onChange={(e) => set(key, Number(e.target.value) === today[key] ? null : e.target.value)}
              />
            </label>
          ))}
          <ButtonLink look="quiet" to={`/storage/${placeId}/what-if`}>
            As it is today
          </ButtonLink>
        </div>
        <div className="space-y-4 lg:col-span-8">
          {error !== null && <Failure error={error} />}
          {!results && error === null && <Loading />}
          {results && (
            <>
              <div className="sheet p-4">
                <Courses results={results} band={start} />
                <p className="mt-1 text-sm text-soft">Broken line: today. Full line: what if. The tinted band is where it should stay.</p>
              </div>
              <div className="grid gap-4 md:grid-cols-2">
                <Side title={start.measured ? 'Today, as measured' : 'Today'} result={results.now} />
                <Side title="What if" result={results.then} />
              </div>
            </>
          )}
          {advice && (
            <Section title="What helps most">
              <AdviceWords advice={advice} />
            </Section>
          )}
          <p className="text-sm text-soft">
            A first reckoning: the box has the room’s temperature, an opening swaps half of its air, dry gel holds 2 % and dried rice 8 % of
            water. Gel by the Tóth isotherm (Chua/Ng et al. 2001), rice by ASABE D245.
          </p>
        </div>
      </div>
    </Page>
  );
}

export function WhatIfPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const roomId = params.get('room');
  const start = useWhatIf(id, null);
  const elsewhere = useWhatIf(id, roomId);
  const places = usePlaces();
  const place = usePlace(id);
  const settings = useSettings();
  const failed = [start, elsewhere, place, places, settings].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!start.data || !place.data || !places.data || !settings.data) return <Loading />;
  return (
    <WhatIfView
      start={start.data}
      elsewhere={elsewhere.data ?? start.data}
      others={places.data.places.filter((p) => p.id !== id)}
      name={place.data.name}
      placeId={id}
      school={settings.data.schools.humidity}
      advice={place.data.advice}
    />
  );
}
