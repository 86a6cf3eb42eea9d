import type { NotSent } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { awayWords } from '@bright-keeper/words';
import { useState } from 'react';
import { ApiError } from '../../../api/http';
import { Button, Failure } from '../../../ui/parts';
import { ToldFor, useTold } from '../../../ui/ToldFor';
import { useSendManyAway, useTakeBack } from '../queries';
import { WhyAway } from '../WhyAway';
import { backOf, things, type WithMany } from './many';

const stayedWords = ({ name, because }: NotSent): string =>
  because === 'already-away' ? `${name} is away already` : `${name} came back later than that`;

/** Many are lent or sent away in one go, with what belongs to them. */
export function LendMany({ itemIds, onDone, onLeave }: WithMany) {
  const send = useSendManyAway();
  const takeBack = useTakeBack();
  const [why, setWhy] = useState<schedule.AwayReason>('loan');
  const [to, setTo] = useState('');
  const [until, setUntil] = useState('');
  const told = useTold();
  const fields = send.error instanceof ApiError ? send.error.problem.fields : undefined;
  const lend = () =>
    send.mutate(
      { itemIds, why, until: until || null, at: told.at, ...(to.trim() ? { to } : {}) },
      {
        onSuccess: ({ entryIds, refused }) =>
          onDone({
            words: `${things(entryIds.length)} ${entryIds.length === 1 ? 'is' : 'are'} ${awayWords(why, to.trim() || null)}${
              entryIds.length + refused.length > itemIds.length ? ', what belongs to them among them' : ''
            }.${refused.length > 0 ? ` Not sent: ${refused.map(stayedWords).join('; ')}.` : ''}`,
            takeBack: () => takeBack.mutateAsync(entryIds).then(backOf),
          }),
      },
    );
  return (
    <form
      aria-label="Where they are"
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        lend();
      }}
    >
      <WhyAway label="Where are they?" why={why} onWhy={setWhy} />
      <label className="flex flex-col gap-1">
        {why === 'loan' ? 'Lent to' : 'With whom (if you like)'}
        <input className="input" maxLength={120} autoComplete="off" value={to} onChange={(e) => setTo(e.target.value)} />
        {fields?.to && (
          <span role="alert" className="text-sm text-act">
            {fields.to}
          </span>
        )}
      </label>
      <label className="flex flex-col gap-1">
        Due back (if agreed)
        <input type="date" className="input" value={until} onChange={(e) => setUntil(e.target.value)} />
      </label>
      <ToldFor told={told} id="many-away" label="they went on" />
      <Button type="submit" look="filled" disabled={send.isPending || itemIds.length === 0 || told.wrong !== null}>
        They are away
      </Button>
      <Button look="quiet" onClick={onLeave}>
        They are here
      </Button>
      {send.error && !fields?.to && <Failure error={send.error} />}
    </form>
  );
}
