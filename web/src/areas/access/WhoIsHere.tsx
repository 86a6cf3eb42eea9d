import { KEEPER_NAME_MAX, type Access } from '@bright-keeper/contract';
import { useState } from 'react';
import { ApiError } from '../../api/http';
import { Button, Failure, Section } from '../../ui/parts';
import { Field } from '../gear';
import { usualName } from './deviceName';
import { Passphrase } from './Passphrase';
import { useSignIn } from './queries';

/** At the machine itself nobody has to say who they are; whoever does is told of by name, and may what their role lets them. */
export function WhoIsHere({ keepers }: Pick<Access, 'keepers'>) {
  const [isOpen, setOpen] = useState(false);
  const [keeper, setKeeper] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const signIn = useSignIn();
  const able = keepers.filter(({ hasPassphrase }) => hasPassphrase);
  const who = keeper || (able[0]?.name ?? '');
  const fields = signIn.error instanceof ApiError ? signIn.error.problem.fields : undefined;
  return (
    <Section title="Who is at this machine">
      {isOpen ? (
        <form
          className="sheet space-y-4 p-4"
          noValidate
          onSubmit={(e) => {
            e.preventDefault();
            signIn.mutate({ keeper: who, passphrase, name: usualName() });
          }}
        >
          <Field label="Who" id="who-is-here">
            <select
              id="who-is-here"
              className="input max-w-md"
              value={who}
              onChange={(e) => setKeeper(e.target.value.slice(0, KEEPER_NAME_MAX))}
            >
              {able.map(({ id, name }) => (
                <option key={id}>{name}</option>
              ))}
            </select>
          </Field>
          <Passphrase label="Passphrase" value={passphrase} onChange={setPassphrase} error={fields?.passphrase} />
          {signIn.error && !fields && <Failure error={signIn.error} />}
          <div className="flex gap-2">
            <Button look="filled" type="submit" disabled={signIn.isPending || passphrase === ''}>
              That is me
            </Button>
            <Button onClick={() => setOpen(false)}>Cancel</Button>
          </div>
        </form>
      ) : (
        <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
          <p className="max-w-prose">
            Nobody in particular: what is done in this browser is told as done at the machine, and may be anything. Say who you are, and it
            is told under your name.
          </p>
          <Button disabled={able.length === 0} onClick={() => setOpen(true)}>
            Say who I am
          </Button>
        </div>
      )}
    </Section>
  );
}
