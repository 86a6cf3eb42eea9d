import type { HandReading } from '@bright-keeper/contract';
import { useForm, type Resolver } from 'react-hook-form';
import { ApiError } from '../../api/http';
import { Button } from '../../ui/parts';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { toNumber } from '../../ui/toNumber';
import { Field } from '../gear';

type Props = {
  /** What the fields are told apart by where several forms stand on a page. */
  id: string;
  verb: string;
  save: (reading: HandReading) => Promise<unknown>;
};

const checksCode = () => import('./handReadingChecks');
/** The checks of forms are large: they come when one begins to type. Where they cannot come, the server's own decide. */
const checked: Resolver<HandReading> = async (...typed) => {
  const code = await checksCode().catch(() => null);
  return code ? code.handReadingChecks(...typed) : { values: typed[0], errors: {} };
};

/** A reading typed by hand, of now or of an earlier time; what was typed stays where it is refused. */
export function HandReadingForm({ id, verb, save }: Props) {
  const { register, handleSubmit, reset, setError, formState } = useForm<HandReading>({
    defaultValues: { at: null, temperatureC: '' as unknown as number, humidityPct: '' as unknown as number },
    resolver: checked,
  });
  const { errors } = formState;
  const told = useTold();
  const submit = handleSubmit(async (reading) => {
    try {
      await save({ ...reading, at: told.at });
      reset();
      told.setLocal(null);
    } catch (failure) {
      if (!(failure instanceof ApiError)) throw failure;
      setError('humidityPct', { message: failure.problem.detail });
    }
  });
  return (
    <form
      onSubmit={(e) => void submit(e)}
      onFocus={() => void checksCode().catch(() => undefined)}
      noValidate
      className="grid gap-3 sm:grid-cols-[1fr_1fr_auto] sm:items-end"
      aria-label="A reading by hand"
    >
      <Field label="It reads, °C" id={`t-${id}`} error={errors.temperatureC?.message}>
        <input
          id={`t-${id}`}
          inputMode="decimal"
          className="input"
          aria-invalid={!!errors.temperatureC}
          {...register('temperatureC', { setValueAs: toNumber })}
        />
      </Field>
      <Field label="and % RH" id={`h-${id}`} error={errors.humidityPct?.message}>
        <input
          id={`h-${id}`}
          inputMode="decimal"
          className="input"
          aria-invalid={!!errors.humidityPct}
          {...register('humidityPct', { setValueAs: toNumber })}
        />
      </Field>
      <Button type="submit" disabled={formState.isSubmitting || told.wrong !== null}>
        {verb}
      </Button>
      <div className="sm:col-span-3">
        <ToldFor told={told} id={`at-${id}`} label="it read so on" />
      </div>
    </form>
  );
}
