import { trip } from '@bright-keeper/core';
import { inWords, WEATHER_WORDS } from '@bright-keeper/words';
import { useMemo, useState } from 'react';
import { outside } from '../../outside';
import { useChoices, withChoice } from '../../ui/choices';
import { Fold } from '../../ui/Fold';
import { Button, ButtonLink, Page, Section } from '../../ui/parts';
import { ToggleButtons, WayButtons } from '../../ui/WayButtons';
import { useDrawer } from '../supplies';
import { useToday } from '../../ui/zone';
import { CarrierRules } from './CarrierRules';
import {
  habitsUntil,
  habitWords,
  kitViewFrom,
  LIMIT_IDS,
  LIMITS,
  type KitView,
  recalled,
  timeWords,
  toggledIn,
  TRAVEL_WORDS,
} from './kitView';
import { useOutings } from './queries';

/** A list of things that this browser remembers. */
function useRemembered(key: string) {
  const [ids, setIds] = useState(() => recalled(outside.recall(key)));
  const keep = (next: trip.CarriedId[]) => {
    outside.remember(key, next.length > 0 ? JSON.stringify(next) : null);
    setIds(next);
  };
  return {
    ids,
    toggle: (id: trip.CarriedId) => keep(ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id]),
    clear: () => keep([]),
  };
}
type Remembered = ReturnType<typeof useRemembered>;

/** Where to, how long, in which weather, how one gets there, and what the bag may hold. */
function Asked({ view, set }: { view: KitView; set: (key: string, value: string | null) => void }) {
  return (
    <div className="sheet space-y-4 p-4">
      <ToggleButtons
        legend="Where to"
        ways={trip.GROUND_IDS.map((id) => [id, trip.groundFacts(id).name] as const)}
        on={view.grounds}
        onToggle={(id) => set('ground', toggledIn(view.grounds, id))}
      />
      <label className="flex items-center gap-3">
        Days
        <input
          type="number"
          inputMode="numeric"
          min="1"
          max={trip.MOST_DAYS}
          className="input w-24"
          value={view.days}
          onChange={(e) => set('days', e.target.value)}
        />
      </label>
      <ToggleButtons
        legend="What the weather may bring"
        ways={trip.WEATHERS.map((w) => [w, WEATHER_WORDS[w]] as const)}
        on={view.weather}
        onToggle={(w) => set('weather', toggledIn(view.weather, w))}
      />
      <WayButtons
        legend="How it travels"
        ways={trip.TRAVELS.map((t) => [t, TRAVEL_WORDS[t]] as const)}
        chosen={view.travel}
        onChoose={(t) => set('travel', t)}
      />
      {LIMIT_IDS.map((id) => {
        const { label, min, max, step, unit } = LIMITS[id];
        const value = view.limits[id];
        return (
          <label key={id} className="block">
            {label}: <span className="font-semibold">{value === undefined ? 'no limit' : `${value} ${unit}`}</span>
            <input
              type="range"
              className="range"
              {...{ min, max, step }}
              value={value ?? max}
              aria-valuetext={value === undefined ? 'no limit' : `${value} ${unit}`}
              onChange={(e) => set(id, Number(e.target.value) >= max ? null : e.target.value)}
            />
          </label>
        );
      })}
    </div>
  );
}

/** One thing to take: ticked when it is in the bag, what it is for, and what it would cost to leave it. */
type RowProps = { thing: trip.PackedThing; packed: Remembered; owned: Remembered; held: trip.HeldAt | undefined };
function Row({ thing, packed, owned, held }: RowProps) {
  const { name, massG, price } = trip.carriedFacts(thing.id);
  const isIn = packed.ids.includes(thing.id);
  const isOwned = owned.ids.includes(thing.id);
  const has = isOwned ? 'You have it' : `About ${price} €`;
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-2.5">
      <label className="flex min-h-11 min-w-0 flex-1 basis-60 items-center gap-3">
        <input type="checkbox" className="check" checked={isIn} onChange={() => packed.toggle(thing.id)} />
        <span className="min-w-0">
          <span className={`font-semibold ${isIn ? 'line-through decoration-soft' : ''}`}>{name}</span>
          <span className="block text-sm text-soft">
            for {inWords(thing.isFor.slice(0, 3).map((need) => trip.FIELD_NEEDS[need].name))}; left out, {timeWords(thing.leftOutCostsMin)}{' '}
            more
          </span>
        </span>
      </label>
      <span className="text-sm text-soft">{massG} g</span>
      {held ? (
        <span className="text-sm">{held.kit === null ? 'in the drawer' : `in the kit “${held.kit}”`}</span>
      ) : (
        <Button aria-pressed={isOwned} aria-label={`${has}: ${name}`} onClick={() => owned.toggle(thing.id)}>
          {has}
        </Button>
      )}
    </li>
  );
}

/** What stays at home for how one travels, and whose word counts. */
const Rules = ({ travel, kit }: { travel: trip.Travel; kit: trip.PackedKit }) => (
  <CarrierRules travel={travel} hasCells={kit.things.some(({ id }) => trip.carriedFacts(id).hazard === 'cells')}>
    {kit.stays.length > 0 && <p>Left at home: {inWords(kit.stays.map((id) => trip.carriedFacts(id).name))}.</p>}
  </CarrierRules>
);

/** What the answer rests on. */
const Grounds = ({ view }: { view: KitView & { habits: trip.Habits | null } }) => (
  <Fold title="What this is reckoned from">
    <div className="sheet p-4 text-sm">
      <p className="mb-2">
        How likely each thing is needed at least once, and what it costs to go without, in minutes of light lost or of work at home. All of
        it is our choice, in order of magnitude.
        {view.habits &&
          ` By the outings that were counted you take about ${habitWords(view.habits)} a day: an empty cell and a speck on the sensor are reckoned by that.`}
      </p>
      <ul className="space-y-1">
        {trip
          .needsOf(view)
          .sort((a, b) => b.likelihood * b.loss - a.likelihood * a.loss)
          .map(({ id, likelihood, loss }) => (
            <li key={id}>
              {trip.FIELD_NEEDS[id as trip.FieldNeedId].name}: {Math.round(likelihood * 100)} %, {timeWords(loss)}
            </li>
          ))}
      </ul>
    </div>
  </Fold>
);

/** The smallest bag that leaves the least to be expected, for where one goes. */
export function PackPage() {
  const [params, setParams] = useChoices();
  const address = params.toString();
  const view = useMemo(() => kitViewFrom(new URLSearchParams(address)), [address]);
  const packed = useRemembered('kit-packed');
  const owned = useRemembered('kit-owned');
  const ownedIds = owned.ids;
  // What lies in the drawer or in a kit need not be said again, nor bought.
  const drawer = useDrawer().data?.supplies;
  const held = useMemo(() => trip.heldOf(drawer ?? [], view.kit), [drawer, view.kit]);
  const today = useToday();
  const outings = useOutings().data;
  const going = useMemo(() => ({ ...view, habits: habitsUntil(outings ?? [], today) }), [view, outings, today]);
  const kit = useMemo(() => trip.kitFor(going, going.limits, [...ownedIds, ...held.map(({ id }) => id)]), [going, ownedIds, held]);
  const set = (key: string, value: string | null) => setParams(withChoice(params, key, value), { replace: true });
  const left = kit.things.filter(({ id }) => !packed.ids.includes(id)).length;
  return (
    <Page
      title="Pack for it"
      sub="What is worth its weight in the bag, for where you go and what the weather may bring."
      actions={<ButtonLink to="/outings">Outings</ButtonLink>}
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="min-w-0 space-y-4 lg:col-span-5">
          <Asked view={view} set={set} />
          <Grounds view={going} />
        </div>
        <div className="min-w-0 space-y-4 lg:col-span-7">
          <p role="status" className="sheet p-4">
            <span className="text-xl font-semibold">
              {kit.things.length === 0
                ? 'Nothing fits'
                : `${kit.things.length} things, ${Math.round(kit.massG)} g, ${kit.volumeL.toFixed(1)} L`}
            </span>
            <span className="block">
              Without any of it {timeWords(kit.barelyMin)} of trouble are to be expected; with it {timeWords(kit.expectedMin)}.
              {kit.price > 0 && ` What you have not yet costs about ${Math.round(kit.price)} €.`}
            </span>
            <span className="block text-sm text-soft">
              {kit.proven
                ? 'By what it is reckoned from, no other choice within these limits leaves less.'
                : 'A good choice; whether another leaves less was not tried to the end.'}
            </span>
          </p>
          <Rules travel={view.travel} kit={kit} />
          {kit.things.length > 0 && (
            <Section title="Into the bag" aside={left === 0 ? 'all of it is in' : `${left} to go`}>
              <ul className="sheet divide-y divide-line">
                {kit.things.map((thing) => (
                  <Row key={thing.id} thing={thing} packed={packed} owned={owned} held={held.find(({ id }) => id === thing.id)} />
                ))}
              </ul>
              {packed.ids.length > 0 && (
                <Button look="quiet" onClick={packed.clear}>
                  Unpack all of it
                </Button>
              )}
            </Section>
          )}
          {kit.unmet.length > 0 && (
            <p className="text-soft">Not met by anything in it: {inWords(kit.unmet.map((need) => trip.FIELD_NEEDS[need].name))}.</p>
          )}
        </div>
      </div>
    </Page>
  );
}
