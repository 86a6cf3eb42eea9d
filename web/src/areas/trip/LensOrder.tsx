import { trip } from '@bright-keeper/core';
import { Failure, Loading, Section } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { useWholeShelf } from '../gear';
import { lengthsFrom } from './lensChangeView';
import { lensesOf, rangeOf } from './pictures/picturesView';

const BODIES = ['1', '2'] as const;
const changesWords = (n: number): string => (n === 0 ? 'no lens change' : n === 1 ? 'one lens change' : `${n} lens changes`);

type Props = { params: URLSearchParams; set: (key: string, value: string | null) => void };

/** In which order the pictures of a day want the fewest lens changes, with the lenses that come along. */
export function LensOrder({ params, set }: Props) {
  const shelf = useWholeShelf();
  if (shelf.isError) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Loading />;
  const all = lensesOf(shelf.data).flatMap((item) => {
    const range = rangeOf(item);
    return range ? [{ name: item.name, range }] : [];
  });
  const stays = (params.get('without') ?? '').split(',');
  const along = all.filter(({ range }) => !stays.includes(range.id));
  const bodies = BODIES.find((b) => b === params.get('bodies')) ?? '1';
  const { wanted, odd } = lengthsFrom(params.get('lengths') ?? '');
  return (
    <Section title="The order of a day" className="mt-8">
      <div className="sheet space-y-4 p-4">
        {all.length === 0 ? (
          <p>None of the lenses on the shelf tells its focal length: it stands among the traits of each lens.</p>
        ) : (
          <>
            <label className="block">
              Focal lengths in the order you want them, mm
              <input
                className="input mt-1 block w-full max-w-xl"
                placeholder="24, 85, 24, 200"
                value={params.get('lengths') ?? ''}
                onChange={(e) => set('lengths', e.target.value || null)}
              />
            </label>
            {odd.length > 0 && <p className="text-sm text-act">No focal length: {odd.join(', ')}.</p>}
            <WayButtons
              legend="On"
              ways={[
                ['1', 'One body'],
                ['2', 'Two bodies'],
              ]}
              chosen={bodies}
              onChoose={(b) => set('bodies', b)}
            />{' '}
            {/* prettier-ignore */}
            <fieldset>
              <legend className="mb-1">Lenses that come along</legend>
              <div className="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
                {all.map(({ name, range: { id } }) => (
                  <label key={id} className="flex min-h-11 items-center gap-2">
                    <input
                      type="checkbox"
                      className="check"
                      checked={!stays.includes(id)}
                      onChange={() => {
                        const next = stays.includes(id) ? stays.filter((s) => s !== id) : [...stays, id];
                        set('without', next.filter(Boolean).join(',') || null);
                      }}
                    />{' '}
                    {name}
                  </label>
                ))}
              </div>
            </fieldset>
            {wanted.length > 0 && <Answer wanted={wanted} along={along} bodies={Number(bodies)} />}
          </>
        )}
      </div>
    </Section>
  );
}

type Along = readonly { name: string; range: trip.CarriedLens }[];
function Answer({ wanted, along, bodies }: { wanted: readonly number[]; along: Along; bodies: number }) {
  const lenses = along.map(({ range }) => range);
  const nameOf = (id: string): string => along.find(({ range }) => range.id === id)!.name;
  const inOrder = trip.fewestLensChanges({ wanted, lenses, bodies });
  const free = lenses.length <= trip.MOST_LENSES ? trip.inAnyOrder({ wanted, lenses, bodies }) : null;
  const missing = [...new Set(wanted.filter((_, i) => inOrder.order[i] === null))];
  return (
    <div role="status" className="space-y-2">
      <p>
        <span className="text-lg font-semibold">In this order: {changesWords(inOrder.changes)}.</span>{' '}
        {free && free.changes < inOrder.changes && (
          <>
            In another order {changesWords(free.changes)}: all of one lens in one go, {free.lenses.map(nameOf).join(', then ')}.
          </>
        )}
      </p>
      {missing.length > 0 && <p className="text-act">No lens along covers {missing.join(', ')} mm.</p>}
      <ol className="flex flex-wrap gap-2">
        {wanted.map((mm, i) => {
          const shot = inOrder.order[i];
          if (!shot) return null;
          return (
            <li key={i} className={`rounded border px-2 py-1 text-sm ${shot.changed ? 'border-lamp bg-lamp-tint' : 'border-line'}`}>
              <b>{mm} mm</b> {nameOf(shot.lens)}
              {bodies > 1 && `, body ${shot.body + 1}`}
              {shot.changed && ', changed'}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
