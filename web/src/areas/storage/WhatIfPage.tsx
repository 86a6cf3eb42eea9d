import type { Place, WhatIfStart } from '@bright-keeper/contract';
import type { fungus } from '@bright-keeper/core';
import { cannotExplainWords } from '@bright-keeper/words';
import { useEffect, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useIsHere, withChoice } from '../../ui/choices';
import { ButtonLink, Failure, Loading, Page, Section } from '../../ui/parts';
import { useSettings } from '../settings';
import { AdviceWords } from './AdviceWords';
import { usePlace, usePlaces, useWhatIf } from './queries';
import { useWhatIfResults } from './useWhatIfResults';
import { Courses, PastExplained, Side } from './WhatIfCourses';
import { asToday, daysOf, LIMITS, playableIn, whatIfFrom, type WhatIf, type WhatIfKey } from './whatIfState';

const SLIDERS: Record<WhatIfKey, { label: string; unit: string }> = {
  massG: { label: 'Desiccant', unit: 'g' },
  airChangesPerDay: { label: 'Changes of air a day', unit: '' },
  openingsPerWeek: { label: 'Openings a week', unit: '' },
  ownWarmerC: { label: 'Warmer than the air around it by', unit: '°C' },
  warmerC: { label: 'The air around warmer by', unit: '°C' },
  damperPct: { label: 'The air around damper by', unit: '%' },
  setPointPct: { label: 'Set-point', unit: '%' },
  powerCutDays: { label: 'Days without current', unit: '' },
};

type Set = (key: string, text: string | null) => void;

/** What one plays with: where it stands, what dries it, and a slider for each amount. */
function Play({ start, what, room, others, set }: { start: WhatIfStart; what: WhatIf; room: string; others: readonly Place[]; set: Set }) {
  const today = asToday(start);
  return (
    <>
      <label className="block">
        <span className="mb-1 block text-sm text-soft">Where it stands</span>
        <select className="input" value={room} onChange={(e) => set('room', e.target.value || null)}>
          <option value="">as today: {start.around.name}</option>
          {others.map((o) => (
            <option key={o.id} value={o.id}>
              in the air of: {o.name}
            </option>
          ))}
        </select>
      </label>
      {start.place.setPointPct === null && start.closed && (
        <label className="block">
          <span className="mb-1 block text-sm text-soft">What dries it</span>
          <select className="input" value={what.kind} onChange={(e) => set('kind', e.target.value)}>
            <option value="silica-gel">silica gel</option>
            <option value="rice">rice, oven-dried</option>
            <option value="none">nothing</option>
          </select>
        </label>
      )}
      {playableIn(start).map((key) => (
        <label key={key} className="block">
          <span className="flex justify-between">
            {SLIDERS[key].label} <span className="font-semibold">{`${Number((what[key] ?? 0).toFixed(2))} ${SLIDERS[key].unit}`}</span>
          </span>
          <input
            type="range"
            className="range"
            {...LIMITS[key]}
            value={what[key] ?? 0}
            onChange={(e) => set(key, Number(e.target.value) === today[key] ? null : e.target.value)}
          />
        </label>
      ))}
    </>
  );
}

/** The address is written when a slider has come to rest: browsers refuse to write it at every step of one. */
const AT_REST_MS = 250;

/** What is chosen on this page: as played with just now, else as the address says. */
function useDraggedChoices(): [URLSearchParams, Set] {
  const [params, setParams] = useSearchParams();
  const [played, setPlayed] = useState({ over: params, choices: params });
  const isHere = useIsHere();
  // Whatever else changes the address since is newer than what was played before it.
  const choices = played.over === params ? played.choices : params;
  useEffect(() => {
    if (choices === params) return;
    const timer = setTimeout(() => isHere() && setParams(choices, { replace: true }), AT_REST_MS);
    return () => clearTimeout(timer);
  }, [choices, params, setParams, isHere]);
  return [choices, (key, text) => setPlayed({ over: params, choices: withChoice(choices, key, text) })];
}

type ViewProps = {
  start: WhatIfStart;
  /** The same with the air of another place around it; `start` itself while none is chosen. */
  elsewhere: WhatIfStart;
  others: readonly Place[];
  name: string;
  placeId: string;
  school: fungus.HumiditySchool;
};

const aroundWords = ({ around }: WhatIfStart): string => {
  switch (around.source) {
    case 'place':
      return `the room around it (${around.name})`;
    case 'outdoors':
      return `the weather (${around.name})`;
    case 'assumed':
      return `a room nobody measured, taken as ${around.name}`;
    default:
      return around.source satisfies never;
  }
};

/** What stands above the courses: how far they hold, or that nothing is promised and what would change that. */
function Standing({ start }: { start: WhatIfStart }) {
  const { fit, hindcast, measured } = start;
  if ('cannot' in fit || !measured)
    return (
      <div role="note" className="sheet space-y-1 border-lamp p-4">
        <p className="font-semibold">Nothing is promised here: this place is not explained by its past yet.</p>
        <p>{'cannot' in fit ? cannotExplainWords(fit) : 'Too little was measured in it lately.'}</p>
        <p className="text-sm text-soft">
          What follows is a rule of thumb, by what you said of the place and what is usual for its kind. It was held against nothing.
        </p>
      </div>
    );
  return (
    hindcast && (
      <Section title="How well it explains the past">
        <div className="sheet p-4">
          <PastExplained hindcast={hindcast} fit={fit} band={start} />
        </div>
      </Section>
    )
  );
}

function WhatIfView({ start, elsewhere, others, name, placeId, school }: ViewProps) {
  const [choices, set] = useDraggedChoices();
  const what = whatIfFrom(choices, start);
  const { results, error } = useWhatIfResults(start, elsewhere, what, school);
  const isPromise = start.measured !== null;
  return (
    <Page
      title={<>What if? {name}</>}
      sub={`Over the last ${daysOf(start)} days of ${aroundWords(start)}, again with something changed.`}
      actions={<ButtonLink to={`/storage/${placeId}`}>Back to the place</ButtonLink>}
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-4 self-start p-4 lg:col-span-4">
          <Play start={start} what={what} room={choices.get('room') ?? ''} others={others} set={set} />
          <ButtonLink look="quiet" to={`/storage/${placeId}/what-if`}>
            As it is today
          </ButtonLink>
        </div>
        <div className="space-y-4 lg:col-span-8">
          {!isPromise && <Standing start={start} />}
          {error !== null && <Failure error={error} />}
          {!results && error === null && <Loading />}
          {results && (
            <>
              <div className="sheet p-4">
                <Courses results={results} start={start} />
                <p className="mt-1 text-sm text-soft">
                  Broken line: {isPromise ? 'as measured' : 'unchanged'}. Full line: what if
                  {isPromise ? ', the grey beside it how far that is open' : ''}. The tinted band is where it should stay.
                </p>
              </div>
              <div className="grid gap-4 md:grid-cols-2">
                <Side
                  title={isPromise ? 'Today, as measured' : 'Unchanged'}
                  result={results.now}
                  from={start.outside[0]?.at}
                  isPromise={isPromise}
                />
                <Side title="What if" result={results.then} from={start.outside[0]?.at} isPromise={isPromise} />
              </div>
            </>
          )}
          {start.advice && (
            <Section title="What helps most">
              <AdviceWords advice={start.advice} />
            </Section>
          )}
          {isPromise && <Standing start={start} />}
          <p className="text-sm text-soft">
            {isPromise
              ? 'What was measured, plus what the change makes of it by a model of this place: two stores in a row, fitted to its own log.'
              : 'The place is taken to be as warm as the air around it.'}{' '}
            An opening swaps half of its air, dry gel holds 2 % and dried rice 8 % of water. Gel by the Tóth isotherm (Chua/Ng et al. 2001),
            rice by ASABE D245.
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
      elsewhere={roomId && elsewhere.data ? elsewhere.data : start.data}
      others={places.data.places.filter((p) => p.id !== id)}
      name={place.data.name}
      placeId={id}
      school={settings.data.schools.humidity}
    />
  );
}
