import type { Place } from '@bright-keeper/contract';
import { ButtonLink } from '../../ui/parts';
import { HandReadingForm } from './HandReadingForm';
import { useFirstReading } from './queries';

/** A place that was never measured: what a dial in it shows begins its log, with a hygrometer read by hand. */
export function FirstReading({ place }: { place: Pick<Place, 'id' | 'name'> }) {
  const first = useFirstReading(place);
  return (
    <div className="sheet space-y-4 p-5">
      <p className="text-lg font-semibold">Nothing is measured here yet</p>
      <p className="text-soft">
        Put any hygrometer in it for a day, and type in what it shows. Every reading after it makes the verdict surer.
      </p>
      <HandReadingForm id={place.id} verb="That is what it shows" save={first.mutateAsync} />
      <p className="text-sm text-soft">
        It sends its readings itself, or keeps a log?{' '}
        <ButtonLink look="quiet" to="/hygrometers">
          Set up a hygrometer
        </ButtonLink>
      </p>
    </div>
  );
}
