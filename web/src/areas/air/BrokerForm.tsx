import { type BrokerInput, brokerInput, JOI_OPTIONS, type IntakePlaces } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { ApiError } from '../../api/http';
import { Fold } from '../../ui/Fold';
import { Button, Failure, Notice } from '../../ui/parts';
import { KEPT_HERE, keptSecret, keptSecretHint } from '../../ui/keptSecret';
import { showRefusal } from '../../ui/saveForm';
import { At } from '../../ui/when';
import { Field } from '../gear';
import { brokerFaultWords } from './intakeWords';
import { useIntakePlaces, useSetBroker } from './queries';

/** How it stands with the broker, in a sentence. */
function Standing({ places: { broker, brokerState } }: { places: IntakePlaces }) {
  if (broker.address === null) return <p className="text-soft">No broker is listened to yet.</p>;
  return (
    <p>
      <span className="font-mono">{broker.address}</span>
      {brokerState && (
        <span className={brokerState.fault ? 'text-lamp' : 'text-soft'}>
          {' '}
          · {brokerState.fault ? brokerFaultWords(brokerState.fault) : 'Its line is open.'} Since <At instant={brokerState.since} />.
        </span>
      )}
    </p>
  );
}

/** A form of its own inside of one that is about a device: it is saved by its button, and no Enter of the other’s. */
function Editing({ places, onDone }: { places: IntakePlaces; onDone: () => void }) {
  const { hasPassword, ...broker } = places.broker;
  const save = useSetBroker();
  const { register, handleSubmit, setError, formState } = useForm<BrokerInput>({
    defaultValues: { ...broker, password: hasPassword ? null : '' },
    resolver: joiResolver(brokerInput, JOI_OPTIONS),
  });
  const { errors } = formState;
  const submit = handleSubmit(async (input) => {
    try {
      await save.mutateAsync(input);
      onDone();
    } catch (failure) {
      showRefusal(failure, setError);
    }
  });
  return (
    <div role="group" aria-label="The broker" className="space-y-4">
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Its address"
          id="broker-address"
          error={errors.address?.message}
          hint="As in mqtt://192.168.1.5:1883, or mqtts:// where it has a certificate. Empty: none is listened to."
        >
          <input
            id="broker-address"
            className="input font-mono"
            autoCapitalize="none"
            aria-invalid={!!errors.address}
            {...register('address', { setValueAs: (v: string | null) => v?.trim() || null })}
          />
        </Field>
        <Field label="Name" id="broker-name" error={errors.username?.message} hint="Where it asks for one.">
          <input id="broker-name" className="input" autoComplete="off" {...register('username')} />
        </Field>
        <Field label="Password" id="broker-password" error={errors.password?.message} hint={keptSecretHint(hasPassword, KEPT_HERE)}>
          <input
            id="broker-password"
            type="password"
            className="input"
            autoComplete="new-password"
            {...register('password', keptSecret(hasPassword))}
          />
        </Field>
      </div>
      <Fold title="Who vouches for its certificate" mustShow={!!errors.authority || broker.authority !== ''}>
        <Field
          label="Certificate of the authority (PEM)"
          id="broker-authority"
          error={errors.authority?.message}
          hint="Only for mqtts:// with a certificate of one’s own making."
        >
          <textarea
            id="broker-authority"
            rows={4}
            className="input font-mono text-sm"
            {...register('authority', { setValueAs: (v: string) => v.trim() })}
          />
        </Field>
      </Fold>
      {save.error instanceof ApiError && !save.error.problem.fields && <Failure error={save.error} />}
      <div className="flex gap-2">
        <Button look="filled" disabled={formState.isSubmitting} onClick={() => void submit()}>
          Keep this broker
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </div>
  );
}

/** The broker of the household: where it is, how it stands, and to change it. */
export function BrokerForm() {
  const places = useIntakePlaces();
  const [wants, setWants] = useState(false);
  if (places.isPending) return null;
  if (places.isError) return <Failure error={places.error} onRetry={() => void places.refetch()} />;
  if (wants) return <Editing places={places.data} onDone={() => setWants(false)} />;
  return (
    <Notice tone={places.data.broker.address === null || places.data.brokerState?.fault ? 'attention' : 'good'}>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <Standing places={places.data} />
        <Button onClick={() => setWants(true)}>{places.data.broker.address === null ? 'Name the broker' : 'Change the broker'}</Button>
      </div>
    </Notice>
  );
}
