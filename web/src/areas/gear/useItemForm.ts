import { itemInput, JOI_OPTIONS, type ItemInput } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { joiResolver } from '@hookform/resolvers/joi';
import { useRef } from 'react';
import { useForm } from 'react-hook-form';
import { ApiError } from '../../api/http';

/** The traits of a kind with every default filled in, so that the form shows what will be assumed. */
export const filledTraits = (kind: care.ItemKind, traits: care.Traits = {}): care.Traits => {
  const all = care.withDefaults(kind, traits);
  return Object.fromEntries(care.traitsOf(kind).map((t) => [t, all[t]]));
};

/** The form of a thing, checked by the same schema as the server's. */
export function useItemForm(start: ItemInput) {
  const form = useForm<ItemInput>({
    defaultValues: { ...start, traits: filledTraits(start.kind, start.traits) },
    resolver: joiResolver(itemInput, JOI_OPTIONS),
  });
  // The traits as they stood before the change that is just being typed: what was preset by the old value moves with it.
  const last = useRef(form.getValues('traits'));
  const setTraits = (traits: care.Traits) => {
    last.current = traits;
    form.setValue('traits', traits);
  };
  /** Another kind sets the traits anew; only what is true of the thing itself is kept. */
  const changeKind = (kind: care.ItemKind) => {
    setTraits(care.retrait(kind, form.getValues('traits'), { kind }));
    form.setValue('particulars', gear.ofKind(kind, form.getValues('particulars') ?? {}));
  };
  /** A trait that others are preset by (its year, above all) moves those nobody has set otherwise. */
  const changeTrait = (trait: care.TraitId) => {
    const { kind, traits } = form.getValues();
    setTraits(care.retrait(kind, last.current, { trait, value: traits[trait] }));
  };
  /** Takes the newer row in place of what was typed. */
  const takeRow = ({ name, kind, traits, notes, acquiredOn, particulars = {} }: ItemInput) => {
    last.current = filledTraits(kind, traits);
    form.reset({ name, kind, traits: last.current, notes, acquiredOn, particulars });
  };
  /** Puts the server's messages beside their fields; what was typed stays. */
  const showProblem = (error: unknown) => {
    if (!(error instanceof ApiError)) return;
    for (const [field, message] of Object.entries(error.problem.fields ?? {})) form.setError(field as keyof ItemInput, { message });
  };
  const kind = form.watch('kind');
  const fields = { control: form.control, register: form.register, errors: form.formState.errors };
  return { form, kind, fields: { ...fields, traits: form.watch('traits'), changeTrait }, changeKind, takeRow, showProblem };
}
