import { CODE_DIGITS, KEEPER_NAME_MAX } from '@bright-keeper/contract';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState, type FormEvent } from 'react';
import { ApiError } from '../../api/http';
import { letIn } from '../../api/letIn';
import { Button, Failure } from '../../ui/parts';
import { Field } from '../gear';
import { usualName } from './deviceName';
import { codeIn, digitsOf, inGroups } from './pairingLink';
import { Passphrase } from './Passphrase';
import { useAccess, usePair, useSignIn } from './queries';

const fieldsIn = (error: unknown): Record<string, string> => (error instanceof ApiError ? (error.problem.fields ?? {}) : {});

/** How a device comes in: by a code that another screen shows, or by the passphrase. */
export function ComeIn() {
  const [byCode, setByCode] = useState(true);
  const [code, setCode] = useState(() => codeIn(window.location.hash));
  const [passphrase, setPassphrase] = useState('');
  const [name, setName] = useState(usualName);
  const [keeper, setKeeper] = useState('');
  const { data: access } = useAccess();
  const asksName = access?.isIn === false && access.asksName;
  const [pair, signIn] = [usePair(), useSignIn()];
  const { isPending, error } = byCode ? pair : signIn;
  const fields = fieldsIn(error);

  const comeIn = (event: FormEvent) => {
    event.preventDefault();
    // The code is used up by it: it stays neither in the address nor in what the browser remembers of it.
    if (window.location.hash) window.history.replaceState(window.history.state, '', window.location.pathname + window.location.search);
    if (byCode) pair.mutate({ code, name });
    else signIn.mutate({ passphrase, name, ...(asksName ? { keeper } : {}) });
  };

  return (
    <Dialog open onClose={() => undefined} className="relative z-50">
      <div className="fixed inset-0 overflow-y-auto bg-page">
        <DialogPanel className="mx-auto max-w-lg px-4 py-10">
          <DialogTitle as="h1" className="text-xl font-semibold">
            Let this device in
          </DialogTitle>
          <p className="mt-1 mb-6 text-soft">
            {byCode
              ? 'On the machine Bright Keeper runs on, under Settings, Access: have a code shown, and type it here.'
              : asksName
                ? 'Your name, as the others call you here, and your passphrase.'
                : 'The passphrase of this household.'}
            {letIn.hasBeenIn && ' What you typed on the page behind is still there.'}
          </p>
          <form onSubmit={comeIn} noValidate className="sheet space-y-5 p-4">
            {byCode ? (
              <Field label="Code" id="code" error={fields.code} hint="Eight digits">
                <input
                  id="code"
                  className="input font-mono text-2xl tracking-widest"
                  inputMode="numeric"
                  autoComplete="one-time-code"
                  aria-invalid={!!fields.code}
                  value={inGroups(code)}
                  onChange={(e) => setCode(digitsOf(e.target.value))}
                />
              </Field>
            ) : (
              <>
                {asksName && (
                  <Field label="Your name" id="keeper" error={fields.keeper}>
                    <input
                      id="keeper"
                      className="input"
                      autoComplete="username"
                      maxLength={KEEPER_NAME_MAX}
                      value={keeper}
                      onChange={(e) => setKeeper(e.target.value)}
                    />
                  </Field>
                )}
                <Passphrase label="Passphrase" value={passphrase} onChange={setPassphrase} error={fields.passphrase} />
              </>
            )}
            <Field label="Name of this device" id="device-name" error={fields.name} hint="So that you know it again in the list.">
              <input
                id="device-name"
                className="input"
                maxLength={60}
                aria-invalid={!!fields.name}
                value={name}
                onChange={(e) => setName(e.target.value)}
              />
            </Field>
            {error && Object.keys(fields).length === 0 && <Failure error={error} />}
            <div className="flex flex-wrap gap-3">
              <Button look="filled" type="submit" disabled={isPending || (byCode ? code.length !== CODE_DIGITS : passphrase === '')}>
                Let it in
              </Button>
              <Button look="quiet" onClick={() => setByCode(!byCode)}>
                {byCode ? 'Use the passphrase' : 'Use a code'}
              </Button>
            </div>
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
