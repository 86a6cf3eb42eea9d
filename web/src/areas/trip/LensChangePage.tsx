import { MS_PER_MINUTE, trip } from '@bright-keeper/core';
import { IN_THE_AIR_WORDS, LENS_CHANGE_ANSWER, lensChangeBecause, lensChangeStep, STANDS_OPEN, WIND_SIGN } from '@bright-keeper/words';
import { useChoices, withChoice } from '../../ui/choices';
import { Fold } from '../../ui/Fold';
import { Button, ButtonLink, Page, Section } from '../../ui/parts';
import { useNow } from '../../ui/useNow';
import { ToggleButtons, WayButtons } from '../../ui/WayButtons';
import { useOverview } from '../storage';
import { toggledIn } from './kitView';
import { HAS, HAS_WORDS, hourFrom, withHour } from './lensChangeView';
import { LensOrder } from './LensOrder';

type Set = (key: string, value: string | null) => void;

/** This hour as the household's station foretells it, in one tap; where one stands it may blow otherwise. */
function ByForecast({ onTake }: { onTake: (told: trip.HourTold) => void }) {
  const now = useNow(MS_PER_MINUTE).getTime();
  const station = useOverview().data?.outdoors;
  const told = station?.forecast && trip.hourTold(station.forecast.readings, now);
  if (!station || !told) return null;
  return (
    <Button className="mb-2" onClick={() => onTake(told)}>
      As “{station.name}” foretells it
    </Button>
  );
}

function Hour({ hour, params, set }: { hour: trip.HourOutside; params: URLSearchParams; set: Set }) {
  const has = HAS.filter((h) => hour[h]);
  const typed = (key: string, label: string, unit: string) => (
    <label className="flex flex-col gap-1">
      {label}
      <span className="flex items-center gap-2">
        <input
          type="number"
          inputMode="decimal"
          className="input w-24"
          value={params.get(key) ?? ''}
          onChange={(e) => set(key, e.target.value === '' ? null : e.target.value)}
        />{' '}
        {unit}
      </span>
    </label>
  );
  return (
    <div className="sheet space-y-4 p-4">
      <WayButtons
        legend="The wind"
        ways={trip.WIND_SIGNS.map((w) => [w, WIND_SIGN[w]] as const)}
        chosen={hour.wind}
        onChoose={(w) => set('wind', w)}
      />
      <ToggleButtons
        legend="In the air"
        ways={trip.IN_THE_AIR.map((a) => [a, IN_THE_AIR_WORDS[a]] as const)}
        on={hour.inTheAir}
        onToggle={(a) => set('air', toggledIn(hour.inTheAir, a))}
      />
      <ToggleButtons
        legend="Near you"
        ways={HAS.map((h) => [h, HAS_WORDS[h]] as const)}
        on={has}
        onToggle={(h) => set('has', toggledIn(has, h))}
      />
      <WayButtons
        legend="The camera takes"
        ways={[
          ['no', 'Pictures'],
          ['yes', 'Film'],
        ]}
        chosen={hour.film ? 'yes' : 'no'}
        onChoose={(w) => set('film', w === 'yes' ? 'yes' : null)}
      />
      <Fold title="It comes from the cold" mustShow={params.has('t') || params.has('rh') || params.has('gear')}>
        <div className="flex flex-wrap gap-4 px-4 pb-2">
          {typed('gear', 'Camera', '°C')}
          {typed('t', 'Air here', '°C')}
          {typed('rh', 'Its humidity', '%')}
        </div>
      </Fold>
    </div>
  );
}

const ROW = 34;
const COLUMN = 30;
const NAMES = 90;
/** Who stands open at which step: a bar over the steps for each of the three. */
function WhoIsOpen({ steps }: { steps: readonly trip.LensChangeStep[] }) {
  const width = NAMES + COLUMN * steps.length;
  const spans = trip.MAY_STAND_OPEN.map((what) => steps.flatMap((s, i) => (s.open.includes(what) ? [i] : [])));
  const words = trip.MAY_STAND_OPEN.map((what, i) => `${STANDS_OPEN[what]} at step ${spans[i]!.map((n) => n + 1).join(', ')}`).join('; ');
  return (
    <svg viewBox={`0 0 ${width} ${ROW * 4}`} className="w-full max-w-xl" role="img" aria-label={`What stands open. ${words}.`}>
      {steps.map((s, i) => (
        <text key={s.id} x={NAMES + COLUMN * (i + 0.5)} y={20} textAnchor="middle" className="fill-soft text-sm">
          {i + 1}
        </text>
      ))}
      {trip.MAY_STAND_OPEN.map((what, row) => (
        <g key={what} transform={`translate(0 ${ROW * (row + 1)})`}>
          <text y={21} className="fill-ink text-sm">
            {STANDS_OPEN[what]}
          </text>
          <line x1={NAMES} x2={width} y1={ROW / 2} y2={ROW / 2} className="stroke-line" strokeWidth="2" />
          {spans[row]!.map((i) => (
            <rect
              key={i}
              x={NAMES + COLUMN * i + 1}
              y={6}
              width={COLUMN - 2}
              height={ROW - 12}
              rx="3"
              className="fill-lamp-tint stroke-lamp"
            />
          ))}
        </g>
      ))}
    </svg>
  );
}

const TONES: Record<trip.LensChangeAnswer, string> = {
  'go-ahead': 'bg-glass-tint',
  'under-cover': 'bg-lamp-tint',
  shelter: 'bg-lamp-tint',
  wait: 'bg-act-tint',
};

/** Out there: may a lens be changed now, how, and in which order of pictures it has to be done least. */
export function LensChangePage() {
  const [params, setParams] = useChoices();
  const set: Set = (key, value) => setParams(withChoice(params, key, value), { replace: true });
  const hour = hourFrom(params);
  const advice = trip.lensChangeNow(hour);
  return (
    <Page
      title="Change a lens out there"
      sub="What blows, what falls, what there is to hide in: then whether, where and how."
      actions={<ButtonLink to="/field">What happened</ButtonLink>}
    >
      <div className="grid gap-6 lg:grid-cols-12">
        {/* Out there the answer comes first on a small screen, and what is tapped is as large as a glove. */}
        <Section title="Now" className="lg:order-2 lg:col-span-7">
          <div role="status" className={`rounded px-4 py-3 ${TONES[advice.answer]}`}>
            <p className="text-2xl font-semibold">{LENS_CHANGE_ANSWER[advice.answer]}</p>
            {lensChangeBecause(advice).map((line) => (
              <p key={line}>{line}</p>
            ))}
          </div>
          {advice.because.includes('fogs') && (
            <ButtonLink className="mt-2" to="/warm-up">
              How long it stays shut
            </ButtonLink>
          )}
        </Section>
        <Section title="This hour" className="max-lg:[&_button]:min-h-14 lg:order-1 lg:col-span-5 lg:row-span-2">
          <ByForecast onTake={(told) => setParams(withHour(params, told), { replace: true })} />
          <Hour hour={hour} params={params} set={set} />
        </Section>
        {advice.steps.length > 0 && (
          <Section title="Step by step" className="lg:order-3 lg:col-span-7">
            <ol className="sheet list-decimal space-y-2 py-4 pr-4 pl-9 text-lg">
              {advice.steps.map((step) => (
                <li key={step.id}>{lensChangeStep(step)}</li>
              ))}
            </ol>
            <div className="sheet mt-2 p-4">
              <h3 className="mb-1 font-medium">What stands open, and when</h3>
              <WhoIsOpen steps={advice.steps} />
            </div>
          </Section>
        )}
      </div>
      <LensOrder params={params} set={set} />
    </Page>
  );
}
