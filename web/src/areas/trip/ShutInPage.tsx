import { storage } from '@bright-keeper/core';
import { Link } from 'react-router';
import { useChoices, withChoice } from '../../ui/choices';
import { NumberEntry } from '../../ui/numberEntry';
import { ButtonLink, Notice, Page, Section } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { WINDS } from '../../ui/winds';
import { basisWords } from '../care';
import { BAG_FIELDS, givesWayAt, gramsWords, PORT_FIELDS, shutInFrom, type ShutInView } from './shutInView';

type Set = (key: string, value: string) => void;
const idsOf = <T extends string>(fields: Record<T, unknown>): T[] => Object.keys(fields) as T[];
const named = <T extends string>(ways: Record<T, { name: string }>) => idsOf(ways).map((way) => [way, ways[way].name] as const);

function PortAnswer({ fogs, coldPct, settlesG, gelG }: storage.PortFog) {
  return (
    <Notice tone={fogs ? 'attention' : 'good'}>
      <p className="text-xl font-semibold">{fogs ? 'It fogs from within' : gelG > 0 ? 'It may fog at the glass' : 'It stays clear'}</p>
      <p className="mt-1">
        {fogs
          ? `Cooled to the water the air would be at ${Math.round(coldPct)} %: ${gramsWords(settlesG)} of water settles, on the port first.`
          : `Cooled to the water the air comes to ${Math.round(coldPct)} % RH.`}
      </p>
      {gelG > 0 && (
        <p className="mt-1">
          {gramsWords(gelG)} of freshly dried gel keeps it at {storage.CLEAR_PCT} %: take the next larger sachet. Or close it where the air
          is drier, in a cooled room, with dry hands.
        </p>
      )}
    </Notice>
  );
}

function Port({ port: { entries, result }, set }: { port: ShutInView['port']; set: Set }) {
  return (
    <Section title="A port in colder water">
      <div className="grid gap-4 lg:grid-cols-12">
        <div className="sheet grid gap-4 p-4 sm:grid-cols-2 lg:col-span-6">
          {idsOf(PORT_FIELDS).map((id) => (
            <NumberEntry key={id} label={PORT_FIELDS[id].label} entry={entries[id]} onChange={(text) => set(id, text)} />
          ))}
        </div>
        <div className="space-y-3 lg:col-span-6">
          {result && <PortAnswer {...result} />}
          <p className="text-sm text-soft">{basisWords(storage.PORT_BASIS)}</p>
        </div>
      </div>
    </Section>
  );
}

const degrees = (celsius: number): string => `${Math.round(celsius)} °C`;

function BagAnswer({ thing, result }: { thing: storage.TypicalThing; result: NonNullable<ShutInView['bag']['result']> }) {
  const { bagC, carC, after } = result;
  const hottest = Math.max(...after.map(({ thingC }) => thingC));
  const gives = givesWayAt(hottest);
  const inTheCar = givesWayAt(carC).length > gives.length;
  return (
    <Notice tone={gives.length > 0 ? 'attention' : 'good'}>
      <p className="text-xl font-semibold">The bag comes to about {degrees(bagC)}</p>
      <p className="mt-1">
        In it {storage.TYPICAL_THINGS[thing].name} comes to{' '}
        {after.map(({ hours, thingC }, i) => (
          <span key={hours}>
            {i > 0 && ', '}
            {degrees(thingC)} in {hours === 1 ? 'an hour' : `${hours} hours`}
          </span>
        ))}
        .
      </p>
      {gives.map(({ fromC, what }) => (
        <p key={fromC} className="mt-1">
          From {fromC} °C on: {what}
        </p>
      ))}
      {gives.length === 0 && <p className="mt-1">By this reckoning it stays below what gives way first.</p>}
      <p className="mt-1">
        A parked car comes to about {degrees(carC)} in an hour{inTheCar && ', and does more harm'}: nothing is left in one.
      </p>
    </Notice>
  );
}

function Bag({ bag, set }: { bag: ShutInView['bag']; set: Set }) {
  const { entries, shelter, sun, breeze, thing, result } = bag;
  return (
    <Section title="A bag in the sun">
      <div className="grid gap-4 lg:grid-cols-12">
        <div className="sheet space-y-4 p-4 lg:col-span-6">
          <div className="grid gap-4 sm:grid-cols-2">
            {idsOf(BAG_FIELDS).map((id) => (
              <NumberEntry key={id} label={BAG_FIELDS[id].label} entry={entries[id]} onChange={(text) => set(id, text)} />
            ))}
          </div>
          <WayButtons legend="It lies" ways={named(storage.SHELTERS)} chosen={shelter} onChoose={(way) => set('shelter', way)} />
          <WayButtons legend="The sun" ways={named(storage.SUNS)} chosen={sun} onChoose={(way) => set('sun', way)} />
          <WayButtons
            legend="The wind"
            ways={idsOf(WINDS).map((way) => [way, WINDS[way][0]] as const)}
            chosen={breeze}
            onChoose={(way) => set('breeze', way)}
          />
          <label className="block">
            <span className="mb-1 block">What is in it</span>
            <select className="input" value={thing} onChange={(e) => set('thing', e.target.value)}>
              {named(storage.TYPICAL_THINGS).map(([id, name]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        </div>
        <div className="space-y-3 lg:col-span-6">
          {result && <BagAnswer thing={thing} result={result} />}
          <p className="text-sm text-soft">{basisWords(storage.IN_THE_SUN_BASIS)}</p>
        </div>
      </div>
    </Section>
  );
}

/** What happens to gear that is shut in: fog in a port under water, heat in a bag in the sun. */
export function ShutInPage() {
  const [params, setParams] = useChoices();
  const { port, bag } = shutInFrom(params);
  const set: Set = (key, value) => setParams(withChoice(params, key, value), { replace: true });
  return (
    <Page
      title="Shut in"
      sub="Air that is closed in takes its water along, and a dark bag takes up the sun."
      actions={<ButtonLink to="/outings">Outings</ButtonLink>}
    >
      <div className="space-y-8">
        <Port port={port} set={set} />
        <Bag bag={bag} set={set} />
        <p>
          Into a warm room, or out of a cooled one into the heat:{' '}
          <Link className="underline" to="/warm-up">
            how long to leave it shut
          </Link>
          . Under a clear sky at night:{' '}
          <Link className="underline" to="/dew">
            dew tonight
          </Link>
          .
        </p>
      </div>
    </Page>
  );
}
