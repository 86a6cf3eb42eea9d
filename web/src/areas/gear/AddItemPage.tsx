import type { Item, ItemInput } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { LightPath } from '../../ui/lightpath/LightPath';
import { failsAll } from '../../api/client';
import { Button, ButtonLink, Failure, Loading, Page } from '../../ui/parts';
import { useStartLook } from '../inspection';
import { KindField, MoreFields, NameField, TraitFields } from './ItemFields';
import { ParticularFields } from './ParticularFields';
import { useAddItem, useItem } from './queries';
import { useItemForm } from './useItemForm';

const NO_STATES: never[] = [];

const EMPTY: ItemInput = { name: '', kind: 'lens', traits: {}, notes: '', acquiredOn: null, particulars: {} };
/** The next of a kind: what two of them share is there already, what is of one alone is asked. */
const nextOf = ({ name, kind, traits, particulars, belongsTo }: Item): ItemInput => ({
  ...{ name, kind, traits, notes: '', acquiredOn: null },
  particulars: gear.sharedWithTheNext(particulars),
  belongsTo,
});

/** What belongs to another one is an accessory more often than not. */
const partOf = ({ id }: Item): ItemInput => ({ ...EMPTY, kind: 'accessory', belongsTo: id });

/** Name, kind, and the traits that change advice: under twenty seconds, and the section grows as you tick. */
function AddForm({ start, like, to }: { start: ItemInput; like: string | null; to: Pick<Item, 'id' | 'name'> | null }) {
  const navigate = useNavigate();
  const add = useAddItem();
  const [more, setMore] = useState(like !== null);
  const { form, kind, fields, changeKind, showProblem } = useItemForm(start);
  const traits = form.watch('traits');
  const [params] = useSearchParams();
  const startLook = useStartLook();
  // Whoever came because a lens bothers them goes on to look at it; what they came from stays one step back.
  const shown = (itemId: string) =>
    params.get('then') === 'look'
      ? startLook.mutate(
          { itemId },
          {
            onSuccess: (look) => void navigate(`/look/${look.id}`),
            onError: () => void navigate(`/gear/${itemId}`),
          },
        )
      : void navigate(`/gear/${to?.id ?? itemId}`);
  const submit = form.handleSubmit((input) => add.mutate(input, { onSuccess: (item) => shown(item.id), onError: showProblem }));
  return (
    <Page
      title={like ? 'Put the next one on the shelf' : 'Put a thing on the shelf'}
      sub={
        like
          ? `Like ${like}; its own number and what was paid for it are asked anew.`
          : to
            ? `It belongs to ${to.name}: it moves with it and is lent with it.`
            : 'Name and kind are enough. The ticks change what Bright Keeper advises.'
      }
    >
      <form onSubmit={(e) => void submit(e)} noValidate className="grid gap-8 lg:grid-cols-[3fr_2fr]">
        <div className="space-y-6">
          <NameField {...fields} />
          <KindField control={fields.control} onKind={changeKind} />
          <TraitFields kind={kind} form={fields} />
          {more ? (
            <>
              <MoreFields {...fields} />
              <ParticularFields kind={kind} form={fields} given={form.watch('particulars')} />
            </>
          ) : (
            <Button look="quiet" onClick={() => setMore(true)}>
              Add its number, mount, price, notes…
            </Button>
          )}
          {!like && (
            <p className="text-sm text-soft">
              Only offered so far, with fungus in it?{' '}
              <Link to="/offer" className="underline">
                See what it is worth
              </Link>
              .
            </p>
          )}
          {add.error && <Failure error={add.error} />}
          <div className="flex gap-3">
            <Button look="filled" type="submit" disabled={add.isPending}>
              {params.get('then') === 'look' ? 'Look at it' : 'Put it on the shelf'}
            </Button>
            <ButtonLink to="/gear">Cancel</ButtonLink>
          </div>
        </div>
        <aside className="sheet order-first h-fit p-4 lg:order-last lg:sticky lg:top-4">
          <LightPath kind={kind} traits={traits} states={NO_STATES} />
          <p className="mt-2 text-sm text-soft">{care.surfacesOf(kind, traits).length} surfaces to keep an eye on.</p>
        </aside>
      </form>
    </Page>
  );
}

export function AddItemPage() {
  const [params] = useSearchParams();
  const [likeId, toId] = [params.get('like') ?? undefined, params.get('to') ?? undefined];
  const other = useItem(likeId ?? toId);
  if (!likeId && !toId) return <AddForm start={EMPTY} like={null} to={null} />;
  if (failsAll(other)) return <Failure error={other.error!} onRetry={() => void other.refetch()} />;
  if (!other.data) return <Loading />;
  const { id, name } = other.data;
  return likeId ? (
    <AddForm key={id} start={nextOf(other.data)} like={name} to={null} />
  ) : (
    <AddForm key={id} start={partOf(other.data)} like={null} to={other.data} />
  );
}
