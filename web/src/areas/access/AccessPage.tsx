import { SESSION_DAYS, type Access, type Keeper } from '@bright-keeper/contract';
import { useState, type FormEvent } from 'react';
import { ApiError } from '../../api/http';
import { Button, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { Field } from '../gear';
import { Devices } from './Devices';
import { Invite } from './Invite';
import { Keepers } from './Keepers';
import { Passphrase } from './Passphrase';
import { useAccess, useProve, useSetNetwork, useSetPassphrase } from './queries';
import { WhoIsHere } from './WhoIsHere';
import { ROLE_WORDS, TROUBLE_WORDS } from './words';

const fieldIn = (error: unknown, field: string): string | undefined =>
  error instanceof ApiError ? error.problem.fields?.[field] : undefined;
const isWhole = (error: unknown): boolean => error instanceof ApiError && !error.problem.fields;

/** @param of whose it is, where there are several. */
function ChoosePassphrase({ access: { hasPassphrase, devices: all }, of }: { access: Access; of: Keeper | undefined }) {
  const devices = of ? all.filter(({ keeper }) => keeper === of.name) : all;
  const [passphrase, setPassphrase] = useState('');
  const [endOthers, setEndOthers] = useState(true);
  const [isOpen, setOpen] = useState(!hasPassphrase);
  const set = useSetPassphrase();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    set.mutate(
      { passphrase, endOthers: hasPassphrase && endOthers },
      {
        onSuccess: () => {
          setPassphrase('');
          setOpen(false);
        },
      },
    );
  };
  if (!isOpen)
    return (
      <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
        <p>{set.isSuccess ? 'The passphrase is chosen.' : 'A passphrase is chosen. Only a sum of it is kept, which opens nothing.'}</p>
        <Button onClick={() => setOpen(true)}>Choose another</Button>
      </div>
    );
  return (
    <form onSubmit={submit} noValidate className="sheet space-y-4 p-4">
      <Passphrase
        label={hasPassphrase ? 'New passphrase' : 'Passphrase'}
        isNew
        value={passphrase}
        onChange={setPassphrase}
        error={fieldIn(set.error, 'passphrase')}
        hint="At least 12 characters. Four words that have nothing to do with each other are good, and easy to type on a phone."
      />
      {hasPassphrase && devices.length > 0 && (
        <label className="flex min-h-11 items-center gap-3">
          <input type="checkbox" className="size-5" checked={endOthers} onChange={(e) => setEndOthers(e.target.checked)} />
          Let all other devices{of ? ` of ${of.name}` : ''} go; they come in anew
        </label>
      )}
      {isWhole(set.error) && <Failure error={set.error} />}
      <div className="flex gap-2">
        <Button look="filled" type="submit" disabled={set.isPending || passphrase === ''}>
          Choose it
        </Button>
        {hasPassphrase && <Button onClick={() => setOpen(false)}>Cancel</Button>}
      </div>
    </form>
  );
}

const Days = ({ value, onChange }: { value: number; onChange: (days: number) => void }) => (
  <Field label="A device that does not come is let go after" id="session-days">
    <select id="session-days" className="input max-w-xs" value={value} onChange={(e) => onChange(Number(e.target.value))}>
      {[...new Set([SESSION_DAYS.least, 7, SESSION_DAYS.usual, 90, SESSION_DAYS.most, value])]
        .sort((a, b) => a - b)
        .map((days) => (
          <option key={days} value={days}>
            {days === 1 ? 'one day' : days === SESSION_DAYS.most ? 'a year' : `${days} days`}
          </option>
        ))}
    </select>
  </Field>
);

function OnTheNetwork({ access: { network, hasPassphrase, sessionDays } }: { access: Access }) {
  const set = useSetNetwork();
  const change = (open: boolean, days = sessionDays) => set.mutate({ open, sessionDays: days });
  return (
    <Section title="On the home network">
      <div className="sheet space-y-4 p-4">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <p className="max-w-prose">
            {network.open
              ? 'Other devices of this network can ask for Bright Keeper, encrypted; only those that are let in are answered.'
              : 'Bright Keeper answers this machine only. Open it, and a phone in the field, a screen at the bench, a calendar or a hygrometer can reach it.'}
          </p>
          <Button look={network.open ? 'plain' : 'filled'} disabled={set.isPending || !hasPassphrase} onClick={() => change(!network.open)}>
            {network.open ? 'Close it' : 'Open it to the network'}
          </Button>
        </div>
        {!hasPassphrase && <p className="text-sm text-soft">Choose a passphrase first.</p>}
        {set.error && <Failure error={set.error} />}
        {network.trouble && <Notice tone="attention">{TROUBLE_WORDS[network.trouble]}</Notice>}
        {network.open && network.addresses.length > 0 && (
          <div>
            <p className="text-sm text-soft">It answers at</p>
            <ul>
              {network.addresses.map((address) => (
                <li key={address} className="font-mono text-sm">
                  {address}
                </li>
              ))}
            </ul>
          </div>
        )}
        {hasPassphrase && <Days value={sessionDays} onChange={(days) => change(network.open, days)} />}
      </div>
    </Section>
  );
}

/** Away from the machine the passphrase comes before anything that lets others in, and before another passphrase. */
function ProveFirst({ mayLetIn }: Pick<Access, 'mayLetIn'>) {
  const [passphrase, setPassphrase] = useState('');
  const prove = useProve();
  return (
    <form
      className="sheet space-y-4 p-4"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        prove.mutate({ passphrase });
      }}
    >
      <p>
        {mayLetIn
          ? 'To let others in, or change how, give the passphrase once more. It counts for ten minutes.'
          : 'To choose another passphrase, give the one you have once more.'}
      </p>
      <Passphrase label="Passphrase" value={passphrase} onChange={setPassphrase} error={fieldIn(prove.error, 'passphrase')} />
      {isWhole(prove.error) && <Failure error={prove.error} />}
      <Button look="filled" type="submit" disabled={prove.isPending || passphrase === ''}>
        Go on
      </Button>
    </form>
  );
}

/** Whether the network is answered, who is let in, and how another device comes in. */
export function AccessPage() {
  const access = useAccess();
  if (access.isPending) return <Loading />;
  if (access.isError && !access.data) return <Failure error={access.error} onRetry={() => void access.refetch()} />;
  return access.data.isIn ? <Inside access={access.data} /> : null;
}

function Inside({ access }: { access: Access }) {
  const { keepers, mayLetIn, from, network } = access;
  const own = keepers.find(({ isThis }) => isThis);
  const isProved = from === 'machine' || access.provedUntil !== null;
  // What is being typed stays where the ten minutes end meanwhile.
  const [wasProved, setWasProved] = useState(isProved);
  if (isProved && !wasProved) setWasProved(true);
  // Whoever has none yet has nothing to give first, and lets nobody in before they have.
  const [hadNone] = useState(!access.hasPassphrase);
  const mayChoose = wasProved || hadNone;
  const whose = own ?? keepers.find(({ role }) => role === 'owner');
  return (
    <Page title="Access" sub="Who reaches this household, and from where.">
      <div className="space-y-8">
        {own && (
          <p>
            You are here as <strong>{own.name}</strong>. {ROLE_WORDS[own.role].name}: {ROLE_WORDS[own.role].may}.
          </p>
        )}
        {!isProved && access.hasPassphrase && <ProveFirst mayLetIn={mayLetIn} />}
        {mayChoose && (
          <Section title={own || !whose ? 'Passphrase' : `Passphrase of ${whose.name}`}>
            <ChoosePassphrase access={access} of={whose} />
          </Section>
        )}
        {wasProved && mayLetIn && (
          <>
            <OnTheNetwork access={access} />
            <Keepers keepers={keepers} />
            {network.open && <Invite access={access} />}
          </>
        )}
        {from === 'machine' && keepers.length > 0 && !own && <WhoIsHere keepers={keepers} />}
        <Devices devices={access.devices} from={from} />
      </div>
    </Page>
  );
}
