import type { Outing, OutingInput } from '@bright-keeper/contract';
import { trip } from '@bright-keeper/core';
import { longDate } from '@bright-keeper/words';
import { useState } from 'react';
import { ApiError } from '../../../api/http';
import { Button, Failure } from '../../../ui/parts';
import { useToday } from '../../../ui/zone';
import { useAddOuting, useOutings, useRemoveOuting, useUpdateOuting } from '../../trip';
import { backWords, things, type WithMany } from './many';

const NEW = 'new';

/** Many came along on an outing: a new one, or one that is noted. */
export function OutingMany({ itemIds, onDone, onLeave }: WithMany) {
  const today = useToday();
  const outings = useOutings();
  const [add, update, remove] = [useAddOuting(), useUpdateOuting(), useRemoveOuting()];
  const [which, setWhich] = useState(NEW);
  const [name, setName] = useState('');
  const [from, setFrom] = useState(today);
  const [to, setTo] = useState(today);
  const [place, setPlace] = useState<trip.GroundId>('town');
  const error = add.error ?? update.error ?? remove.error;
  const fields = error instanceof ApiError ? error.problem.fields : undefined;
  const said = (field: string) => fields?.[field] && <span className="text-sm text-act">{fields[field]}</span>;

  const note = () => {
    const input: OutingInput = { name, from, to, place, itemIds, met: [], frames: null, lensChanges: null, hours: null, note: '' };
    add.mutate(input, {
      onSuccess: ({ id }) =>
        onDone({
          words: `Noted: ${name}, with ${things(itemIds.length)}.`,
          takeBack: () => remove.mutateAsync(id).then(() => backWords(itemIds.length, 0)),
        }),
    });
  };
  const join = (outing: Outing) => {
    const fresh = itemIds.filter((id) => !outing.itemIds.includes(id));
    update.mutate(
      { ...outing, itemIds: [...outing.itemIds, ...fresh] },
      {
        onSuccess: (after) =>
          onDone({
            words: `${things(fresh.length)} came along on ${outing.name}.${fresh.length < itemIds.length ? ' The others were noted already.' : ''}`,
            takeBack: () =>
              update
                .mutateAsync({ ...after, itemIds: after.itemIds.filter((id) => !fresh.includes(id)) })
                .then(() => backWords(fresh.length, 0)),
          }),
      },
    );
  };
  const known = outings.data?.find((o) => o.id === which);
  return (
    <form
      aria-label="The outing they came along on"
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (known) join(known);
        else note();
      }}
    >
      <label className="flex flex-col gap-1">
        Which outing?
        <select className="input" value={which} onChange={(e) => setWhich(e.target.value)}>
          <option value={NEW}>A new one</option>
          {(outings.data ?? []).map((o) => (
            <option key={o.id} value={o.id}>
              {o.name}, {longDate(o.from)}
            </option>
          ))}
        </select>
      </label>
      {!known && (
        <>
          <label className="flex flex-col gap-1">
            Name of it
            <input className="input" maxLength={120} autoComplete="off" value={name} onChange={(e) => setName(e.target.value)} />
            {said('name')}
          </label>
          <label className="flex flex-col gap-1">
            From
            <input type="date" className="input" required value={from} onChange={(e) => setFrom(e.target.value)} />
            {said('from')}
          </label>
          <label className="flex flex-col gap-1">
            To
            <input type="date" className="input" required value={to} onChange={(e) => setTo(e.target.value)} />
            {said('to')}
          </label>
          <label className="flex flex-col gap-1">
            Where to
            <select className="input" value={place} onChange={(e) => setPlace(e.target.value as trip.GroundId)}>
              {trip.GROUND_IDS.map((ground) => (
                <option key={ground} value={ground}>
                  {trip.groundFacts(ground).name}
                </option>
              ))}
            </select>
          </label>
        </>
      )}
      <Button type="submit" look="filled" disabled={add.isPending || update.isPending || itemIds.length === 0}>
        They came along
      </Button>
      <Button look="quiet" onClick={onLeave}>
        Leave it
      </Button>
      {error && !fields && <Failure error={error} />}
    </form>
  );
}
