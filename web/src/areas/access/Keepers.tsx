import { KEEPER_NAME_MAX, type Access, type Keeper, type Role } from '@bright-keeper/contract';
import { count } from '@bright-keeper/words';
import { useState } from 'react';
import { Button, Failure, Section } from '../../ui/parts';
import { Field } from '../gear';
import { NewKeeperForm } from './NewKeeperForm';
import { RoleOptions } from './RoleOptions';
import { useRemoveKeeper, useResetKeeper, useUpdateKeeper } from './queries';
import { ROLE_WORDS } from './words';

/** What is asked once more before it is done, and what it does. */
const ASKED = {
  reset: {
    label: 'Reset',
    sure: 'Take their passphrase and devices away',
    what: 'For a lost phone or passphrase: from that moment nothing of theirs opens, until you show a code for them.',
  },
  remove: {
    label: 'Remove',
    sure: 'Remove them',
    what: 'All their devices are out at once. What they did stays in the log under their name.',
  },
} as const;
type Asked = keyof typeof ASKED;

function Edit({ keeper, onDone }: { keeper: Keeper; onDone: () => void }) {
  const [name, setName] = useState(keeper.name);
  const [role, setRole] = useState<Role>(keeper.role);
  const update = useUpdateKeeper();
  return (
    <form
      className="w-full space-y-3"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        update.mutate({ id: keeper.id, name, role }, { onSuccess: onDone });
      }}
    >
      <div className="flex flex-wrap gap-4">
        <Field label="Name" id={`name-${keeper.id}`}>
          <input
            id={`name-${keeper.id}`}
            className="input"
            maxLength={KEEPER_NAME_MAX}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </Field>
        <Field label="What they may do" id={`role-${keeper.id}`}>
          <select id={`role-${keeper.id}`} className="input" value={role} onChange={(e) => setRole(e.target.value as Role)}>
            <RoleOptions />
          </select>
        </Field>
      </div>
      {update.error && <Failure error={update.error} />}
      <div className="flex gap-2">
        <Button look="filled" type="submit" disabled={update.isPending || name.trim() === ''}>
          Save
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  );
}

/** How somebody comes in, as far as they can. */
const comesIn = ({ hasPassphrase, devices }: Keeper): string =>
  !hasPassphrase && devices === 0
    ? 'Cannot come in yet: a code for a device of theirs lets them in.'
    : `${hasPassphrase ? 'With a passphrase' : 'No passphrase yet'}, ${devices === 0 ? 'no device' : count(devices, 'device', 'devices')} let in.`;

/** @param mayLeave whether an owner is left without them. */
function Row({ keeper, mayLeave }: { keeper: Keeper; mayLeave: boolean }) {
  const [asked, setAsked] = useState<Asked | null>(null);
  const [isEdited, setEdited] = useState(false);
  const [reset, remove] = [useResetKeeper(), useRemoveKeeper()];
  const doing = { reset, remove };
  const error = reset.error ?? remove.error;
  if (isEdited)
    return (
      <li className="px-4 py-3">
        <Edit keeper={keeper} onDone={() => setEdited(false)} />
      </li>
    );
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3">
      <div className="min-w-48 flex-1">
        <p className="font-medium">
          {keeper.name} {keeper.isThis && <span className="ml-1 rounded bg-glass-tint px-2 py-0.5 text-sm text-glass">you</span>}
        </p>
        <p className="text-sm text-soft">
          {ROLE_WORDS[keeper.role].name}: {ROLE_WORDS[keeper.role].may}. {comesIn(keeper)}
        </p>
      </div>
      {asked === null ? (
        <div className="flex flex-wrap gap-2">
          <Button aria-label={`Change ${keeper.name}`} onClick={() => setEdited(true)}>
            Change
          </Button>
          {(mayLeave ? (Object.keys(ASKED) as Asked[]) : []).map((one) => (
            <Button key={one} aria-label={`${ASKED[one].label} ${keeper.name}`} onClick={() => setAsked(one)}>
              {ASKED[one].label}
            </Button>
          ))}
        </div>
      ) : (
        <div className="w-full space-y-2">
          <p>{ASKED[asked].what}</p>
          <div className="flex flex-wrap gap-2">
            <Button
              look="filled"
              disabled={doing[asked].isPending}
              onClick={() => doing[asked].mutate(keeper.id, { onSettled: () => setAsked(null) })}
            >
              {ASKED[asked].sure}
            </Button>
            <Button onClick={() => setAsked(null)}>Leave it</Button>
          </div>
        </div>
      )}
      {error && (
        <div className="w-full">
          <Failure error={error} />
        </div>
      )}
    </li>
  );
}

/** Who keeps this household, for its owners. While it is one alone, only how another comes to it. */
export function Keepers({ keepers }: Pick<Access, 'keepers'>) {
  const [isAdding, setAdding] = useState(false);
  return (
    <Section title="Keepers">
      <div className="space-y-4">
        {keepers.length > 0 && (
          <ul className="sheet divide-y divide-line">
            {keepers.map((keeper) => (
              <Row key={keeper.id} keeper={keeper} mayLeave={keepers.some(({ id, role }) => role === 'owner' && id !== keeper.id)} />
            ))}
          </ul>
        )}
        {isAdding ? (
          <NewKeeperForm isFirst={keepers.length === 0} onDone={() => setAdding(false)} />
        ) : (
          <div className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
            <p className="max-w-prose">
              {keepers.length === 0
                ? 'You keep this household alone. Add whoever keeps it with you, or may look into it: each comes in by a passphrase or a device of their own, and the log tells who did what.'
                : 'Somebody else who keeps this household, or may look into it.'}
            </p>
            <Button onClick={() => setAdding(true)}>Add a keeper</Button>
          </div>
        )}
      </div>
    </Section>
  );
}
