import { useState } from 'react';
import { useWaiting } from '../../api/useKept';
import { canKeep, chooseKeeping, keepsHere } from '../../kept/keeping';
import { Button, Section } from '../../ui/parts';

/** Whether this browser keeps things. It is chosen here, for this browser alone. */
export function KeepingChoice() {
  const [keeps] = useState(keepsHere);
  const waiting = useWaiting();
  const [isAsked, ask] = useState(false);
  const change = async () => {
    chooseKeeping(!keeps);
    if (keeps) await (await import('../../kept/leave')).leave();
    window.location.reload();
  };
  if (!canKeep())
    return (
      <Section title="On this device">
        <p className="sheet p-4">
          This browser can keep nothing: the page did not come over an encrypted line it trusts, or it is a private window. Bring the device
          in as Settings, Access says.
        </p>
      </Section>
    );
  return (
    <Section title="On this device">
      <div className="sheet space-y-3 p-4">
        <p>
          {keeps
            ? 'This browser keeps the program, your things and what is due, so that it starts and works without a network.'
            : 'This browser can keep the program, your things and what is due, and take looks, cleanings and notes without a network.'}
        </p>
        {isAsked ? (
          <div className="flex flex-wrap items-center gap-2">
            {waiting.length > 0 && <strong>{waiting.length} that wait here are forgotten, too.</strong>}
            <Button onClick={() => void change()}>Forget all of it</Button>
            <Button onClick={() => ask(false)}>Keep it</Button>
          </div>
        ) : (
          <Button onClick={() => (keeps ? ask(true) : void change())}>{keeps ? 'Keep nothing here any more' : 'Keep it here'}</Button>
        )}
      </div>
    </Section>
  );
}
