import type { ItemPage, SoilSeen } from '@bright-keeper/contract';
import { care, sensor } from '@bright-keeper/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button, Failure } from '../../ui/parts';
import { toNumber } from '../../ui/toNumber';
import { useUpdateItem } from '../gear';
import { Blot, MarkRuler, STOPS } from '../sensor';

/** What must be known of the lens for it, once. */
const ASKED = ['focalMm', 'smallestFNumber'] as const satisfies readonly care.TraitId[];
type Typed = Record<(typeof ASKED)[number], string>;

const isGood = (trait: (typeof ASKED)[number], typed: string): boolean => {
  const { min, max } = care.TRAITS[trait];
  const value = toNumber(typed);
  return typeof value === 'number' && value >= min && value <= max;
};

/** Focal length and smallest aperture, where the lens does not say them yet: kept with the lens. */
function AskTheLens({ item }: { item: ItemPage }) {
  const update = useUpdateItem(item.id);
  const [typed, setTyped] = useState<Typed>({
    focalMm: String(item.traits.focalMm ?? ''),
    smallestFNumber: String(item.traits.smallestFNumber ?? ''),
  });
  const { name, kind, traits, notes, acquiredOn, version } = item;
  const keep = () =>
    update.mutate({
      ...{ name, kind, notes, acquiredOn, version },
      traits: { ...traits, ...Object.fromEntries(ASKED.map((t) => [t, Number(toNumber(typed[t]))])) },
    });
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-end gap-3">
        {ASKED.map((t) => (
          <label key={t} className="flex flex-col gap-1 text-sm text-soft">
            {care.TRAITS[t].name}, {care.TRAITS[t].unit}
            <input
              className="input w-32 text-base text-ink"
              inputMode="decimal"
              value={typed[t]}
              aria-invalid={typed[t] !== '' && !isGood(t, typed[t])}
              onChange={(e) => setTyped({ ...typed, [t]: e.target.value })}
            />
            {typed[t] !== '' && !isGood(t, typed[t]) && (
              <span className="text-act">
                From {care.TRAITS[t].min} to {care.TRAITS[t].max}.
              </span>
            )}
          </label>
        ))}
        <Button disabled={update.isPending || !ASKED.every((t) => isGood(t, typed[t]))} onClick={keep}>
          Keep with the lens
        </Button>
      </div>
      {update.error && <Failure error={update.error} />}
    </div>
  );
}

/** The smallest aperture in use, and two wider ones to see it beside. */
const stopsUpTo = (smallest: number): number[] => [...STOPS.filter((s) => s < smallest).slice(-2), smallest];

type Props = { item: ItemPage; finding: SoilSeen; onSize: (sizeMm: number | null) => void };

/** How large the largest speck or blemish on the front is: it tells whether it can ever show, and so whether to touch it. */
export function SizeOnFront({ item, finding, onSize }: Props) {
  const sizeMm = finding.sizeMm ?? null;
  const { focalMm, smallestFNumber } = item.traits;
  const mayAsk = care.traitsOf(item.kind).includes('focalMm');
  if (!mayAsk) return null;
  const query = new URLSearchParams({
    ...(sizeMm === null ? {} : { d: String(sizeMm) }),
    ...(focalMm ? { focal: String(focalMm) } : {}),
    ...(smallestFNumber ? { f: String(smallestFNumber) } : {}),
  });
  return (
    <div className="space-y-3 rounded border border-line p-3">
      <MarkRuler legend="The largest is as large as" sizeMm={sizeMm} onSize={(mm) => onSize(mm === sizeMm ? null : mm)} />
      {sizeMm !== null && !(focalMm && smallestFNumber) && <AskTheLens item={item} />}
      {sizeMm !== null && focalMm && smallestFNumber && (
        <div className="grid grid-cols-3 gap-2">
          {stopsUpTo(smallestFNumber).map((fNumber) => (
            <Blot
              key={fNumber}
              mark={sensor.frontMark({ ...sensor.usualMark(sizeMm, focalMm), fNumber })}
              fNumber={fNumber}
              format={sensor.formats['full-frame']}
            />
          ))}
        </div>
      )}
      {sizeMm !== null && (
        <Link className="link text-sm" to={`/gear/${item.id}/front-mark?${query}`}>
          See it in a plain sky, at each aperture
        </Link>
      )}
    </div>
  );
}
