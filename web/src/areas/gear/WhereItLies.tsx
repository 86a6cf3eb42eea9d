import type { ItemPage } from '@bright-keeper/contract';
import { Link } from 'react-router';
import { Failure } from '../../ui/parts';
import { At } from '../../ui/when';
import { useMoveItem, usePlaces } from '../storage';

/** The place a thing lies in, and moving it to another. */
export function WhereItLies({ item }: { item: ItemPage }) {
  const places = usePlaces();
  const move = useMoveItem(item.id);
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
        <span className="mb-1 block text-sm text-soft">Move it to</span>
        <select
          className="input"
          aria-label="Move it to"
          value={item.place?.id ?? ''}
          disabled={!places.data || move.isPending}
          onChange={(e) => move.mutate({ placeId: e.target.value || null })}
        >
          <option value="">no place we know</option>
          {(places.data?.places ?? []).map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      {(places.error ?? move.error) && <Failure error={places.error ?? move.error} />}
    </div>
  );
}
