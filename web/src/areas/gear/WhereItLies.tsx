import type { ItemPage } from '@bright-keeper/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button, Failure } from '../../ui/parts';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { At } from '../../ui/when';
import { GoesAlong } from './Together';
import { useMoveItem, usePlaces } from '../storage';

/** The place a thing lies in, and moving it to another: with one tap now, or since when it lies there. */
export function WhereItLies({ item }: { item: ItemPage }) {
  const places = usePlaces();
  const move = useMoveItem(item.id);
  const told = useTold();
  const [chosen, setChosen] = useState<string | null>(null);
  const [alone, setAlone] = useState(false);
  const here = item.place?.id ?? '';
  const isEarlier = told.local !== null;
  const tell = (placeId: string) =>
    move.mutate(
      { placeId: placeId || null, since: told.at, ...(alone ? { alone } : {}) },
      {
        onSuccess: () => {
          told.setLocal(null);
          setChosen(null);
        },
      },
    );
  return (
    <div className="sheet space-y-2 p-4">
      {item.place ? (
        <p>
          <Link className="font-medium hover:underline" to={`/storage/${item.place.id}`}>
            {item.place.name}
          </Link>{' '}
          <span className="text-soft">
            since <At instant={item.place.since} />
          </span>
        </p>
      ) : (
        <p className="text-soft">{item.status === 'quarantined' ? 'Apart from the rest, in quarantine.' : 'Nobody has said where.'}</p>
      )}
      <label className="block">
        <span className="mb-1 block text-sm text-soft">{isEarlier ? 'It lies in' : 'Move it to'}</span>
        <select
          className="input"
          value={chosen ?? here}
          disabled={!places.data || move.isPending}
          onChange={(e) => (isEarlier ? setChosen(e.target.value) : tell(e.target.value))}
        >
          <option value="">no place we know</option>
          {(places.data?.places ?? []).map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      <GoesAlong things={item.together.things} alone={alone} onAlone={setAlone} />
      <ToldFor told={told} id={`since-${item.id}`} label="since" />
      {isEarlier && (
        <Button look="filled" disabled={told.wrong !== null || move.isPending} onClick={() => tell(chosen ?? here)}>
          It lies there since then
        </Button>
      )}
      {(places.error ?? move.error) && <Failure error={places.error ?? move.error} />}
    </div>
  );
}
