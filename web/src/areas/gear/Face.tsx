import { routes, type ShelfItem } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { memo } from 'react';

/** What a kind looks like from the side, without what is known of it. */
const Outline = memo(({ kind, traits }: Pick<ShelfItem, 'kind' | 'traits'>) => {
  const { width, height, body, regions } = care.sectionOf(kind, traits);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="block h-full w-full text-soft">
      {body.map((d) => (
        <path key={d} d={d} className="fill-line" />
      ))}
      {regions.map(({ surface, d }) => (
        <path key={surface} d={d} fill="none" stroke="currentColor" strokeWidth="6" />
      ))}
    </svg>
  );
});

/** By what a thing is known at a glance: its own picture, or its light path while it has none. It stands beside its name. */
export const Face = ({ item: { face, kind, traits } }: { item: Pick<ShelfItem, 'face' | 'kind' | 'traits'> }) => (
  <span aria-hidden="true" className="inline-block h-9 w-14 shrink-0 overflow-hidden rounded bg-well p-px align-middle">
    {face ? (
      <img src={routes.smallPicture(face)} alt="" loading="lazy" className="h-full w-full rounded object-cover" />
    ) : (
      <Outline kind={kind} traits={traits} />
    )}
  </span>
);
