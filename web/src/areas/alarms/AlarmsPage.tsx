import { type Alarms, type AlarmsInput, alarmsInput, JOI_OPTIONS, MAIL_SECURITY, OUTLETS } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { alarmKindWords } from '@bright-keeper/words';
import { joiResolver } from '@hookform/resolvers/joi';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { ApiError } from '../../api/http';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { KEPT_HERE, keptSecret, keptSecretHint } from '../../ui/keptSecret';
import { showRefusal } from '../../ui/saveForm';
import { toNumber } from '../../ui/toNumber';
import { Field } from '../gear';
import { NowAlarms } from './NowAlarms';
import { useAlarms, useSetAlarms, useTryAlarms } from './queries';
import { FAULT_WORDS, hourWords, OUTLET_WORDS, SECURITY_WORDS, USUAL_PORT } from './words';

type Form = UseFormReturn<AlarmsInput>;
const HOURS = Array.from({ length: 24 }, (_, hour) => hour);

/** What is kept, to be changed: a secret that is there stays unless another is typed. */
const inputOf = ({ policy, webhook, mail }: Alarms): AlarmsInput => ({
  policy,
  webhook: webhook && { address: webhook.address, secret: webhook.hasSecret ? null : '' },
  mail: mail && (({ hasPassword, ...rest }) => ({ ...rest, password: hasPassword ? null : '' }))(mail),
});

function Hour({ label, id, value, onChange }: { label: string; id: string; value: number; onChange: (hour: number) => void }) {
  return (
    <Field label={label} id={id}>
      <select id={id} className="input" value={value} onChange={(e) => onChange(Number(e.target.value))}>
        {HOURS.map((hour) => (
          <option key={hour} value={hour}>
            {hourWords(hour)}
          </option>
        ))}
      </select>
    </Field>
  );
}

function WhichAndWhen({ watch, setValue }: Form) {
  const policy = watch('policy');
  const change = (more: Partial<schedule.AlarmPolicy>) => setValue('policy', { ...policy, ...more }, { shouldDirty: true });
  const { kinds, when, dailyHour, quiet } = policy;
  return (
    <Section title="Which, and when">
      <div className="sheet space-y-4 p-4">
        <fieldset>
          <legend className="font-medium">What is told</legend>
          {schedule.ALARM_KINDS.map((kind) => (
            <label key={kind} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="check"
                checked={kinds.includes(kind)}
                onChange={(e) => change({ kinds: schedule.ALARM_KINDS.filter((k) => (k === kind ? e.target.checked : kinds.includes(k))) })}
              />
              {alarmKindWords(kind)}
            </label>
          ))}
        </fieldset>
        <div className="grid gap-4 sm:grid-cols-2">
          <Field label="When" id="alarm-when">
            <select
              id="alarm-when"
              className="input"
              value={when}
              onChange={(e) => change({ when: e.target.value as schedule.AlarmPolicy['when'] })}
            >
              <option value="at-once">each as it comes, once while it lasts</option>
              <option value="daily">all that are at hand, once a day</option>
            </select>
          </Field>
          {when === 'daily' && <Hour label="At" id="alarm-hour" value={dailyHour} onChange={(hour) => change({ dailyHour: hour })} />}
        </div>
        {when === 'at-once' && (
          <>
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="check"
                checked={quiet !== null}
                onChange={(e) => change({ quiet: e.target.checked ? { fromHour: 22, toHour: 7 } : null })}
              />
              Nothing at night: it waits for the morning
            </label>
            {quiet && (
              <div className="grid gap-4 sm:grid-cols-2">
                <Hour
                  label="Quiet from"
                  id="quiet-from"
                  value={quiet.fromHour}
                  onChange={(fromHour) => change({ quiet: { ...quiet, fromHour } })}
                />
                <Hour
                  label="Quiet until"
                  id="quiet-until"
                  value={quiet.toHour}
                  onChange={(toHour) => change({ quiet: { ...quiet, toHour } })}
                />
              </div>
            )}
          </>
        )}
      </div>
    </Section>
  );
}

function ToAddress({ form: { register, watch, setValue, formState }, hasSecret }: { form: Form; hasSecret: boolean }) {
  const errors = formState.errors.webhook;
  const webhook = watch('webhook');
  return (
    <Section title="To an address">
      <div className="sheet space-y-4 p-4">
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="check"
            checked={webhook !== null}
            onChange={(e) => setValue('webhook', e.target.checked ? { address: '', secret: '' } : null, { shouldDirty: true })}
          />
          Tell an address as JSON (a webhook)
        </label>
        {webhook && (
          <div className="grid gap-4 sm:grid-cols-2">
            <Field label="Address" id="webhook-address" error={errors?.address?.message}>
              <input
                id="webhook-address"
                type="url"
                className="input font-mono"
                aria-invalid={!!errors?.address}
                {...register('webhook.address')}
              />
            </Field>
            <Field
              label="Secret"
              id="webhook-secret"
              error={errors?.secret?.message}
              hint={keptSecretHint(hasSecret, 'Sent as Bearer, where it asks for one.')}
            >
              <input
                id="webhook-secret"
                type="password"
                autoComplete="new-password"
                className="input"
                {...register('webhook.secret', keptSecret(hasSecret))}
              />
            </Field>
          </div>
        )}
      </div>
    </Section>
  );
}

const NO_MAIL: NonNullable<AlarmsInput['mail']> = {
  host: '',
  port: USUAL_PORT.tls,
  security: 'tls',
  username: '',
  password: '',
  from: '',
  to: '',
};

function ByMail({ form: { register, watch, setValue, formState }, hasPassword }: { form: Form; hasPassword: boolean }) {
  const errors = formState.errors.mail;
  const mail = watch('mail');
  const text = (key: 'host' | 'username' | 'from' | 'to', label: string, hint?: string) => (
    <Field label={label} id={`mail-${key}`} error={errors?.[key]?.message} hint={hint}>
      <input id={`mail-${key}`} className="input" autoCapitalize="none" aria-invalid={!!errors?.[key]} {...register(`mail.${key}`)} />
    </Field>
  );
  return (
    <Section title="By mail">
      <div className="sheet space-y-4 p-4">
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="check"
            checked={mail !== null}
            onChange={(e) => setValue('mail', e.target.checked ? NO_MAIL : null, { shouldDirty: true })}
          />
          Send mail
        </label>
        {mail && (
          <div className="grid gap-4 sm:grid-cols-2">
            {text('to', 'To')}
            {text('from', 'From', 'Most servers want an address of their own here.')}
            {text('host', 'Its server', 'Only its name, as in mail.example.org.')}
            <Field label="Encrypted" id="mail-security">
              <select
                id="mail-security"
                className="input"
                {...register('mail.security', {
                  onChange: (e: { target: { value: keyof typeof USUAL_PORT } }) => setValue('mail.port', USUAL_PORT[e.target.value]),
                })}
              >
                {MAIL_SECURITY.map((security) => (
                  <option key={security} value={security}>
                    {SECURITY_WORDS[security]}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="Port" id="mail-port" error={errors?.port?.message}>
              <input
                id="mail-port"
                inputMode="numeric"
                className="input"
                aria-invalid={!!errors?.port}
                {...register('mail.port', { setValueAs: toNumber })}
              />
            </Field>
            {text('username', 'Name there', 'Where it asks for one.')}
            <Field
              label="Password there"
              id="mail-password"
              error={errors?.password?.message}
              hint={keptSecretHint(hasPassword, KEPT_HERE)}
            >
              <input
                id="mail-password"
                type="password"
                autoComplete="new-password"
                className="input"
                {...register('mail.password', keptSecret(hasPassword))}
              />
            </Field>
          </div>
        )}
      </div>
    </Section>
  );
}

/** Sends to what is saved: what is typed and not saved yet is told nobody. */
function Attempt({ isDirty }: { isDirty: boolean }) {
  const attempt = useTryAlarms();
  const tried = OUTLETS.filter((outlet) => attempt.data?.[outlet]);
  return (
    <>
      <Button disabled={attempt.isPending || isDirty} onClick={() => attempt.mutate()}>
        Send a message to try
      </Button>
      {attempt.isPending && <span role="status">Sending…</span>}
      {attempt.isError && <Failure error={attempt.error} />}
      {attempt.data && !isDirty && (
        <div className="w-full space-y-2">
          {tried.map((outlet) => {
            const { fault } = attempt.data[outlet]!;
            return (
              <Notice key={outlet} tone={fault ? 'attention' : 'good'}>
                {OUTLET_WORDS[outlet]} {fault ? FAULT_WORDS[fault] : 'took it'}.
              </Notice>
            );
          })}
        </div>
      )}
    </>
  );
}

function AlarmsForm({ alarms }: { alarms: Alarms }) {
  const save = useSetAlarms();
  const form = useForm<AlarmsInput>({ defaultValues: inputOf(alarms), resolver: joiResolver(alarmsInput, JOI_OPTIONS) });
  const { isDirty } = form.formState;
  const submit = form.handleSubmit(async (input) => {
    try {
      form.reset(inputOf(await save.mutateAsync(input)));
    } catch (failure) {
      showRefusal(failure, form.setError);
    }
  });
  const isUsed = alarms.webhook !== null || alarms.mail !== null;
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="space-y-6">
      <WhichAndWhen {...form} />
      <ToAddress form={form} hasSecret={alarms.webhook?.hasSecret ?? false} />
      <ByMail form={form} hasPassword={alarms.mail?.hasPassword ?? false} />
      {save.error instanceof ApiError && !save.error.problem.fields && <Failure error={save.error} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button look="filled" type="submit" disabled={save.isPending || !isDirty}>
          Save
        </Button>
        {save.isSuccess && !isDirty && (
          <p role="status" className="text-glass">
            Saved.
          </p>
        )}
        {isUsed && <Attempt isDirty={isDirty} />}
      </div>
    </form>
  );
}

/** What is told beyond this machine while nobody looks: which alarms, when, and to whom. */
export function AlarmsPage() {
  const alarms = useAlarms();
  if (alarms.isPending) return <Loading />;
  if (alarms.isError) return <Failure error={alarms.error} onRetry={() => void alarms.refetch()} />;
  return (
    <Page
      title="Alarms"
      sub="What goes wrong in the air, told beyond this machine while the program runs. Names of places and hygrometers go along; nothing goes out before you say where."
      actions={<ButtonLink to="/settings">Settings</ButtonLink>}
    >
      <div className="space-y-6">
        <NowAlarms alarms={alarms.data} />
        <AlarmsForm alarms={alarms.data} />
      </div>
    </Page>
  );
}
