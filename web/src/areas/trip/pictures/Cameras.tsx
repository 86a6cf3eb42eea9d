import type { ItemInput, ShelfItem } from '@bright-keeper/contract';
import { care, trip } from '@bright-keeper/core';
import { useState } from 'react';
import { Fold } from '../../../ui/Fold';
import { Button, Failure, Notice, Section } from '../../../ui/parts';
import { useAddItem, useUpdateItem } from '../../gear';
import { saysWords, type Matches } from './picturesView';

/** What can be told of the pictures of one camera or lens. */
export type Counted = { key: string; says: trip.FileSays; frames: number; firstAt: string; oddDates: number };
type Choose = (key: string, itemId: string | null) => void;

/** Puts what the files name on the shelf: its name, maker, model and number are there already. */
function PutOnShelf({ says, kinds, onAdded }: { says: trip.FileSays; kinds: readonly care.ItemKind[]; onAdded: (id: string) => void }) {
  const add = useAddItem();
  const [kind, setKind] = useState(kinds[0]!);
  const told = { maker: says.maker, model: says.model, serial: says.serial };
  const particulars = Object.fromEntries(Object.entries(told).filter(([, value]) => value !== null));
  const input: ItemInput = { name: saysWords({ ...says, serial: null }), kind, traits: {}, notes: '', acquiredOn: null, particulars };
  return (
    <span className="flex flex-wrap items-center gap-2">
      {kinds.length > 1 && (
        <select
          aria-label={`What ${input.name} is`}
          className="input"
          value={kind}
          onChange={(e) => setKind(e.target.value as care.ItemKind)}
        >
          {kinds.map((k) => (
            <option key={k} value={k}>
              {care.kindFacts(k).name}
            </option>
          ))}
        </select>
      )}
      <Button
        disabled={add.isPending}
        aria-label={`Put it on the shelf: ${input.name}`}
        onClick={() => add.mutate(input, { onSuccess: ({ id }) => onAdded(id) })}
      >
        Put it on the shelf
      </Button>
      {add.error && <Failure error={add.error} />}
    </span>
  );
}

/** A thing that was told by its model gets the number its files tell: the next time it is known by it. */
function KeepNumber({ thing, serial }: { thing: ShelfItem; serial: string }) {
  const update = useUpdateItem(thing.id);
  const { name, kind, traits, notes, acquiredOn, particulars, version } = thing;
  return (
    <p className="flex flex-wrap items-center gap-3 text-sm">
      Its number is not noted yet.
      <Button
        disabled={update.isPending}
        aria-label={`Note number ${serial} with ${name}`}
        onClick={() => update.mutate({ name, kind, traits, notes, acquiredOn, version, particulars: { ...particulars, serial } })}
      >
        Note number {serial}
      </Button>
      {update.error && <Failure error={update.error} />}
    </p>
  );
}

const clockWords = (takenAt: string): string => takenAt.slice(0, 16).replace('T', ', ');

/** A clock that was wrong is set right by one picture of which the keeper knows the hour. */
function ClockOf({ counted, aheadMs, onAhead }: { counted: Counted; aheadMs: number; onAhead: (ms: number) => void }) {
  const { firstAt, oddDates } = counted;
  const shown = trip.clockMs(firstAt)!;
  return (
    <>
      {oddDates > 0 && aheadMs === 0 && (
        <Notice tone="attention">
          {oddDates === 1 ? 'One of its pictures is' : `${oddDates} of its pictures are`} dated after today, or before there were such
          cameras: its clock was wrong. Until it is set right here they are left out.
        </Notice>
      )}
      <Fold title="Its clock was wrong" mustShow={oddDates > 0}>
        <label className="block px-4 pb-3">
          Its first picture shows {clockWords(firstAt)}. It was taken really on
          <input
            type="datetime-local"
            className="input mt-1 block"
            value={new Date(shown + aheadMs).toISOString().slice(0, 16)}
            onChange={(e) => {
              const real = trip.clockMs(`${e.target.value}:00`);
              // Seconds stay as they were: only what was typed is set.
              if (real !== null) onAhead(real - (shown - (shown % 60_000)));
            }}
          />
        </label>
      </Fold>
    </>
  );
}

type Props = {
  title: string;
  aside: string;
  all: readonly Counted[];
  things: readonly ShelfItem[];
  kinds: readonly care.ItemKind[];
  matches: Matches;
  nobodys: string;
  choose: Choose;
  /** Of bodies: how far each one's clock is set ahead, and those that are two. */
  clocks?: { aheadMs: Readonly<Record<string, number>>; set: (key: string, ms: number) => void; twoBodies: readonly string[] };
};

/** Each camera or lens the files name, with the thing of the shelf it is. */
export function Cameras({ title, aside, all, things, kinds, matches, nobodys, choose, clocks }: Props) {
  return (
    <Section title={title} aside={aside}>
      <ul className="sheet divide-y divide-line">
        {all.map((counted) => {
          const { key, says, frames } = counted;
          const chosen = matches[key] ?? null;
          const thing = things.find((t) => t.id === chosen);
          return (
            <li key={key} className="space-y-2 px-4 py-3">
              <div className="flex flex-wrap items-center gap-3">
                <span className="min-w-0 flex-1 basis-60">
                  <span className="font-semibold">{saysWords(says)}</span>{' '}
                  <span className="text-soft">{frames === 1 ? 'one picture' : `${frames} pictures`}</span>
                </span>
                <select
                  aria-label={`${saysWords(says)} is`}
                  className="input w-64"
                  value={chosen ?? ''}
                  onChange={(e) => choose(key, e.target.value || null)}
                >
                  <option value="">{nobodys}</option>
                  {things.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
                {chosen === null && <PutOnShelf says={says} kinds={kinds} onAdded={(id) => choose(key, id)} />}
              </div>
              {thing && says.serial && !thing.particulars.serial && <KeepNumber thing={thing} serial={says.serial} />}
              {chosen !== null && clocks?.twoBodies.includes(chosen) && (
                <p className="text-sm text-lamp">
                  These pictures are of two cameras of one model that do not tell their number: lens changes cannot be counted.
                </p>
              )}
              {clocks && chosen !== null && (
                <ClockOf counted={counted} aheadMs={clocks.aheadMs[key] ?? 0} onAhead={(ms) => clocks.set(key, ms)} />
              )}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
