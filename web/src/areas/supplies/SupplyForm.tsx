import { JOI_OPTIONS, supplyInput, type SupplyInput } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm } from 'react-hook-form';
import { FormFoot } from '../../ui/FormFoot';
import { saveForm } from '../../ui/saveForm';
import { toNumber } from '../../ui/toNumber';
import { capital } from '../../ui/words';
import { Field } from '../gear';
import { useCurrency } from '../settings';
import { AmountField } from './AmountField';

const TOOL_IDS = Object.keys(care.TOOLS) as care.Tool[];
const MATERIAL_IDS = Object.keys(care.MATERIALS) as care.Material[];

/** @param kits those that hold something, by name: to choose from. */
type Props = {
  kits: readonly string[];
  start: SupplyInput;
  save: (input: SupplyInput) => Promise<unknown>;
  onDone: () => void;
  error: unknown;
  verb: string;
};

/** A tool needs nothing but its name; a material asks how much is left and what a pack cost. */
export function SupplyForm({ kits, start, save, onDone, error, verb }: Props) {
  const currency = useCurrency();
  const form = useForm<SupplyInput>({ defaultValues: start, resolver: joiResolver(supplyInput, JOI_OPTIONS) });
  const { register, watch, setValue, handleSubmit, setError, formState } = form;
  const { errors } = formState;
  const thing = watch('thing');
  const isTool = supplies.isTool(thing);
  const chooseThing = (next: care.Tool | care.Material) => {
    setValue('thing', next);
    // Drops are no sheets: another thing is counted anew.
    setValue('stock', null);
    setValue('packSize', null);
  };
  const submit = handleSubmit(saveForm(save, onDone, setError));
  const isFluid = care.isFluid(thing);
  const unit = isTool ? '' : isFluid ? 'mL' : `${care.MATERIALS[thing].unit}s`;
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="sheet space-y-4 p-4" aria-label={verb}>
      <Field label="What" id="thing" error={errors.thing?.message}>
        <select id="thing" className="input" value={thing} onChange={(e) => chooseThing(e.target.value as care.Tool)}>
          <optgroup label="Tools">
            {TOOL_IDS.map((id) => (
              <option key={id} value={id}>
                {capital(care.TOOLS[id].name)}
              </option>
            ))}
          </optgroup>
          <optgroup label="Materials">
            {MATERIAL_IDS.map((id) => (
              <option key={id} value={id}>
                {capital(care.MATERIALS[id].name)}
              </option>
            ))}
          </optgroup>
        </select>
      </Field>
      {!isTool && (
        <div className="grid gap-4 sm:grid-cols-2">
          <Field label={`How much is left (${unit})`} id="stock" error={errors.stock?.message} hint="Empty: nobody counted.">
            <AmountField key={thing} control={form.control} name="stock" isFluid={isFluid} invalid={!!errors.stock} />
          </Field>
          <Field label="Opened on" id="openedOn" error={errors.openedOn?.message}>
            <input id="openedOn" type="date" className="input" {...register('openedOn', { setValueAs: (v: string | null) => v || null })} />
          </Field>
          <Field label={`A pack holds (${unit})`} id="packSize" error={errors.packSize?.message} hint={isFluid ? 'A drop is 0.05 mL.' : ''}>
            <AmountField key={thing} control={form.control} name="packSize" isFluid={isFluid} invalid={!!errors.packSize} />
          </Field>
          <Field label={currency ? `A pack costs, ${currency}` : 'A pack costs'} id="packPrice" error={errors.packPrice?.message}>
            <input
              id="packPrice"
              inputMode="decimal"
              className="input"
              aria-invalid={!!errors.packPrice}
              {...register('packPrice', { setValueAs: toNumber })}
            />
          </Field>
        </div>
      )}
      {thing === 'sensor-swab' && (
        <Field
          label="How wide it is, mm"
          id="widthMm"
          error={errors.widthMm?.message}
          hint="The plan then draws as many strokes side by side as it needs."
        >
          <input
            id="widthMm"
            inputMode="decimal"
            className="input"
            aria-invalid={!!errors.widthMm}
            {...register('widthMm', { setValueAs: toNumber })}
          />
        </Field>
      )}
      <Field label="Note" id="note" error={errors.note?.message}>
        <input id="note" className="input" placeholder="the one with the blue edge" {...register('note')} />
      </Field>
      <Field label="In which kit" id="kit" error={errors.kit?.message} hint="Empty: in the drawer at home. A new name makes a new kit.">
        <input id="kit" className="input" list="kits" {...register('kit', { setValueAs: (v: string | null) => v?.trim() || null })} />
        <datalist id="kits">
          {kits.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </Field>
      <FormFoot error={error} verb={verb} pending={formState.isSubmitting} onCancel={onDone} />
    </form>
  );
}
