import { JOI_OPTIONS, placeInput, type Place, type PlaceInput } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm } from 'react-hook-form';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { failsAll } from '../../api/client';
import { ApiError } from '../../api/http';
import { useOpened, useUpToDate } from '../../api/useOpened';
import { Button, Failure, Loading, Notice, Page } from '../../ui/parts';
import { saveForm } from '../../ui/saveForm';
import { toNumber } from '../../ui/toNumber';
import { capital } from '../../ui/words';
import { Field } from '../gear';
import { useAddPlace, usePlaces, useUpdatePlace } from './queries';

const USUAL_BAND = { lowPct: 35, highPct: 60 };
const startFor = (kind: storage.PlaceKind): PlaceInput => {
  const { volumeL, openingsPerWeek } = storage.placeFacts(kind);
  return { name: '', kind, volumeL, airChangesPerDay: null, openingsPerWeek, lining: 'none', ...USUAL_BAND, standsInId: null, note: '' };
};

type Props = {
  start: PlaceInput;
  /** The place itself, when one is edited: it cannot stand in itself. */
  self: string | null;
  others: readonly Place[];
  verb: string;
  save: (input: PlaceInput) => Promise<unknown>;
  onDone: () => void;
  error: unknown;
};

function PlaceForm({ start, self, others, verb, save, onDone, error }: Props) {
  const { register, watch, setValue, getValues, handleSubmit, setError, formState } = useForm<PlaceInput>({
    defaultValues: start,
    resolver: joiResolver(placeInput, JOI_OPTIONS),
  });
  const { errors } = formState;
  const kind = watch('kind');
  const facts = storage.placeFacts(kind);
  /** Another kind has another usual size; what was typed stays. */
  const chooseKind = (next: storage.PlaceKind) => {
    const before = startFor(getValues('kind'));
    const after = startFor(next);
    setValue('kind', next);
    for (const field of ['volumeL', 'openingsPerWeek'] as const) if (getValues(field) === before[field]) setValue(field, after[field]);
  };
  const submit = handleSubmit(saveForm(save, onDone, setError));
  const number = (name: 'volumeL' | 'airChangesPerDay' | 'openingsPerWeek' | 'lowPct' | 'highPct', label: string, hint = '') => (
    <Field label={label} id={name} error={errors[name]?.message} hint={hint}>
      <input id={name} inputMode="decimal" className="input" aria-invalid={!!errors[name]} {...register(name, { setValueAs: toNumber })} />
    </Field>
  );
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="sheet max-w-3xl space-y-4 p-5">
      <Field label="Name" id="name" error={errors.name?.message}>
        <input id="name" className="input" autoFocus aria-invalid={!!errors.name} {...register('name')} />
      </Field>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label="What it is" id="kind" error={errors.kind?.message} hint={facts.tradeOff}>
          <select id="kind" className="input" value={kind} onChange={(e) => chooseKind(e.target.value as storage.PlaceKind)}>
            {storage.PLACE_KINDS.map((k) => (
              <option key={k} value={k}>
                {capital(storage.placeFacts(k).name)}
              </option>
            ))}
          </select>
        </Field>
        <Field
          label="Stands in"
          id="standsInId"
          error={errors.standsInId?.message}
          hint="The place whose air is around it, if it is one of yours."
        >
          <select id="standsInId" className="input" {...register('standsInId', { setValueAs: (v: string | null) => v || null })}>
            <option value="">no place we know</option>
            {others
              .filter((o) => o.id !== self)
              .map((o) => (
                <option key={o.id} value={o.id}>
                  {o.name}
                </option>
              ))}
          </select>
        </Field>
        {number('volumeL', 'Volume, litres')}
        <Field label="Lined with" id="lining" error={errors.lining?.message} hint="A lining holds moisture and gives it back.">
          <select id="lining" className="input" {...register('lining')}>
            {storage.LINING_IDS.map((l) => (
              <option key={l} value={l}>
                {storage.LININGS[l].name}
              </option>
            ))}
          </select>
        </Field>
        {facts.airChangesPerDay !== null && (
          <>
            {number(
              'airChangesPerDay',
              'Changes of air a day',
              `Leave empty to have it measured from the log; usual is ${facts.airChangesPerDay}.`,
            )}
            {number('openingsPerWeek', 'Openings a week')}
          </>
        )}
        {number('lowPct', 'Should stay above, %')}
        {number('highPct', 'Should stay below, %')}
      </div>
      <Field label="Note" id="note" error={errors.note?.message}>
        <input id="note" className="input" {...register('note')} />
      </Field>
      {error instanceof ApiError && error.problem.code === 'stale' && (
        <Notice tone="attention">
          This place was changed elsewhere in the meantime. What you typed is still here: save again to keep it, or go back to see the newer
          one.
        </Notice>
      )}
      {error instanceof ApiError && error.problem.code !== 'stale' && !error.problem.fields && <Failure error={error} />}
      <Button look="filled" type="submit" disabled={formState.isSubmitting}>
        {verb}
      </Button>
    </form>
  );
}

export function AddPlacePage() {
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const places = usePlaces();
  const add = useAddPlace();
  if (places.isPending) return <Loading />;
  if (places.isError) return <Failure error={places.error} onRetry={() => void places.refetch()} />;
  return (
    <Page title="A place to keep things">
      <PlaceForm
        start={startFor('shelf')}
        self={null}
        others={places.data.places}
        verb="Add it"
        save={async (input) => {
          const place = await add.mutateAsync(input);
          // Whoever came because it is damp there goes on to say what a dial in it shows.
          void navigate(params.get('then') === 'hygrometer' ? `/storage/${place.id}` : '/storage');
        }}
        onDone={() => {}}
        error={add.error}
      />
    </Page>
  );
}

function EditPlace({ place, others }: { place: Place; others: readonly Place[] }) {
  const navigate = useNavigate();
  const update = useUpdatePlace(place.id);
  const { opened, saveOver } = useOpened(place);
  const { id, version: _, archivedAt: _a, ...input } = opened;
  return (
    <Page title={<>Edit: {place.name}</>}>
      <PlaceForm
        start={input}
        self={id}
        others={others}
        verb="Save"
        save={(change) => saveOver((version) => update.mutateAsync({ ...change, version }))}
        onDone={() => void navigate(`/storage/${id}`)}
        error={update.error}
      />
    </Page>
  );
}

export function EditPlacePage() {
  const { id = '' } = useParams();
  const places = usePlaces();
  const isUpToDate = useUpToDate(places);
  if (failsAll(places)) return <Failure error={places.error!} onRetry={() => void places.refetch()} />;
  if (!places.data || !isUpToDate) return <Loading />;
  const place = places.data.places.find((p) => p.id === id);
  if (!place) return <Failure error={new Error('This place is not known.')} />;
  return <EditPlace key={id} place={place} others={places.data.places} />;
}
