import type { Item } from '@bright-keeper/contract';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { failsAll } from '../../api/client';
import { newerIn } from '../../api/http';
import { useUpToDate } from '../../api/useOpened';
import { Button, ButtonLink, Failure, Loading, Notice, Page } from '../../ui/parts';
import { KindField, MoreFields, NameField, TraitFields } from './ItemFields';
import { ParticularFields } from './ParticularFields';
import { useItem, useUpdateItem } from './queries';
import { useItemForm } from './useItemForm';

function EditForm({ item }: { item: Item }) {
  const navigate = useNavigate();
  const update = useUpdateItem(item.id);
  const [version, setVersion] = useState(item.version);
  const { name, kind: itemKind, traits, notes, acquiredOn, particulars } = item;
  const { form, kind, fields, changeKind, takeRow, showProblem } = useItemForm({
    ...{ name, kind: itemKind, traits, notes, acquiredOn, particulars },
  });
  const save = (asVersion: number) =>
    form.handleSubmit((input) =>
      update.mutate({ ...input, version: asVersion }, { onSuccess: () => void navigate(`/gear/${item.id}`), onError: showProblem }),
    )();
  const newer = newerIn<Item>(update.error);
  const takeNewer = (row: Item) => {
    takeRow(row);
    setVersion(row.version);
    update.reset();
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void save(version);
      }}
      noValidate
      className="max-w-3xl space-y-6"
    >
      {newer && (
        <Notice tone="attention">
          <p className="font-semibold">This was changed elsewhere in the meantime.</p>
          <p className="mt-1">There it is now called “{newer.name}”. What you typed is still here.</p>
          <div className="mt-3 flex flex-wrap gap-2">
            <Button onClick={() => takeNewer(newer)}>Take the newer version</Button>
            <Button onClick={() => void save(newer.version)}>Keep mine</Button>
          </div>
        </Notice>
      )}
      <NameField {...fields} />
      <KindField control={fields.control} onKind={changeKind} />
      <TraitFields kind={kind} form={fields} />
      <MoreFields {...fields} />
      <ParticularFields kind={kind} form={fields} given={form.watch('particulars')} />
      {update.error && !newer && <Failure error={update.error} />}
      <div className="flex gap-3">
        <Button look="filled" type="submit" disabled={update.isPending}>
          Save
        </Button>
        <ButtonLink to={`/gear/${item.id}`}>Cancel</ButtonLink>
      </div>
    </form>
  );
}

export function EditItemPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const isUpToDate = useUpToDate(item);
  if (failsAll(item)) return <Failure error={item.error!} onRetry={() => void item.refetch()} />;
  if (!item.data || !isUpToDate) return <Loading />;
  // The form keeps the version it was opened with, whatever a later refetch brings.
  return (
    <Page title={`Edit ${item.data.name}`}>
      <EditForm key={id} item={item.data} />
    </Page>
  );
}
