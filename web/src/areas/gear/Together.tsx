import type { ItemPage } from '@bright-keeper/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button, ButtonLink, Failure, Section } from '../../ui/parts';
import { usePutTogether, useWholeShelf } from './queries';

type Of = { item: Pick<ItemPage, 'id' | 'name' | 'together'> };

/** Chooses what belongs to a thing from all that is on the shelf. */
function Choosing({ item, onDone }: Of & { onDone: () => void }) {
  const shelf = useWholeShelf();
  const put = usePutTogether();
  const [chosen, setChosen] = useState('');
  const there = new Set([item.id, ...item.together.things.map(({ id }) => id)]);
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate({ itemIds: [chosen], belongsTo: item.id }, { onSuccess: onDone });
      }}
    >
      <label className="flex min-w-0 flex-1 flex-col gap-1">
        Which of them?
        <select className="input" value={chosen} disabled={!shelf.data} onChange={(e) => setChosen(e.target.value)}>
          <option value="" disabled>
            choose a thing
          </option>
          {(shelf.data ?? [])
            .filter(({ id }) => !there.has(id))
            .map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
        </select>
      </label>
      <Button type="submit" disabled={chosen === '' || put.isPending}>
        It belongs to this
      </Button>
      <Button look="quiet" onClick={onDone}>
        None
      </Button>
      {put.error && <Failure error={put.error} />}
    </form>
  );
}

/** What a thing belongs to and what belongs to it: it moves with it, is lent with it and comes back with it. */
export function Together({ item }: Of) {
  const put = usePutTogether();
  const [choosing, setChoosing] = useState(false);
  const { to, things } = item.together;
  return (
    <Section title="Belongs together">
      <div className="sheet space-y-3 p-4">
        {to && (
          <div className="flex flex-wrap items-center justify-between gap-2">
            <p>
              It belongs to{' '}
              <Link className="font-medium underline" to={`/gear/${to.id}`}>
                {to.name}
              </Link>
              .
            </p>
            <Button look="quiet" disabled={put.isPending} onClick={() => put.mutate({ itemIds: [item.id], belongsTo: null })}>
              It belongs to nothing
            </Button>
          </div>
        )}
        {things.length > 0 && (
          <ul aria-label="What belongs to it">
            {things.map((thing) => (
              <li key={thing.id} className="flex items-center justify-between gap-2">
                <Link className="font-medium hover:underline" to={`/gear/${thing.id}`}>
                  {thing.name}
                </Link>
                <Button
                  look="quiet"
                  aria-label={`Take out ${thing.name}`}
                  disabled={put.isPending}
                  onClick={() => put.mutate({ itemIds: [thing.id], belongsTo: null })}
                >
                  Take out
                </Button>
              </li>
            ))}
          </ul>
        )}
        {!to && things.length === 0 && (
          <p className="text-soft">A body and its cells, a lens and its hood, a bag and what it holds: what belongs to it moves with it.</p>
        )}
        {choosing ? (
          <Choosing item={item} onDone={() => setChoosing(false)} />
        ) : (
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => setChoosing(true)}>Something of the shelf belongs to it…</Button>
            <ButtonLink to={`/gear/new?to=${item.id}`}>A new thing that belongs to it</ButtonLink>
          </div>
        )}
        {put.error && <Failure error={put.error} />}
      </div>
    </Section>
  );
}

type AlongProps = { things: ItemPage['together']['things']; alone: boolean; onAlone: (alone: boolean) => void };
/** That what belongs to a thing goes where it goes; and that it may go alone. */
export function GoesAlong({ things, alone, onAlone }: AlongProps) {
  if (things.length === 0) return null;
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input type="checkbox" className="check" checked={!alone} onChange={(e) => onAlone(!e.target.checked)} /> With what belongs to it:{' '}
      {things.map(({ name }) => name).join(', ')}
    </label>
  );
}
