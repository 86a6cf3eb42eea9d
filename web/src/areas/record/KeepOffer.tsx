import type { KeptOffer, OfferInput } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Button, ButtonLink, Failure } from '../../ui/parts';
import { addressOf } from './offerView';
import { useAddOffer, useBuy, useDecline, useOffers, useUpdateOffer } from './queries';

const OVER: Record<'bought' | 'declined', string> = { bought: 'It was bought.', declined: 'It was declined.' };

/** Whether what stands on the page is what is kept. */
const isKept = (offer: KeptOffer, { name, note, ...seen }: OfferInput): boolean =>
  addressOf({ ...offer, ...seen }) === addressOf(offer) && name.trim() === offer.name && note === offer.note;

function Form({ offer, seen }: { offer: KeptOffer | null; seen: record.OfferSeen }) {
  const navigate = useNavigate();
  const [name, setName] = useState(offer?.name ?? '');
  const [note, setNote] = useState(offer?.note ?? '');
  const [add, update, buy, decline] = [useAddOffer(), useUpdateOffer(), useBuy(), useDecline()];
  const input: OfferInput = { ...seen, name, note };
  const busy = [add, update, buy, decline].some((m) => m.isPending);
  const error = [add, update, buy, decline].find((m) => m.error)?.error;
  const keep = async () => {
    const kept = await (offer ? update.mutateAsync({ id: offer.id, version: offer.version, ...input }) : add.mutateAsync(input)).catch(
      () => null,
    );
    if (kept) void navigate(addressOf(kept), { replace: true });
  };
  const bought = async () => {
    const item = await buy.mutateAsync(offer!).catch(() => null);
    if (item) void navigate(`/gear/${item.id}`);
  };
  const changed = !offer || !isKept(offer, input);
  return (
    <form
      className="sheet space-y-3 p-4"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <label className="flex flex-col gap-1">
        What it is
        <input className="input" value={name} maxLength={120} onChange={(e) => setName(e.target.value)} />
      </label>
      <label className="flex flex-col gap-1">
        A note, as whose it is
        <input className="input" value={note} maxLength={2000} onChange={(e) => setNote(e.target.value)} />
      </label>
      {error && <Failure error={error} />}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look={offer ? 'plain' : 'filled'} disabled={busy || name.trim() === '' || !changed}>
          {offer ? 'Keep it as it stands now' : 'Keep this offer'}
        </Button>
        {offer && !changed && (
          <>
            <Button look="filled" disabled={busy} onClick={() => void bought()}>
              Bought: put it on the shelf
            </Button>
            <Button disabled={busy} onClick={() => decline.mutate(offer)}>
              Declined
            </Button>
          </>
        )}
      </div>
      {offer && changed && <p className="text-sm text-soft">Keep it as it stands first; then it can be bought or declined.</p>}
    </form>
  );
}

/** Keeps what was seen as an offer, until it is bought or declined. */
export function KeepOffer({ seen, offerId }: { seen: record.OfferSeen; offerId: string | null }) {
  const offers = useOffers();
  if (offers.isError) return <Failure error={offers.error} onRetry={() => void offers.refetch()} />;
  if (!offers.data) return null;
  const offer = offers.data.offers.find(({ id }) => id === offerId) ?? null;
  if (offer && offer.state !== 'open')
    return (
      <div className="sheet flex flex-wrap items-center gap-3 p-4">
        <p>
          <b>{offer.name}</b>: {OVER[offer.state]}
        </p>
        {offer.itemId !== null && <ButtonLink to={`/gear/${offer.itemId}`}>On the shelf</ButtonLink>}
        <ButtonLink to="/offer">Another offer</ButtonLink>
      </div>
    );
  return <Form key={offer?.version ?? 0} offer={offer} seen={seen} />;
}
