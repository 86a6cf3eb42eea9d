import type { PlacePage } from '@bright-keeper/contract';
import { air } from '@bright-keeper/core';
import { lazy, Suspense } from 'react';
import { ButtonLink } from '../../ui/parts';
import { useFirstReading } from './queries';

// It comes with what forms are made of: most places are measured and never show it.
const HandReadingForm = lazy(async () => ({ default: (await import('./HandReadingForm')).HandReadingForm }));
/** As high as the form, so that what stands below does not jump when it comes. */
const FORM_SPACE = <div className="min-h-67 sm:min-h-32" />;

type Place = Pick<PlacePage, 'id' | 'name' | 'latest' | 'zone'>;

/** What the one reading there is says, or that there is none; neither is a verdict yet. */
function SoFar({ latest, zone }: Place) {
  if (!latest || !zone)
    return (
      <>
        <p className="text-lg font-semibold">Nothing is measured here yet</p>
        <p className="text-soft">
          Put any hygrometer in it for a day, and type in what it shows. Every reading after it makes the verdict surer.
        </p>
      </>
    );
  return (
    <>
      <p className="text-lg font-semibold">One day of readings so far: {air.ZONES.find((z) => z.id === zone)!.name}</p>
      <p className="text-soft">
        {air.ZONES.find((z) => z.id === zone)!.means} Whether fungus is to be feared, several days tell: type in what it shows tomorrow,
        too.
      </p>
    </>
  );
}

/** A place that was hardly measured: what a dial in it shows begins its log, with a hygrometer read by hand. */
export function FirstReading({ place }: { place: Place }) {
  const first = useFirstReading(place);
  return (
    <div className="sheet space-y-4 p-5">
      <SoFar {...place} />
      <Suspense fallback={FORM_SPACE}>
        <HandReadingForm id={place.id} verb="That is what it shows" save={first.mutateAsync} />
      </Suspense>
      <p className="text-sm text-soft">
        It sends its readings itself, or keeps a log?{' '}
        <ButtonLink look="quiet" to="/hygrometers">
          Set up a hygrometer
        </ButtonLink>
      </p>
    </div>
  );
}
