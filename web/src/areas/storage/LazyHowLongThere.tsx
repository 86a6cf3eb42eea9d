import { lazy, Suspense, useState } from 'react';
import { useOverview } from './queries';

const HowLongThere = lazy(async () => ({ default: (await import('./HowLongThere')).HowLongThere }));

/** The question is asked once in the life of a shelf: its code comes with it, and stays to say what was told. */
export function LazyHowLongThere() {
  const longOwned = useOverview().data?.longOwned ?? [];
  const [wasAsked, setWasAsked] = useState(false);
  if (longOwned.length > 0 && !wasAsked) setWasAsked(true);
  if (!wasAsked) return null;
  return (
    <Suspense>
      <HowLongThere longOwned={longOwned} />
    </Suspense>
  );
}
