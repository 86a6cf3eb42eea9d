import type { ShelfItem } from '@bright-keeper/contract';
import { trip } from '@bright-keeper/core';
import { Link } from 'react-router';
import { Section } from '../../../ui/parts';
import { bodiesOf, lensesOf, rangeOf, type FewestChanges } from './picturesView';
import { many } from '../words';

/** What a zoom was never set to, and who stayed at home: read from all pictures of the things of the shelf. */
export function Habits({ told, shelf, changes }: { told: trip.PicturesTold; shelf: readonly ShelfItem[]; changes: FewestChanges | null }) {
  const [half, most] = [trip.apertureOfShare(told.apertures, 0.5), trip.apertureOfShare(told.apertures, 0.9)];
  const used = shelf.filter((t) => t.id in told.used);
  const body = bodiesOf(used)[0];
  const gaps = lensesOf(used).flatMap((lens) => {
    const range = rangeOf(lens);
    const gap = range ? trip.neverUsed(range, told.focalLengths[lens.id] ?? []) : [];
    return gap.length > 0 ? [{ lens, between: gap.map(({ fromMm, toMm }) => `${fromMm} and ${toMm}`).join(', or ') }] : [];
  });
  const idle = [...bodiesOf(shelf), ...lensesOf(shelf)].filter((t) => !(t.id in told.used));
  return (
    <Section title="What the pictures say">
      <div className="sheet space-y-4 p-4">
        <table className="w-full max-w-2xl text-left">
          <thead className="text-sm text-soft">
            <tr>
              <th className="pb-1 font-normal">Used</th>
              <th className="pb-1 text-right font-normal">Pictures</th>
              <th className="pb-1 text-right font-normal">Lens changes</th>
            </tr>
          </thead>
          <tbody>
            {used.map(({ id, name }) => {
              const { frames, lensChanges } = told.used[id]!;
              return (
                <tr key={id} className="border-t border-line">
                  <td className="py-1.5">
                    <Link to={`/gear/${id}`} className="hover:underline">
                      {name}
                    </Link>
                  </td>
                  <td className="py-1.5 text-right tabular-nums">{frames}</td>
                  <td className="py-1.5 text-right tabular-nums">{lensChanges ?? 'not told'}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {half !== null && most !== null && (
          <p>
            Half of them at f/{half} or wider, nine in ten at f/{most} or wider: what a speck does at these is what matters.
            {body && (
              <>
                {' '}
                <Link to={`/gear/${body.id}/frames?f=${most}`} className="underline">
                  The sensor at f/{most}
                </Link>
              </>
            )}
          </p>
        )}
        {changes && (
          <p>
            {many(changes.made, 'lens change', 'lens changes')} on the outings whose lenses are known by their range. With the same lenses
            the same pictures could have been taken with {changes.oneBody || 'none'} on one body and {changes.twoBodies || 'none'} on two.
          </p>
        )}
        {gaps.map(({ lens, between }) => (
          <p key={lens.id}>
            {lens.name}: no picture between {between} mm.
          </p>
        ))}
        {idle.length > 0 && (
          <p>
            In none of these pictures:{' '}
            {idle.map(({ id, name }, i) => (
              <span key={id}>
                {i > 0 && ', '}
                <Link to={`/gear/${id}`} className="underline">
                  {name}
                </Link>
              </span>
            ))}
            . A lens that does not tell its name stands there as well.
          </p>
        )}
      </div>
    </Section>
  );
}
