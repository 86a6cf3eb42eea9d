import type { Settings } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { useInSlices } from '../../ui/useInSlices';
import { Day } from '../../ui/when';
import { Field } from '../gear';
import { useSettings } from './queries';
import { ThemeChoice } from './ThemeChoice';
import { useSettingsForm } from './useSettingsForm';

type Form = ReturnType<typeof useSettingsForm>;

/** Somebody else saved in the meantime: theirs, or mine over it. */
const WhichOnes = ({ newer, takeNewer, keepMine }: Form) =>
  newer && (
    <Notice tone="attention">
      <p>The settings were changed elsewhere in the meantime.</p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => takeNewer(newer)}>Take the newer ones</Button>
        <Button onClick={() => keepMine(newer)}>Keep mine</Button>
      </div>
    </Notice>
  );

const SchoolChoices = ({ form: { register, watch } }: Form) => (
  <Section title="Schools" aside="Where good practitioners disagree, you choose. A plan says what the others would do.">
    <div className="grid gap-3 md:grid-cols-2">
      {care.SCHOOL_IDS.map((id) => {
        const facts = care.schoolFacts(id);
        return (
          <label key={id} className="sheet block p-4">
            <span className="block font-semibold">{facts.name}</span>
            <span className="mb-2 block text-sm text-soft">{facts.question}</span>
            <select className="input" {...register(`schools.${id}`)}>
              {Object.entries(facts.choices).map(([choice, { name }]) => (
                <option key={choice} value={choice}>
                  {name}
                  {choice === facts.default ? ' (usual)' : ''}
                </option>
              ))}
            </select>
            <span className="mt-1 block text-sm text-soft">{facts.choices[watch(`schools.${id}`)]?.reason}</span>
          </label>
        );
      })}
    </div>
  </Section>
);

function UnitsAndPlace({ form: { register, formState } }: Form) {
  const { errors } = formState;
  return (
    <Section title="Units and place">
      <div className="sheet grid gap-4 p-4 md:grid-cols-2">
        <Field label="Time zone" id="timeZone" error={errors.timeZone?.message} hint="Decides which calendar day it is.">
          <input id="timeZone" list="zones" className="input" aria-invalid={!!errors.timeZone} {...register('timeZone')} />
          <datalist id="zones">
            {Intl.supportedValuesOf('timeZone').map((z) => (
              <option key={z} value={z} />
            ))}
          </datalist>
        </Field>
        <Field
          label="Currency"
          id="currency"
          error={errors.currency?.message}
          hint="Three capitals, like EUR. Every price and every value is in it."
        >
          <input id="currency" className="input" maxLength={3} aria-invalid={!!errors.currency} {...register('currency')} />
        </Field>
      </div>
    </Section>
  );
}

function PracticeRun({ form: { watch, setValue } }: Form) {
  const doneOn = watch('sensorRehearsedOn');
  return (
    <Section title="The practice run of a sensor clean">
      <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
        {doneOn ? (
          <>
            <p>
              Done <Day day={doneOn} />. The bench goes straight to the power check.
            </p>
            <Button onClick={() => setValue('sensorRehearsedOn', null, { shouldDirty: true })}>Ask for it once more</Button>
          </>
        ) : (
          <p>Not done yet: the bench asks for a dry run before the next wet clean of a sensor.</p>
        )}
      </div>
    </Section>
  );
}

function SettingsForm({ settings }: { settings: Settings }) {
  const all = useSettingsForm(settings);
  const { save, newer, submit } = all;
  const { isDirty } = all.form.formState;
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="space-y-8">
      <WhichOnes {...all} />
      {save.error && !newer && <Failure error={save.error} />}
      <SchoolChoices {...all} />
      <UnitsAndPlace {...all} />
      <PracticeRun {...all} />
      <div className="flex items-center gap-4">
        <Button look="filled" type="submit" disabled={save.isPending || !isDirty}>
          Save
        </Button>
        {save.isSuccess && !isDirty && (
          <p role="status" className="text-glass">
            Saved.
          </p>
        )}
      </div>
    </form>
  );
}

export function SettingsPage() {
  const settings = useSettings();
  const drawing = useInSlices(settings.isPending);
  if (drawing || settings.isPending) return <Loading />;
  if (settings.isError) return <Failure error={settings.error} onRetry={() => void settings.refetch()} />;
  return (
    <Page title="Settings">
      <div className="space-y-8">
        <ThemeChoice />
        <SettingsForm settings={settings.data} />
        <Section title="Other devices">
          <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
            <p>A phone in the field, a screen at the bench: who reaches this household, and how another device comes in.</p>
            <ButtonLink to="/settings/access">See to access</ButtonLink>
          </div>
        </Section>
        <Section title="Alarms">
          <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
            <p>Damp, a hygrometer that is silent, a battery that is low: told by mail or to an address while nobody looks.</p>
            <ButtonLink to="/settings/alarms">See to alarms</ButtonLink>
          </div>
        </Section>
        <Section title="Without a network">
          <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
            <p>What this device keeps for where there is no network, and what waits on it to be carried over.</p>
            <ButtonLink to="/kept">See what is kept here</ButtonLink>
          </div>
        </Section>
        <Section title="Your data">
          <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
            <p>Backups, everything in one file, another household’s file, and where all this is kept.</p>
            <ButtonLink to="/settings/data">Look after your data</ButtonLink>
          </div>
        </Section>
        <p className="text-sm text-soft">
          Programs can use everything here too:{' '}
          <a className="link" href="/api/docs">
            the API and its documentation
          </a>
          .
        </p>
      </div>
    </Page>
  );
}
