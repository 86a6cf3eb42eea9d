import { handReading, JOI_OPTIONS, type Device, type HandReading } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm } from 'react-hook-form';
import { ApiError } from '../../api/http';
import { Button } from '../../ui/parts';
import { toNumber } from '../../ui/toNumber';
import { Field } from '../gear/ItemFields';
import { useHandReading } from './queries';

const comma = (text: unknown): unknown => toNumber(typeof text === 'string' ? text.replace(',', '.') : text);

/** A reading typed by hand, now. */
export function HandReadingForm({ device }: { device: Device }) {
  const save = useHandReading(device.id);
  const { register, handleSubmit, reset, setError, formState } = useForm<HandReading>({
    defaultValues: { at: null, temperatureC: '' as unknown as number, humidityPct: '' as unknown as number },
    resolver: joiResolver(handReading, JOI_OPTIONS),
  });
  const { errors } = formState;
  const submit = handleSubmit((reading) =>
    save.mutate(reading, {
      onSuccess: () => reset(),
      onError: (failure) => {
        if (failure instanceof ApiError) setError('humidityPct', { message: failure.problem.detail });
      },
    }),
  );
  return (
    <form
      onSubmit={(e) => void submit(e)}
      noValidate
      className="grid gap-3 sm:grid-cols-[1fr_1fr_auto] sm:items-end"
      aria-label="A reading by hand"
    >
      <Field label="It reads, °C" id={`t-${device.id}`} error={errors.temperatureC?.message}>
        <input
          id={`t-${device.id}`}
          inputMode="decimal"
          className="input"
          aria-invalid={!!errors.temperatureC}
          {...register('temperatureC', { setValueAs: comma })}
        />
      </Field>
      <Field label="and % RH" id={`h-${device.id}`} error={errors.humidityPct?.message}>
        <input
          id={`h-${device.id}`}
          inputMode="decimal"
          className="input"
          aria-invalid={!!errors.humidityPct}
          {...register('humidityPct', { setValueAs: comma })}
        />
      </Field>
      <Button type="submit" disabled={save.isPending}>
        Note it
      </Button>
    </form>
  );
}
