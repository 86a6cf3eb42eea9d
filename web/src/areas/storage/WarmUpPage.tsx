import { MS_PER_MINUTE, storage } from '@bright-keeper/core';
import { Link } from 'react-router';
import { ApiError } from '../../api/http';
import { useAwaySince } from '../../api/useKept';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Failure, Notice, Page, Section } from '../../ui/parts';
import { useMoment } from '../../ui/when';
import { capital } from '../../ui/words';
import { basisWords } from '../care';
import { useNow } from '../../ui/useNow';
import { useAddTimer, useCameIn, useOverview } from './queries';
import {
  FIELD_IDS,
  FIELDS,
  measuredIn,
  THING_IDS,
  verdictOf,
  warmUpFrom,
  WRAPPING_IDS,
  type Verdict,
  type WarmUpView,
} from './warmUpState';
import { minutesWords } from './words';
import { WayButtons } from '../../ui/WayButtons';
import { NumberEntry } from '../../ui/numberEntry';

/** How cold, into which room, what, and how it is wrapped. */
function Question({ view, set }: { view: WarmUpView; set: (key: string, value: string) => void }) {
  const { entries, thing, wrapping } = view;
  return (
    <>
      {FIELD_IDS.map((field) => (
        <NumberEntry key={field} label={FIELDS[field].label} entry={entries[field]} onChange={(text) => set(field, text)} />
      ))}
      <label className="block">
        <span className="mb-1 block">What is it</span>
        <select className="input" value={thing} onChange={(e) => set('thing', e.target.value)}>
          {THING_IDS.map((t) => (
            <option key={t} value={t}>
              {capital(storage.TYPICAL_THINGS[t].name)}
            </option>
          ))}
        </select>
      </label>
      <WayButtons
        legend="How it lies there"
        ways={WRAPPING_IDS.map((w) => [w, capital(storage.WRAPPINGS[w].name)] as const)}
        chosen={wrapping}
        onChoose={(w) => set('wrapping', w)}
      />
    </>
  );
}

const TONES: Record<Verdict, 'good' | 'act' | 'attention'> = { 'stays-clear': 'good', 'fogs-for-good': 'act', fogs: 'attention' };

/** The verdict in large letters, and what it follows from. */
const VERDICT_WORDS: Record<Verdict, (view: WarmUpView, result: storage.WarmUp) => { title: string; why: string }> = {
  'stays-clear': () => ({ title: 'It will not fog', why: 'It is warmer than that already.' }),
  'fogs-for-good': () => ({
    title: 'It fogs, and does not clear in this room',
    why: 'Air the room, or leave the bag closed in a drier one.',
  }),
  fogs: ({ waitMin }, { minutes }) => ({
    title: `It fogs: leave it shut for ${minutesWords(waitMin)}`,
    why: `Reckoned ${minutesWords(minutes)} until it is a degree above that, and half as long again to be sure.`,
  }),
};

function Answer({ view, result }: { view: WarmUpView; result: storage.WarmUp }) {
  const verdict = verdictOf(result);
  const { title, why } = VERDICT_WORDS[verdict](view, result);
  return (
    <>
      <Notice tone={TONES[verdict]}>
        <p className="text-xl font-semibold">{title}</p>
        <p className="mt-1">
          The room’s dew point is {result.dewPointC.toFixed(1)} °C. {why}
        </p>
        {result.willFog && view.wrapping === 'bare' && (
          <p className="mt-1">Bare, it gets wet while it warms: a closed bag keeps the damp air off.</p>
        )}
      </Notice>
      {result.biot > storage.LUMPED_LIMIT && (
        <p className="text-sm text-soft">
          So thick a thing stays cold inside for longer than its surface (Biot {result.biot.toFixed(2)}): give it more time.
        </p>
      )}
    </>
  );
}

/** The wait as a timer that lands on Today. */
function WaitForIt({ view: { thing, wrapping, waitMin }, outingId }: { view: WarmUpView; outingId: string | null }) {
  const addTimer = useAddTimer();
  const cameIn = useCameIn();
  const at = useMoment();
  const isAway = useAwaySince() !== null;
  return (
    <Section title="Wait for it">
      {addTimer.isSuccess ? (
        <Notice tone="good">
          Over at {at(Date.parse(addTimer.data.endsAt))}.{' '}
          {isAway ? 'Kept here; it stands on Today once it is carried over.' : 'It stands on Today.'}{' '}
          <ButtonLink to={isAway ? '/kept' : '/'}>{isAway ? 'Kept here' : 'See Today'}</ButtonLink>
        </Notice>
      ) : (
        <Button
          look="filled"
          disabled={addTimer.isPending}
          onClick={() =>
            addTimer.mutate(
              { size: thing, wrapping, minutes: Math.max(1, waitMin), itemId: null },
              { onSuccess: () => outingId && !isAway && cameIn.mutate(outingId) },
            )
          }
        >
          Start a timer for {minutesWords(waitMin)}
        </Button>
      )}
      {addTimer.error instanceof ApiError && <Failure error={addTimer.error} />}
      {cameIn.error && <Failure error={cameIn.error} />}
    </Section>
  );
}

/** Nothing to wait for: what the outing asked for is seen to. */
function NothingToWaitFor({ outingId }: { outingId: string }) {
  const cameIn = useCameIn();
  if (cameIn.isSuccess) return <Notice tone="good">Noted; the outing asks for it no more.</Notice>;
  return (
    <>
      <Button disabled={cameIn.isPending} onClick={() => cameIn.mutate(outingId)}>
        Nothing to wait for
      </Button>
      {cameIn.error && <Failure error={cameIn.error} />}
    </>
  );
}

/** Coming in from the cold, or out of a cooled room: will it fog, and how long to leave it wrapped. */
export function WarmUpPage() {
  const [params, setParams] = useChoices();
  const measured = measuredIn(useOverview().data, useNow(MS_PER_MINUTE).getTime());
  const outingId = params.get('outing');
  const view = warmUpFrom(params, measured);
  const { result } = view;
  return (
    <Page
      title="In from the cold"
      sub="Out of a cooled room into a warm street it is the same sum. Fog clears by itself; wiping it moves dirt."
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-4 p-5 lg:col-span-6">
          <Question view={view} set={(key, value) => setParams(withChoice(params, key, value), { replace: true })} />
          {measured.startC !== undefined && <p className="text-sm text-soft">Filled in from your weather station and the open shelf.</p>}
        </div>
        <div className="space-y-4 lg:col-span-6">
          {result && <Answer view={view} result={result} />}
          {result && verdictOf(result) === 'fogs' && <WaitForIt view={view} outingId={outingId} />}
          {result && verdictOf(result) === 'stays-clear' && outingId && <NothingToWaitFor outingId={outingId} />}
          <p className="text-sm text-soft">{basisWords(storage.WARM_UP_BASIS)}</p>
          <p>
            The other way round, under the open sky:{' '}
            <Link className="underline" to="/dew">
              will the front take dew tonight?
            </Link>
          </p>
        </div>
      </div>
    </Page>
  );
}
