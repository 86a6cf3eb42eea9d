import type { Looked, NotNoted } from '@bright-keeper/contract';
import { inspection } from '@bright-keeper/core';
import { useState } from 'react';
import { Button, Failure } from '../../../ui/parts';
import { ToldFor, useTold } from '../../../ui/ToldFor';
import { useLookedAtMany, useTakeBack } from '../queries';
import { backOf, things, type WithMany } from './many';

/** By what light, and what that shows. */
const LIGHT_WORDS: Record<inspection.Light, { name: string; shows: string }> = {
  daylight: { name: 'daylight', shows: 'Their outside, and nothing of their glass.' },
  lamp: { name: 'a lamp from the side', shows: 'Their outside and the faces of their glass; not what lies inside.' },
  torch: { name: 'a torch through them', shows: 'All but a sensor: that is seen in a test frame.' },
};
const REFUSED: Record<NotNoted['because'], (name: string) => string> = {
  'under-way': (name) => `${name} is being cleaned: nothing was noted.`,
  'nothing-shown': (name) => `Of ${name} that light shows nothing that was not found dirty.`,
  'off-the-shelf': (name) => `${name} is off the shelf: nothing was noted.`,
};
const names = (list: readonly { name: string }[]): string => list.map(({ name }) => name).join(', ');
const resultWords = ({ entryIds, found, refused }: Looked): string =>
  [
    `${things(entryIds.length)} looked at, nothing new found.`,
    ...(found.length > 0 ? [`Something had been found on ${names(found)}: that stands as it was.`] : []),
    ...refused.map(({ name, because }) => REFUSED[because](name)),
  ].join(' ');

/** Many were looked at, and nothing new was found: by what light tells what that settles. */
export function LookedAtMany({ itemIds, onDone, onLeave }: WithMany) {
  const look = useLookedAtMany();
  const takeBack = useTakeBack();
  const [light, setLight] = useState<inspection.Light>('lamp');
  const told = useTold();
  return (
    <form
      aria-label="How they were looked at"
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        look.mutate(
          { itemIds, light, at: told.at },
          {
            onSuccess: (looked) =>
              onDone({
                words: resultWords(looked),
                takeBack: looked.entryIds.length === 0 ? null : () => takeBack.mutateAsync(looked.entryIds).then(backOf),
              }),
          },
        );
      }}
    >
      <label className="flex flex-col gap-1">
        By what light?
        <select className="input" value={light} onChange={(e) => setLight(e.target.value as inspection.Light)}>
          {inspection.LIGHTS.map((one) => (
            <option key={one} value={one}>
              By {LIGHT_WORDS[one].name}
            </option>
          ))}
        </select>
      </label>
      <p className="basis-full text-sm text-soft md:basis-auto md:pb-3">{LIGHT_WORDS[light].shows}</p>
      <ToldFor told={told} id="many-looked" label="it was on" />
      <Button type="submit" look="filled" disabled={look.isPending || itemIds.length === 0 || told.wrong !== null}>
        Nothing new was found
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Leave it
      </Button>
      {look.error && <Failure error={look.error} />}
    </form>
  );
}
