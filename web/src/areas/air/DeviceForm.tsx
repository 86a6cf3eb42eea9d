import { deviceInput, JOI_OPTIONS, type Device, type DeviceInput } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm } from 'react-hook-form';
import { FormFoot } from '../../ui/FormFoot';
import { saveForm } from '../../ui/saveForm';
import { toNumber } from '../../ui/toNumber';
import { Field } from '../gear';
import { blankIntake, IntakeFields } from './IntakeFields';
import { usePlaces } from '../storage';

export const inputOf = ({ name, source, outdoor, placeId, everyMinutes, note, intake }: Device): DeviceInput => ({
  name,
  source,
  outdoor,
  placeId,
  everyMinutes,
  note,
  intake,
});

/** The messages of what is wrong, by the names of the fields they stand at. */
function messagesIn(errors: unknown, at = ''): Record<string, string> {
  if (typeof errors !== 'object' || errors === null) return {};
  const { message } = errors as { message?: unknown };
  if (typeof message === 'string') return { [at]: message };
  return Object.assign(
    {},
    ...Object.entries(errors).map(([name, inner]) => messagesIn(inner, at === '' ? name : `${at}.${name}`)),
  ) as Record<string, string>;
}

type Props = { start: DeviceInput; verb: string; save: (input: DeviceInput) => Promise<unknown>; onDone: () => void; error: unknown };

export function DeviceForm({ start, verb, save, onDone, error }: Props) {
  const places = usePlaces();
  const { register, watch, setValue, handleSubmit, setError, formState } = useForm<DeviceInput>({
    defaultValues: start,
    resolver: joiResolver(deviceInput, JOI_OPTIONS),
  });
  const { errors } = formState;
  const source = watch('source');
  const intake = watch('intake');
  const choose = (next: string) => setValue('intake', start.intake?.by === next ? start.intake : blankIntake(next));
  const submit = handleSubmit(saveForm(save, onDone, setError));
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="sheet mt-3 space-y-4 p-4" aria-label={verb}>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label="Name" id="device-name" error={errors.name?.message}>
          <input id="device-name" className="input" aria-invalid={!!errors.name} {...register('name')} />
        </Field>
        <Field label="Where its readings come from" id="device-source" error={errors.source?.message}>
          <select
            id="device-source"
            className="input"
            {...register('source', { onChange: (e: { target: { value: string } }) => choose(e.target.value) })}
          >
            <option value="hand">I read it by hand</option>
            <option value="csv">I import its log as a file</option>
            {start.source === 'folder' && <option value="folder">Its logs are put into a folder</option>}
            <option value="push">It pushes by itself (over HTTP)</option>
            <option value="mqtt">It publishes to a broker (MQTT)</option>
            <option value="poll">It answers at an address</option>
          </select>
        </Field>
        <Field
          label="Lies in"
          id="device-place"
          error={errors.placeId?.message}
          hint="Its first place counts for everything it read before, too."
        >
          {/* Drawn anew when the places have come: before that it has no entry for the one it lies in. */}
          <select
            key={places.data ? 'places' : 'none yet'}
            id="device-place"
            className="input"
            disabled={watch('outdoor')}
            {...register('placeId', { setValueAs: (v: string | null) => v || null })}
          >
            <option value="">no place</option>
            {(places.data?.places ?? []).map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </Field>
        <Field
          label="A reading every so many minutes"
          id="device-every"
          error={errors.everyMinutes?.message}
          hint="Silent for six of these, it is an alert."
        >
          <input
            id="device-every"
            className="input"
            inputMode="decimal"
            aria-invalid={!!errors.everyMinutes}
            {...register('everyMinutes', { setValueAs: toNumber })}
          />
        </Field>
      </div>
      {intake?.by === source && intake && (
        <IntakeFields
          intake={intake}
          errors={messagesIn(errors.intake)}
          onChange={(next) => setValue('intake', next, { shouldValidate: formState.isSubmitted })}
        />
      )}
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="check"
          {...register('outdoor', { onChange: (e: { target: { checked: boolean } }) => e.target.checked && setValue('placeId', null) })}
        />{' '}
        It is a weather station outdoors
      </label>
      <Field label="Note" id="device-note" error={errors.note?.message}>
        <input id="device-note" className="input" {...register('note')} />
      </Field>
      <FormFoot error={error} verb={verb} pending={formState.isSubmitting} onCancel={onDone} />
    </form>
  );
}
