import type { KeptOffer } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import { Link } from 'react-router';
import { Button, Failure, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { addressOf, answerOf, HOW_WORDS, TROUBLE_WORDS } from './offerView';
import { useOffers, useRemoveOffer } from './queries';

const STANDS: Record<record.OfferVerdict, string> = {
  buy: 'bearable at this price',
  bold: 'a gamble at this price',
  leave: 'too dear',
};
const stateWords = (offer: KeptOffer): string => (offer.state === 'open' ? STANDS[answerOf(offer).verdict] : offer.state);

/** Offers that were kept, the newest first. */
export function KeptOfferList({ currency }: { currency: string }) {
  const offers = useOffers();
  const remove = useRemoveOffer();
  if (!offers.data || offers.data.offers.length === 0) return null;
  return (
    <Section title="Offers kept">
      {remove.error && <Failure error={remove.error} />}
      <ul className="sheet divide-y divide-line" aria-label="Offers kept">
        {offers.data.offers.map((offer) => (
          <li key={offer.id} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 px-4 py-2">
            <span>
              <Link to={addressOf(offer)} className="font-medium underline">
                {offer.name}
              </Link>{' '}
              <span className="text-sm text-soft">
                {TROUBLE_WORDS[offer.trouble].toLowerCase()}: {HOW_WORDS[offer.how].toLowerCase()}; {offer.sums.asked.toLocaleString('en')}{' '}
                {currency} asked, {stateWords(offer)} · <At instant={offer.createdAt} />
                {offer.note && ` · ${offer.note}`}
              </span>
            </span>
            <Button look="quiet" aria-label={`Forget ${offer.name}`} disabled={remove.isPending} onClick={() => remove.mutate(offer.id)}>
              Forget
            </Button>
          </li>
        ))}
      </ul>
    </Section>
  );
}
