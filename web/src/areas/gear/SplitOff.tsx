import type { ItemPage } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { ApiError } from '../../api/http';
import { Button, Failure } from '../../ui/parts';
import { useSplit } from './queries';

/** Some of several equal things become a line of their own: to lend them, to look at them, to sell them. */
export function SplitOff({ item: { id, version, particulars } }: { item: Pick<ItemPage, 'id' | 'version' | 'particulars'> }) {
  const there = gear.countOf(particulars);
  const [asking, setAsking] = useState(false);
  const [count, setCount] = useState(1);
  const split = useSplit(id);
  const wrong = split.error instanceof ApiError ? split.error.problem.fields?.count : undefined;
  if (split.data)
    return (
      <p role="status" className="w-full rounded bg-glass-tint px-4 py-2">
        {gear.countOf(split.data.particulars)} of them now {gear.countOf(split.data.particulars) === 1 ? 'is' : 'are'}{' '}
        <Link className="underline" to={`/gear/${split.data.id}`}>
          a line of {gear.countOf(split.data.particulars) === 1 ? 'its' : 'their'} own
        </Link>
        .
      </p>
    );
  if (there < 2) return null;
  if (!asking) return <Button onClick={() => setAsking(true)}>Split some off…</Button>;
  return (
    <form
      className="sheet flex w-full flex-wrap items-end gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        split.mutate({ version, count });
      }}
    >
      <label className="flex flex-col gap-1">
        How many of the {there}?
        <input
          type="number"
          className="input w-28"
          min="1"
          max={there - 1}
          required
          value={count}
          onChange={(e) => setCount(e.target.valueAsNumber || 1)}
        />
        {wrong && <span className="text-sm text-act">{wrong}</span>}
      </label>
      <Button type="submit" look="filled" disabled={split.isPending}>
        Make it a line of its own
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        Leave them together
      </Button>
      <p className="w-full text-sm text-soft">
        Sums are shared by head. The new line lies in the same place and is asked to be looked at anew.
      </p>
      {split.error && wrong === undefined && <Failure error={split.error} />}
    </form>
  );
}
