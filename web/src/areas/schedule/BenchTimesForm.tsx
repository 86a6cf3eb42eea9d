import { JOI_OPTIONS, saveBenchTimes, type BenchTimes } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { inWords, weekdayWords } from '@bright-keeper/words';
import { useFieldArray, useForm, type Control } from 'react-hook-form';
import { Fold } from '../../ui/Fold';
import { Button, Failure } from '../../ui/parts';
import { showRefusal } from '../../ui/saveForm';
import { useSaveBenchTimes } from './queries';

const WEEK = [1, 2, 3, 4, 5, 6, 0] as const;

/** "Saturdays and Sundays, 60 min from 16:00". */
export function timesWords({ weekdays, minutesPerDay, startsAt }: BenchTimes): string {
  const days = WEEK.filter((d) => weekdays.includes(d)).map((d) => `${weekdayWords(d)}s`);
  return `${inWords(days) || 'no day'}, ${minutesPerDay} min from ${startsAt}`;
}

function AwayFields({ control }: { control: Control<BenchTimes> }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'away' });
  return (
    <fieldset className="space-y-2">
      <legend className="font-medium">Days you are away</legend>
      {fields.map((field, i) => (
        <div key={field.id} className="flex flex-wrap items-center gap-2">
          <input type="date" className="input" aria-label={`Away ${i + 1}, from`} {...control.register(`away.${i}.from`)} />
          <span aria-hidden="true">to</span>
          <input type="date" className="input" aria-label={`Away ${i + 1}, to`} {...control.register(`away.${i}.to`)} />
          <Button look="quiet" onClick={() => remove(i)}>
            Remove
          </Button>
        </div>
      ))}
      <Button onClick={() => append({ from: '', to: '' })}>Add days away</Button>
    </fieldset>
  );
}

/** When there is time for the bench. */
export function BenchTimesForm({ times }: { times: BenchTimes }) {
  const save = useSaveBenchTimes();
  const form = useForm<BenchTimes>({
    values: times,
    // What was changed elsewhere shows; what is being changed here stays.
    resetOptions: { keepDirtyValues: true },
    resolver: joiResolver(saveBenchTimes, { ...JOI_OPTIONS, convert: true }),
  });
  const { errors } = form.formState;
  const weekdays = form.watch('weekdays');
  const submit = form.handleSubmit((values) =>
    save.mutate(values, { onSuccess: (saved) => form.reset(saved), onError: (error) => showRefusal(error, form.setError) }),
  );
  const toggle = (day: number) =>
    form.setValue('weekdays', weekdays.includes(day) ? weekdays.filter((d) => d !== day) : [...weekdays, day], { shouldDirty: true });
  return (
    <Fold title={`Your time: ${timesWords(times)}`}>
      <form className="sheet space-y-4 p-4" onSubmit={(e) => void submit(e)}>
        <fieldset>
          <legend className="mb-1 font-medium">Weekdays</legend>
          <div className="flex flex-wrap gap-2">
            {WEEK.map((day) => (
              <label key={day} className="flex min-h-11 items-center gap-2">
                <input type="checkbox" className="check" checked={weekdays.includes(day)} onChange={() => toggle(day)} />{' '}
                {weekdayWords(day)}
              </label>
            ))}
          </div>
          {errors.weekdays && <p className="text-sm text-act">{errors.weekdays.message}</p>}
        </fieldset>
        <div className="flex flex-wrap gap-4">
          <label className="flex flex-col gap-1">
            Minutes a day
            <input type="number" inputMode="numeric" className="input w-32" {...form.register('minutesPerDay', { valueAsNumber: true })} />
            {errors.minutesPerDay && <span className="text-sm text-act">{errors.minutesPerDay.message}</span>}
          </label>
          <label className="flex flex-col gap-1">
            Begins at
            <input type="time" className="input w-32" {...form.register('startsAt')} />
            {errors.startsAt && <span className="text-sm text-act">{errors.startsAt.message}</span>}
          </label>
        </div>
        <AwayFields control={form.control} />
        {errors.away && <p className="text-sm text-act">Write each as two days, the later one last.</p>}
        {save.error && <Failure error={save.error} />}
        <Button type="submit" look="filled" disabled={save.isPending}>
          Save your time
        </Button>
      </form>
    </Fold>
  );
}
