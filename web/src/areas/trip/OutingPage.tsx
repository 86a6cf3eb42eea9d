import type { Outing, ShelfItem } from '@bright-keeper/contract';
import { care, gear, schedule, supplies, trip } from '@bright-keeper/core';
import { capital, MET, sizesAlongWords, WEATHER_WORDS } from '@bright-keeper/words';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { outside } from '../../outside';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { shortDate } from '../../ui/dates';
import { Day } from '../../ui/when';
import { ToggleButtons } from '../../ui/WayButtons';
import { useToday, useZone } from '../../ui/zone';
import { useWholeShelf } from '../gear';
import { stockWords, useBenchUses, useDrawer } from '../supplies';
import { ForecastFor } from './ForecastFor';
import { OnBoth } from './OnBoth';
import { OutingAsks } from './OutingAsks';
import { daysOf, goingOf, outingAt, type OutingStands, packFor, phaseOf, rememberedAsks, rememberAsks } from './outingView';
import { useOutings, useUpdateOuting } from './queries';
import { CarrierRules } from './CarrierRules';
import { TRAVEL_WORDS } from './kitView';

const PHASE_TITLES: Record<trip.Phase, string> = {
  before: 'Before you leave',
  there: 'Out there, and every evening',
  back: 'At home again',
};
const STANDS_WORDS: Record<OutingStands, string> = { ahead: 'To come', 'under-way': 'Under way', over: 'Past' };

type Ticks = { done: readonly trip.AskId[]; toggle: (ask: trip.AskId) => void };

/** What the ground asks for in one phase; a tick is kept on this device, like the bag that is packed. */
function Asked({ outing, phase, isNow, ticks }: { outing: Outing; phase: trip.Phase; isNow: boolean; ticks: Ticks }) {
  const asks = trip.asksOf(goingOf(outing), phase);
  return (
    <section aria-label={PHASE_TITLES[phase]} className={`sheet p-4 ${isNow ? 'border-lamp max-lg:order-first' : ''}`}>
      <h2 className="text-lg font-semibold">
        {PHASE_TITLES[phase]} {isNow && <span className="rounded bg-lamp-tint px-1.5 text-sm font-normal">now</span>}
      </h2>
      <ul className="mt-2 space-y-2">
        {asks.map((ask) => {
          const { says, why } = trip.askFacts(ask);
          return (
            <li key={ask}>
              <label className="flex min-h-11 items-start gap-3">
                <input type="checkbox" className="check mt-1" checked={ticks.done.includes(ask)} onChange={() => ticks.toggle(ask)} />
                <span>
                  <span className={ticks.done.includes(ask) ? 'line-through decoration-soft' : ''}>{says}</span>{' '}
                  <span className="block text-sm text-soft">{why}</span>
                </span>
              </label>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What the weather is to bring by the forecast; one tap makes the outing ready for it. */
function Foretold({ outing }: { outing: Outing }) {
  const update = useUpdateOuting();
  return (
    <>
      <ForecastFor {...outing} busy={update.isPending} onTake={(weather) => update.mutate({ ...outing, weather })} />
      {update.error && <Failure error={update.error} />}
    </>
  );
}

/** What it met, in one tap each: what is told here is what the calendar asks by. */
function Met({ outing }: { outing: Outing }) {
  const update = useUpdateOuting();
  const { met } = outing;
  return (
    <Section title="What it met" aside="Told at once, it is asked for the same evening.">
      <ToggleButtons
        legend={<span className="sr-only">What it met</span>}
        ways={schedule.EXPOSURES.map((one) => [one, capital(MET[one])] as const)}
        on={met}
        onToggle={(one) => update.mutate({ ...outing, met: met.includes(one) ? met.filter((m) => m !== one) : [...met, one] })}
      />
      {update.error && <Failure error={update.error} />}
    </Section>
  );
}

/** What small hardware has to fit the things that come along. */
function Sizes({ along, shelf }: { along: readonly ShelfItem[]; shelf: readonly ShelfItem[] }) {
  const lines = sizesAlongWords(trip.sizesAlong(along, shelf, gear.spareCapsMm(shelf)));
  if (lines.length === 0) return null;
  return (
    <Section title="Caps by size" aside="By the threads and mounts of what comes along.">
      <ul className="sheet divide-y divide-line">
        {lines.map((line) => (
          <li key={line} className="px-4 py-2">
            {line}
          </li>
        ))}
      </ul>
    </Section>
  );
}

const NONE: readonly never[] = [];
/** What went of the kit out there: it is filled up again before it is needed the next time. */
function IntoTheKit({ outing }: { outing: Outing & { kit: string } }) {
  const timeZone = useZone();
  const [uses, drawer] = [useBenchUses().data?.uses ?? NONE, useDrawer().data?.supplies ?? NONE];
  const used = trip.usedOut(outing, uses, drawer, timeZone);
  if (used.length === 0) return null;
  return (
    <Section
      title="Into the kit again"
      aside={
        <Link to={`/supplies?kit=${encodeURIComponent(outing.kit)}`} className="underline">
          Open the kit
        </Link>
      }
    >
      <ul className="sheet divide-y divide-line">
        {used.map(({ pack, used: went, atHome }) => (
          <li key={pack.id} className="px-4 py-2">
            <span className="font-medium">{capital(supplies.labelOf(pack))}</span>: {stockWords(pack.thing, went)} used
            {pack.stock !== null && <>, {pack.stock > 0 ? `${stockWords(pack.thing, pack.stock)} left` : 'none left'}</>};{' '}
            {atHome === null
              ? 'how much lies at home was not counted'
              : atHome > 0
                ? `${stockWords(pack.thing, atHome)} at home`
                : 'none at home: to buy'}
            .
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** What is likely to come home with it, by ground, weather and days. */
function Expected({ outing }: { outing: Outing }) {
  const expected = trip.dirtOf(goingOf(outing), daysOf(outing)).filter(({ likelihood }) => likelihood >= 0.05);
  return (
    <Section title="What may come home with it" aside="For a thing that is out every day; our choice, in order of magnitude.">
      <ul className="sheet divide-y divide-line">
        {expected.map(({ soil, likelihood }) => (
          <li key={soil} className="flex items-baseline justify-between gap-4 px-4 py-2">
            <span>{capital(care.soilFacts(soil).name)}</span>
            <span className="font-mono">{likelihood > 0.99 ? 'almost surely' : `${Math.round(likelihood * 100)} %`}</span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

function useTicks(id: string): Ticks {
  const [done, setDone] = useState(() => rememberedAsks(outside.recall(`outing-${id}`)));
  const toggle = (ask: trip.AskId) => {
    const next = done.includes(ask) ? done.filter((one) => one !== ask) : [...done, ask];
    outside.remember(`outing-${id}`, rememberAsks(next));
    setDone(next);
  };
  return { done, toggle };
}

function Told({ outing, outings, things }: { outing: Outing; outings: readonly Outing[]; things: readonly ShelfItem[] }) {
  const today = useToday();
  const ticks = useTicks(outing.id);
  const stands = outingAt(outing, today);
  const now = phaseOf(outing, today);
  const along = things.filter(({ id }) => outing.itemIds.includes(id));
  return (
    <Page
      title={outing.name}
      sub={
        <>
          {STANDS_WORDS[stands]} ·{' '}
          {outing.to === outing.from ? <Day day={outing.from} /> : `${shortDate(outing.from)} to ${shortDate(outing.to)}`}
        </>
      }
      actions={
        <>
          <ButtonLink to="/outings">Outings</ButtonLink>
          <ButtonLink to={`/outings?outing=${outing.id}`}>Change it</ButtonLink>
          {stands === 'ahead' && (
            <ButtonLink look="filled" to={packFor(outing)}>
              Pack for it
            </ButtonLink>
          )}
          {stands === 'under-way' && (
            <>
              <ButtonLink to="/outings/lens-change">Change a lens</ButtonLink>
              <ButtonLink look="filled" to="/field">
                Something happened
              </ButtonLink>
            </>
          )}
        </>
      }
    >
      <div className="space-y-6">
        <p>
          {capital([outing.place, ...outing.also].map((id) => trip.groundFacts(id).name.toLowerCase()).join(', '))}
          {outing.weather.length > 0 && `; ${outing.weather.map((w) => WEATHER_WORDS[w].toLowerCase()).join(', ')} expected`}
          {`; ${TRAVEL_WORDS[outing.travel].toLowerCase()}.`}{' '}
          {outing.kit !== null && (
            <>
              With the kit{' '}
              <Link to={`/supplies?kit=${encodeURIComponent(outing.kit)}`} className="underline">
                {outing.kit}
              </Link>
              .
            </>
          )}
        </p>
        <p className="text-sm">
          {along.length === 0 && <span className="text-soft">Nothing of the shelf is said to come along.</span>}
          {along.map((thing, i) => (
            <span key={thing.id}>
              {i > 0 && ', '}
              <Link to={`/gear/${thing.id}`} className="underline">
                {thing.name}
              </Link>
            </span>
          ))}
        </p>
        <OnBoth outing={outing} outings={outings} things={things} />
        {stands !== 'over' && <Foretold outing={outing} />}
        <CarrierRules travel={outing.travel} />
        {stands !== 'ahead' && <Met outing={outing} />}
        <Section title="What falls due by it">
          <div className="sheet">
            <OutingAsks id={outing.id} />
          </div>
        </Section>
        <div className="grid gap-4 lg:grid-cols-3">
          {trip.PHASES.map((phase) => (
            <Asked key={phase} outing={outing} phase={phase} isNow={phase === now} ticks={ticks} />
          ))}
        </div>
        {stands === 'ahead' && <Sizes along={along} shelf={things} />}
        {stands !== 'ahead' && outing.kit !== null && <IntoTheKit outing={{ ...outing, kit: outing.kit }} />}
        <p className="text-sm text-soft">Ticks are kept on this device. What falls due is kept with the household.</p>
        <Expected outing={outing} />
      </div>
    </Page>
  );
}

/** One outing: what its grounds and the weather ask for before, out there and at home, and what falls due by it. */
export function OutingPage() {
  const { id = '' } = useParams();
  const outings = useOutings();
  const shelf = useWholeShelf();
  const failed = [outings, shelf].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!outings.data || !shelf.data) return <Loading />;
  const outing = outings.data.find((one) => one.id === id);
  if (!outing)
    return (
      <Empty title="There is no such outing" action={<Button onClick={() => window.history.back()}>Go back</Button>}>
        It may have been removed; look at the <Link to="/outings">outings</Link> there are.
      </Empty>
    );
  return <Told key={id} outing={outing} outings={outings.data} things={shelf.data} />;
}
