import type { ItemInput } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { withUnit } from '@bright-keeper/words';
import type { ReactNode } from 'react';
import { Controller, type Control, type FieldErrors, type UseFormRegister } from 'react-hook-form';
import { useCurrency } from '../settings';
import { toNumber } from '../../ui/toNumber';
import { choiceWords } from './words';

export type FormProps = {
  control: Control<ItemInput>;
  register: UseFormRegister<ItemInput>;
  errors: FieldErrors<ItemInput>;
  /** As they stand in the form now. */
  traits: care.Traits;
  changeTrait: (trait: care.TraitId) => void;
};

/** A label, its field, and beneath it what is wrong or why it is asked. */
export function Field({
  label,
  id,
  error,
  hint,
  children,
}: {
  label: string;
  id: string;
  error?: string | undefined;
  hint?: string;
  children: ReactNode;
}) {
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-medium">
        {label}
      </label>
      {children}
      {error ? (
        <p id={`${id}-error`} role="alert" className="mt-1 text-sm text-act">
          {error}
        </p>
      ) : (
        hint && <p className="mt-1 text-sm text-soft">{hint}</p>
      )}
    </div>
  );
}

export const invalid = (id: string, error: unknown) => (error ? { 'aria-invalid': true, 'aria-describedby': `${id}-error` } : {});

export function NameField({ register, errors }: FormProps) {
  return (
    <Field label="Name" id="name" error={errors.name?.message}>
      <input
        id="name"
        className="input"
        autoComplete="off"
        autoFocus
        placeholder="Corvane 35/2"
        {...invalid('name', errors.name)}
        {...register('name')}
      />
    </Field>
  );
}

export function KindField({ control, onKind }: Pick<FormProps, 'control'> & { onKind: (kind: care.ItemKind) => void }) {
  return (
    <Controller
      control={control}
      name="kind"
      render={({ field }) => (
        <fieldset>
          <legend className="mb-1 font-medium">Kind</legend>
          <div className="grid gap-2 sm:grid-cols-3">
            {care.ITEM_KINDS.map((kind) => (
              <label
                key={kind}
                className={`flex min-h-11 cursor-pointer items-center gap-3 rounded border px-4 py-2 has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-lamp ${field.value === kind ? 'border-glass bg-glass-tint font-semibold' : 'border-soft bg-sheet'}`}
              >
                <input
                  type="radio"
                  className="sr-only"
                  name="kind"
                  value={kind}
                  checked={field.value === kind}
                  onChange={() => {
                    field.onChange(kind);
                    onKind(kind);
                  }}
                />
                {care.kindFacts(kind).name}
              </label>
            ))}
          </div>
        </fieldset>
      )}
    />
  );
}

function TraitField({ trait, kind, form }: { trait: care.TraitId; kind: care.ItemKind; form: FormProps }) {
  const currency = useCurrency();
  const facts: care.TraitFacts = care.TRAITS[trait];
  const preset = care.presetsFor(kind, form.traits).findLast((p) => p.trait === trait && p.value === form.traits[trait]);
  const onChange = () => form.changeTrait(trait);
  const why = preset?.why ?? facts.why;
  const id = `trait-${trait}`;
  const error = (form.errors.traits as Record<string, { message?: string }> | undefined)?.[trait]?.message;
  switch (facts.input) {
    case 'yes-no':
      return (
        <label className="flex min-h-11 cursor-pointer items-start gap-3 rounded border border-line px-3 py-2 has-[:checked]:border-glass has-[:checked]:bg-glass-tint">
          <input type="checkbox" className="check mt-1" {...form.register(`traits.${trait}`, { onChange })} />
          <span>
            {facts.name}
            <span className="block text-sm text-soft">{why}</span>
          </span>
        </label>
      );
    case 'choice':
      return (
        <Field label={facts.name} id={id} error={error} hint={why}>
          <select id={id} className="input" {...form.register(`traits.${trait}`, { onChange })}>
            {facts.choices.map((choice) => (
              <option key={choice} value={choice}>
                {choiceWords(choice)}
              </option>
            ))}
          </select>
        </Field>
      );
    case 'number':
      return (
        <Field label={withUnit(facts.name, facts.unit === 'money' ? currency : facts.unit)} id={id} error={error} hint={why}>
          <input
            id={id}
            inputMode="decimal"
            className="input"
            {...invalid(id, error)}
            {...form.register(`traits.${trait}`, { setValueAs: toNumber, onChange })}
          />
        </Field>
      );
    default:
      return facts satisfies never;
  }
}

/** The traits that change advice for this kind: questions with a box first, then choices and numbers. */
export function TraitFields({ kind, form, only }: { kind: care.ItemKind; form: FormProps; only?: readonly care.TraitId[] }) {
  const traits = care.traitsOf(kind).filter((t) => !only || only.includes(t));
  const boxes = traits.filter((t) => care.TRAITS[t].input === 'yes-no');
  const others = traits.filter((t) => care.TRAITS[t].input !== 'yes-no');
  return (
    <div className="space-y-4">
      <div className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {boxes.map((t) => (
          <TraitField key={t} trait={t} kind={kind} form={form} />
        ))}
      </div>
      {others.length > 0 && (
        <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
          {others.map((t) => (
            <TraitField key={t} trait={t} kind={kind} form={form} />
          ))}
        </div>
      )}
    </div>
  );
}

export function MoreFields({ register, errors }: FormProps) {
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <Field label="Came to you on" id="acquiredOn" error={errors.acquiredOn?.message}>
        <input
          id="acquiredOn"
          type="date"
          className="input"
          {...invalid('acquiredOn', errors.acquiredOn)}
          {...register('acquiredOn', { setValueAs: (v: string | null) => v || null })}
        />
      </Field>
      <Field label="Notes" id="notes" error={errors.notes?.message}>
        <textarea id="notes" rows={3} className="input" {...invalid('notes', errors.notes)} {...register('notes')} />
      </Field>
    </div>
  );
}
