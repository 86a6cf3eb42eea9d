import { AdviceWords } from './AdviceWords';
import type { PlaceExplanation, PlacePage } from '@bright-keeper/contract';
import { schedule, storage } from '@bright-keeper/core';
import { dryingWords } from '@bright-keeper/words';
import { useState } from 'react';
import { Button, Failure, Section } from '../../ui/parts';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { toNumber } from '../../ui/toNumber';
import { useZone } from '../../ui/zone';
import { GelLine } from './PlaceCard';
import { useExplanation, usePlaceEvent } from './queries';
import { useSizing } from './useSizing';
import { airWords, hoursWords } from './words';

type Leak = { perDay: number | null; from: PlacePage['airChanges']['from'] | 'past' };
const SEAL_WORDS: Record<Leak['from'], string> = {
  past: 'by its own past',
  said: 'as you said',
  measured: 'measured from the log',
  usual: 'usual for its kind',
};
const ROOM_AS = {
  'last-year': 'If the room goes on as in the year before.',
  'last-month': 'If the room goes on as in the last month: it was not measured all through the year before.',
} as const;
const KNOWN_WORDS = { measured: 'told by the air inside', reckoned: 'reckoned', indicator: 'corrected by its indicator' } as const;

/** How fast its air is changed: one answer, the best that is known. Its past comes first, where that tells it. */
function leakOf({ airChanges }: PlacePage, explanation: PlaceExplanation | undefined): Leak {
  const fit = explanation?.fit;
  if (fit && !('cannot' in fit) && fit.intervals.airChangesPerDay) return { perDay: fit.leakPerDay, from: 'past' };
  return airChanges;
}

const SealInterval = ({ seal }: { seal: storage.HalfLife }) => (
  <span className="block text-sm text-soft">
    A difference in moisture halves in {hoursWords(seal.halfLifeH)} (between {hoursWords(seal.lowH)} and {hoursWords(seal.highH)}).
  </span>
);

/** What goes in when it is filled: how much, how full. */
function SetGel({ onSet, pending }: { onSet: (act: storage.GelAct) => void; pending: boolean }) {
  const [desiccant, setDesiccant] = useState<storage.DesiccantKind>('silica-gel');
  const [mass, setMass] = useState('100');
  const massG = toNumber(mass);
  const valid = typeof massG === 'number' && massG >= 1 && massG <= 100_000;
  const loadingPct = storage.DRIED_LOADING[desiccant] * 100;
  return (
    <div className="grid grid-cols-2 gap-2">
      <label className="block">
        <span className="mb-1 block text-sm text-soft">What</span>
        <select className="input" value={desiccant} onChange={(e) => setDesiccant(e.target.value as storage.DesiccantKind)}>
          {storage.DESICCANT_KINDS.map((k) => (
            <option key={k} value={k}>
              {storage.DESICCANTS[k].name}
            </option>
          ))}
        </select>
      </label>
      <label className="block">
        <span className="mb-1 block text-sm text-soft">Grams, dry</span>
        <input className="input" inputMode="decimal" value={mass} aria-invalid={!valid} onChange={(e) => setMass(e.target.value)} />
        {!valid && <span className="text-sm text-act">A number from 1 on.</span>}
      </label>
      <Button
        className="col-span-2"
        disabled={pending || !valid}
        onClick={() => onSet({ kind: 'gel-set', desiccant, massG: Number(massG), loadingPct })}
      >
        Put it in, freshly dried
      </Button>
    </div>
  );
}

/** How much would keep the place in its band, from the balance, through the dampest month of the air around it. */
function Sizing({ place, perDay, around }: { place: PlacePage; perDay: number; around: PlaceExplanation['around'] | undefined }) {
  const [days, setDays] = useState(90);
  const dampest = around?.dampest;
  const room = dampest ?? storage.ASSUMED_ROOM;
  const { sizes, error } = useSizing({
    volumeL: place.volumeL,
    airChangesPerDay: perDay,
    openingsPerWeek: place.openingsPerWeek,
    room: { temperatureC: room.temperatureC, humidityPct: room.humidityPct },
    targetPct: place.highPct,
    days,
  });
  const grams = (massG: number) =>
    massG === Infinity ? 'no amount' : massG >= 2000 ? `${(massG / 1000).toFixed(1)} kg` : `${Math.ceil(massG)} g`;
  return (
    <div className="border-t border-line pt-3 text-sm">
      <label className="flex items-center gap-2">
        To last
        <select className="input w-auto" value={days} onChange={(e) => setDays(Number(e.target.value))}>
          {[30, 60, 90, 180, 365].map((d) => (
            <option key={d} value={d}>
              {d} days
            </option>
          ))}
        </select>
      </label>
      {error !== null && <Failure error={error} />}
      <p className="mt-1 min-h-10" aria-live="polite">
        {sizes ? (
          <>
            {dampest ? `in the dampest month around it, ` : 'in a room nobody measured, taken as '}
            {airWords(room)}: <b>{grams(sizes['silica-gel'].massG)}</b> of gel, or {grams(sizes.rice.massG)} of oven-dried rice.{' '}
            <span className="text-soft">
              A sealed pack of this size would want {grams(sizes['silica-gel'].sealedPackG.milStd2073)} by MIL-STD-2073-1.
            </span>
          </>
        ) : (
          <span className="text-soft">Reckoning…</span>
        )}
      </p>
    </div>
  );
}

/** The place as a box: its seal, its desiccant, and what was done with it. */
export function BoxCard({ place }: { place: PlacePage }) {
  const event = usePlaceEvent(place.id);
  const { data: explanation } = useExplanation(place.id);
  const { airChanges, gel, room, drying } = place;
  const leak = leakOf(place, explanation);
  const told = useTold();
  const timeZone = useZone();
  const act = (input: storage.GelAct | { kind: 'opened' }) =>
    event.mutate({ ...input, at: told.at }, { onSuccess: () => told.setLocal(null) });
  const isHeld = event.isPending || told.wrong !== null;
  return (
    <Section title="As a box">
      <div className="sheet space-y-3 p-4">
        <p>
          <b>{leak.perDay?.toFixed(2)}</b> changes of air a day, {SEAL_WORDS[leak.from]}; {place.openingsPerWeek} openings a week.
          {leak.from === 'measured' && place.seal?.determined && <SealInterval seal={place.seal} />}
          {airChanges.from === 'usual' && place.seal && !place.seal.determined && leak.from === 'usual' && (
            <span className="block text-sm text-soft">Not enough data to measure the seal: {place.seal.because}</span>
          )}
        </p>
        <p className="text-sm text-soft">
          The room around it:{' '}
          {room.source === 'assumed'
            ? `not measured, taken as ${room.name}`
            : room.source === 'outdoors'
              ? `made of the air at ${room.name} (EN 15026)`
              : room.name}
          .
        </p>
        {gel ? (
          <>
            <p>
              <GelLine gel={gel} />. <span className="text-sm text-soft">{KNOWN_WORDS[gel.knownFrom]}</span>
            </p>
            <p className="text-sm">
              {drying && <>{dryingWords(drying, (instant) => schedule.localDay(instant, timeZone))} </>}
              <span className="text-soft">{ROOM_AS[gel.roomAs]}</span>
            </p>
            <div
              role="meter"
              aria-label="Strength left"
              aria-valuenow={Math.round(gel.left * 100)}
              aria-valuemin={0}
              aria-valuemax={100}
              className="h-3 overflow-hidden rounded border border-line bg-well"
            >
              <div className={`h-full ${gel.left < 0.15 ? 'bg-lamp' : 'bg-glass'}`} style={{ width: `${gel.left * 100}%` }} />
            </div>
            <div className="flex flex-wrap gap-2">
              <Button disabled={isHeld} onClick={() => act({ kind: 'gel-dried' })}>
                I dried it again
              </Button>
              <Button disabled={isHeld} onClick={() => act({ kind: 'gel-out' })}>
                I took it out
              </Button>
            </div>
            {gel.kind === 'silica-gel' && (
              <div className="flex flex-wrap items-center gap-2 text-sm">
                The indicator says:
                {storage.INDICATOR_COLOURS.map((colour) => (
                  <Button key={colour} disabled={isHeld} onClick={() => act({ kind: 'indicator', colour })}>
                    {colour}
                  </Button>
                ))}
              </div>
            )}
          </>
        ) : (
          <SetGel onSet={act} pending={isHeld} />
        )}
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <Button disabled={isHeld} onClick={() => act({ kind: 'opened' })}>
            {told.local === null ? 'I opened it just now' : 'I opened it then'}
          </Button>
          <ToldFor told={told} id="told-for" label="it was on" />
        </div>
        {event.error && <Failure error={event.error} />}
        {leak.perDay !== null && <Sizing place={place} perDay={leak.perDay} around={explanation?.around} />}
        {explanation?.advice && <AdviceWords advice={explanation.advice} />}
      </div>
    </Section>
  );
}
