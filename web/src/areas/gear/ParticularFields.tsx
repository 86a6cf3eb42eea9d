import type { Vocabulary } from '@bright-keeper/contract';
import { type care, gear } from '@bright-keeper/core';
import { CHOICE_WORDS, GROUP_WORDS, particularLabel } from '@bright-keeper/words';
import { useState, type ReactNode } from 'react';
import { Controller } from 'react-hook-form';
import { Fold } from '../../ui/Fold';
import { toNumber } from '../../ui/toNumber';
import { useCurrency } from '../settings';
import { Field, invalid, type FormProps } from './ItemFields';
import { useVocabulary } from './queries';

type Common = { id: string; className: string };

/** An empty field says nothing of a particular: it is left out. */
const orNothing = (value: unknown): unknown => (value === '' || value === null ? undefined : value);
const toText = (value: unknown): unknown => (typeof value === 'string' ? orNothing(value.trim().replace(/\s+/g, ' ')) : value);
const toWords = (text: string): string[] | undefined => {
  const words = text
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '');
  return words.length > 0 ? words : undefined;
};

/** Words with commas between, as they are typed; another value than was typed (a newer version) is shown as it is. */
function WordsInput({
  value = [],
  onWords,
  ...input
}: { value: string[] | undefined; onWords: (words: string[] | undefined) => void } & Common) {
  const [typed, setTyped] = useState(value.join(', '));
  const isTyped = JSON.stringify(toWords(typed) ?? []) === JSON.stringify(value);
  return (
    <input
      {...input}
      autoComplete="off"
      value={isTyped ? typed : value.join(', ')}
      onChange={({ target }) => {
        setTyped(target.value);
        onWords(toWords(target.value));
      }}
    />
  );
}

type Offered = { words: string[] | undefined; tags: Vocabulary['tags'] };
function ParticularField({ id: particular, form, offered }: { id: gear.ParticularId; form: FormProps; offered: Offered }) {
  const currency = useCurrency();
  const facts = gear.particularFacts(particular);
  const id = `particular-${particular}`;
  const path = `particulars.${particular}` as const;
  // Of a list it may be one word that is refused.
  const fault = form.errors.particulars?.[particular] as { message?: string } | { message?: string }[] | undefined;
  const error = (Array.isArray(fault) ? fault.find(Boolean) : fault)?.message;
  const label = particularLabel(particular, currency);
  const common = { id, className: 'input', ...invalid(id, error) };
  const field = (input: ReactNode) => (
    <Field label={label} id={id} error={error} {...(facts.hint === undefined ? {} : { hint: facts.hint })}>
      {input}
    </Field>
  );
  switch (facts.input) {
    case 'text':
      return field(
        <>
          <input {...common} autoComplete="off" list={`${id}-used`} {...form.register(path, { setValueAs: toText })} />
          <datalist id={`${id}-used`}>
            {offered.words?.map((word) => (
              <option key={word} value={word} />
            ))}
          </datalist>
        </>,
      );
    case 'words':
      return field(
        <>
          <Controller
            control={form.control}
            name="particulars.tags"
            render={({ field: { value, onChange } }) => <WordsInput {...common} value={value} onWords={onChange} />}
          />
          {offered.tags.length > 0 && <p className="mt-1 text-sm text-soft">In use: {offered.tags.map(({ tag }) => tag).join(', ')}.</p>}
        </>,
      );
    case 'number':
      return field(<input {...common} inputMode="decimal" {...form.register(path, { setValueAs: (v) => orNothing(toNumber(v)) })} />);
    case 'day':
      return field(<input {...common} type="date" {...form.register(path, { setValueAs: orNothing })} />);
    case 'choice':
      return field(
        <select {...common} {...form.register(path, { setValueAs: orNothing })}>
          <option value="">Nobody said</option>
          {facts.choices.map((choice) => (
            <option key={choice} value={choice}>
              {CHOICE_WORDS[choice]}
            </option>
          ))}
        </select>,
      );
    default:
      return facts satisfies never;
  }
}

/** What the inventory holds of a kind besides what changes its care: folded by what it is about, since none of it is needed. */
export function ParticularFields({ kind, form, given }: { kind: care.ItemKind; form: FormProps; given: gear.Particulars | undefined }) {
  const vocabulary = useVocabulary().data;
  const own = gear.particularsOf(kind);
  return (
    <div className="sheet divide-y divide-line">
      {gear.PARTICULAR_GROUPS.map((group) => {
        const ids = own.filter((id) => gear.particularFacts(id).group === group);
        const filled = ids.filter((id) => given?.[id] !== undefined).length;
        if (ids.length === 0) return null;
        return (
          <Fold
            key={group}
            title={GROUP_WORDS[group]}
            {...(filled > 0 ? { aside: `${filled} said` } : {})}
            mustShow={ids.some((id) => form.errors.particulars?.[id])}
          >
            <div className="grid gap-4 px-4 pb-4 sm:grid-cols-2">
              {ids.map((id) => (
                <ParticularField key={id} id={id} form={form} offered={{ words: vocabulary?.words[id], tags: vocabulary?.tags ?? [] }} />
              ))}
            </div>
          </Fold>
        );
      })}
    </div>
  );
}
