import type { Outing } from '@bright-keeper/contract';
import { trip } from '@bright-keeper/core';
import { inWords } from '@bright-keeper/words';
import { Link } from 'react-router';
import { shortDate } from '../../ui/dates';
import { Notice } from '../../ui/parts';

type Props = { outing: trip.GoesAlong; outings: readonly Outing[]; things: readonly { id: string; name: string }[] };

/** Not more names than one reads. */
const MOST_NAMES = 6;

/** What is said to be on two outings at one time: told, and left to whoever knows which of them is right. */
export function OnBoth({ outing, outings, things }: Props) {
  const both = trip.alsoOn(outing, outings);
  const nameOf = (id: string) => things.find((thing) => thing.id === id)?.name ?? 'something that is not on the shelf any more';
  const whatOf = ({ itemIds, kit }: trip.AlsoOn<Outing>) => {
    const names = [...itemIds.slice(0, MOST_NAMES).map(nameOf), ...(kit === null ? [] : [`the kit “${kit}”`])];
    return inWords(itemIds.length > MOST_NAMES ? [...names, `${itemIds.length - MOST_NAMES} more`] : names);
  };
  return both.map((also) => (
    <Notice key={also.outing.id} tone="attention">
      Also on{' '}
      <Link className="underline" to={`/outings/${also.outing.id}`}>
        {also.outing.name}
      </Link>{' '}
      ({shortDate(also.outing.from)} to {shortDate(also.outing.to)}): {whatOf(also)}. It can be on one of them only: take it off the other,
      or set the days right.
    </Notice>
  ));
}
