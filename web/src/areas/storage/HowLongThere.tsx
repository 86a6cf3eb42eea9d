import type { StorageOverview } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { useState } from 'react';
import { outside } from '../../outside';
import { Button, Failure, Section } from '../../ui/parts';
import { useToday, useZone } from '../../ui/zone';
import { useLainSince, useTakeLainBack } from './queries';

/** Until which thing this browser was told that it came where it lies just then. */
const SETTLED = 'lain-there';
const CHOICES = [
  { words: 'Three months', months: 3 },
  { words: 'A year', months: 12 },
  { words: 'Five years', months: 60 },
  { words: 'Ten years or more', months: 120 },
] as const;

const countWords = (n: number): string => (n === 1 ? '1 thing' : `${n} things`);

/**
 * A shelf that begins with things long owned is asked once how long they have lain where they lie: without it the air of the
 * time before says nothing about them.
 */
export function HowLongThere({ longOwned }: Pick<StorageOverview, 'longOwned'>) {
  const today = useToday();
  const timeZone = useZone();
  const tell = useLainSince();
  const back = useTakeLainBack();
  const [settled, setSettled] = useState(() => outside.recall(SETTLED) ?? '');
  const [day, setDay] = useState('');
  const asked = longOwned
    .map((of) => ({ ...of, things: of.things.filter((t) => t.addedAt > settled) }))
    .filter((of) => of.things.length > 0);
  const all = asked.flatMap((of) => of.things);
  const settle = () => {
    const newest = all
      .map((t) => t.addedAt)
      .sort()
      .at(-1)!;
    outside.remember(SETTLED, newest);
    setSettled(newest);
  };
  const since = (first: schedule.Day) => tell.mutate({ longOwned: asked, since: schedule.instantOfLocal(`${first}T12:00`, timeZone)! });
  const error = tell.error ?? back.error;
  if (tell.data && !back.isSuccess)
    return (
      <p role="status" className="flex flex-wrap items-center gap-3 rounded bg-glass-tint px-4 py-2">
        {countWords(tell.data.entryIds.length)} told: the air of that time counts for them now.
        {tell.data.refused > 0 && ` ${countWords(tell.data.refused)} lay elsewhere then, and stay as they were.`}
        <Button look="quiet" disabled={back.isPending} onClick={() => back.mutate(tell.data.entryIds)}>
          Take it back
        </Button>
        {back.error && <Failure error={back.error} />}
      </p>
    );
  if (all.length === 0) return null;
  return (
    <Section title="How long have they lain there?">
      <div className="sheet space-y-3 p-4">
        <p>
          {asked.map(({ place, things }) => `${countWords(things.length)} in ${place.name}`).join(', ')}: each counts as lying there since
          you said so. Told since when, the damp of the time before counts for them too; a thing that was bought later counts from that day.
        </p>
        <div className="flex flex-wrap items-end gap-2">
          {CHOICES.map(({ words, months }) => (
            <Button key={months} disabled={tell.isPending} onClick={() => since(schedule.addMonths(today, -months))}>
              {words}
            </Button>
          ))}
          <label className="flex flex-col gap-1 text-sm">
            Since a day
            <input type="date" className="input" max={today} value={day} onChange={(e) => setDay(e.target.value)} />
          </label>
          <Button disabled={tell.isPending || day === '' || day > today} onClick={() => since(day)}>
            Since that day
          </Button>
          <Button look="quiet" onClick={settle}>
            They came there just now
          </Button>
        </div>
        {error && <Failure error={error} />}
      </div>
    </Section>
  );
}
