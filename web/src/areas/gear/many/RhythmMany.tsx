import type { RhythmsSet } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { useState } from 'react';
import { Button, Failure } from '../../../ui/parts';
import { useRhythmOfMany, useRhythmsBack } from '../../schedule';
import { backWords, things, type WithMany } from './many';

/** What recurs of a thing, by its name. */
const RECURS = schedule.RHYTHM_CODES.filter((code) => schedule.dutyFacts(code).about === 'thing').sort((a, b) =>
  schedule.dutyFacts(a).name.localeCompare(schedule.dutyFacts(b).name),
);
const EVERY = [1, 2, 3, 4, 6, 9, 12, 18, 24, 36];
const monthsWords = (months: number): string => (months === 1 ? 'every month' : months === 12 ? 'every year' : `every ${months} months`);
const NEVER = 'never';

/** A rhythm for many at once, each by itself: what else makes it due of each stays. */
export function RhythmMany({ itemIds, onDone, onLeave }: WithMany) {
  const [set, back] = [useRhythmOfMany(), useRhythmsBack()];
  const [code, setCode] = useState<schedule.DutyCode>('light-test');
  const [every, setEvery] = useState('6');
  const months = every === NEVER ? null : Number(every);
  const { name } = schedule.dutyFacts(code);
  const wordsOf = ({ before, without }: RhythmsSet): string =>
    `${name}: ${months === null ? 'no more' : monthsWords(months)}, for ${things(before.length)}.${
      without.length > 0 ? ` Not asked of ${without.map((thing) => thing.name).join(', ')}.` : ''
    }`;
  return (
    <form
      aria-label="How often it is done"
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate(
          { itemIds, code, months },
          {
            onSuccess: (done) =>
              onDone({
                words: wordsOf(done),
                takeBack:
                  done.before.length === 0
                    ? null
                    : () => back.mutateAsync({ code, before: done.before }).then(() => backWords(done.before.length, 0)),
              }),
          },
        );
      }}
    >
      <label className="flex flex-col gap-1">
        What is done?
        <select className="input" value={code} onChange={(e) => setCode(e.target.value as schedule.DutyCode)}>
          {RECURS.map((one) => (
            <option key={one} value={one}>
              {schedule.dutyFacts(one).name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1">
        How often?
        <select className="input" value={every} onChange={(e) => setEvery(e.target.value)}>
          {EVERY.map((n) => (
            <option key={n} value={n}>
              {monthsWords(n)}
            </option>
          ))}
          <option value={NEVER}>no more</option>
        </select>
      </label>
      <Button type="submit" look="filled" disabled={set.isPending || itemIds.length === 0}>
        Set it for them
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Leave it
      </Button>
      {set.error && <Failure error={set.error} />}
    </form>
  );
}
