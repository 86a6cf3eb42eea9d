import type { ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { capital } from '@bright-keeper/words';
import { useState } from 'react';
import { Button, Failure } from '../../ui/parts';
import { useCapMissing } from '../schedule';

/** A lost cap is noted in two taps; it stays among what is due until the thing has one again. */
export function MissingCap({ item: { id, kind, traits, due } }: { item: Pick<ItemPage, 'id' | 'kind' | 'traits' | 'due'> }) {
  const [asking, setAsking] = useState(false);
  const note = useCapMissing();
  const missing = due.flatMap(({ facts }) => (facts.says === 'caps' ? facts.missing : []));
  const caps = care.capsOf(kind, traits).filter((cap) => !missing.includes(cap));
  if (caps.length === 0) return null;
  if (!asking) return <Button onClick={() => setAsking(true)}>A cap is missing…</Button>;
  return (
    <div role="group" aria-label="Which cap is missing?" className="sheet flex w-full flex-wrap items-center gap-3 p-4">
      <p>Which one?</p>
      {caps.map((surface) => (
        <Button
          key={surface}
          disabled={note.isPending}
          onClick={() => note.mutate({ itemId: id, surface }, { onSuccess: () => setAsking(false) })}
        >
          {capital(care.surfaceFacts(surface).name)}
        </Button>
      ))}
      <Button look="quiet" onClick={() => setAsking(false)}>
        None
      </Button>
      {note.error && <Failure error={note.error} />}
    </div>
  );
}
