import type { ItemPage } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { awayWords, particularWords } from '@bright-keeper/words';
import { useState } from 'react';
import { ApiError } from '../../api/http';
import { Button, Failure } from '../../ui/parts';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { Day } from '../../ui/when';
import { toNumber } from '../../ui/toNumber';
import { useBack, useSendAway } from '../schedule';
import { useCurrency } from '../settings';
import { WhyAway } from './WhyAway';
import { GoesAlong } from './Together';

/** Whom it is with: of a loan it is always asked. */
const WITH_WHOM: Record<schedule.AwayReason, string> = {
  loan: 'Lent to',
  service: 'Which workshop (if you like)',
  trip: 'With whom (if you like)',
  other: 'With whom (if you like)',
};

/** Whether it is here: sent to a workshop or lent, nothing of it is asked for until it is back. */
export function Away({ item: { id, away, together } }: { item: Pick<ItemPage, 'id' | 'away' | 'together'> }) {
  const currency = useCurrency();
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState<schedule.AwayReason>('service');
  const [until, setUntil] = useState('');
  const [to, setTo] = useState('');
  const [estimate, setEstimate] = useState('');
  const [alone, setAlone] = useState(false);
  const told = useTold();
  const send = useSendAway();
  const back = useBack();
  const error = send.error ?? back.error;
  const fields = send.error instanceof ApiError ? send.error.problem.fields : undefined;
  const wrong = fields?.to;
  const early = error instanceof ApiError ? error.problem.fields?.at : undefined;
  if (away)
    return (
      <div className="flex w-full flex-wrap items-center gap-3 rounded bg-lamp-tint px-4 py-2">
        <p>
          It is {awayWords(away.why, away.to)} since <Day day={away.since} />
          {away.until && (
            <>
              , due back <Day day={away.until} />
            </>
          )}
          {away.estimate !== null && `; it is to cost ${particularWords('paid', away.estimate, currency)}`}.
        </p>
        <Button
          disabled={back.isPending || told.wrong !== null}
          onClick={() => back.mutate({ itemId: id, at: told.at }, { onSuccess: () => told.setLocal(null) })}
        >
          It is back
        </Button>
        <ToldFor told={told} id="back-on" label="it came back on" />
        {early && <span className="w-full text-sm text-act">{early}</span>}
        {error && !early && <Failure error={error} />}
      </div>
    );
  if (!asking) return <Button onClick={() => setAsking(true)}>It goes away…</Button>;
  return (
    <form
      className="sheet flex w-full flex-wrap items-end gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        send.mutate(
          {
            ...{ itemId: id, why, until: until || null, at: told.at },
            ...(to.trim() ? { to } : {}),
            ...(why === 'service' && estimate.trim() ? { estimate: toNumber(estimate) as number } : {}),
            ...(alone ? { alone } : {}),
          },
          {
            onSuccess: () => {
              setAsking(false);
              told.setLocal(null);
            },
          },
        );
      }}
    >
      <WhyAway label="Where is it?" why={why} onWhy={setWhy} />
      <label className="flex flex-col gap-1">
        {WITH_WHOM[why]}
        <input
          className="input"
          maxLength={120}
          value={to}
          autoComplete="off"
          aria-invalid={wrong !== undefined}
          aria-describedby={wrong === undefined ? undefined : 'away-to'}
          onChange={(e) => setTo(e.target.value)}
        />
        {wrong !== undefined && (
          <span id="away-to" role="alert" className="text-sm text-act">
            {wrong}
          </span>
        )}
      </label>
      {why === 'service' && (
        <label className="flex flex-col gap-1">
          {`What it is to cost, ${currency} (if said)`}
          <input className="input w-40" inputMode="decimal" value={estimate} onChange={(e) => setEstimate(e.target.value)} />
          {fields?.estimate && <span className="text-sm text-act">{fields.estimate}</span>}
        </label>
      )}
      <label className="flex flex-col gap-1">
        Due back (if agreed)
        <input type="date" className="input" value={until} onChange={(e) => setUntil(e.target.value)} />
      </label>
      <GoesAlong things={together.things} alone={alone} onAlone={setAlone} />
      <ToldFor told={told} id="away-since" label="it went on" />
      {early && <span className="w-full text-sm text-act">{early}</span>}
      <Button type="submit" look="filled" disabled={send.isPending || told.wrong !== null}>
        It is away
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        Leave it here
      </Button>
      {error && !fields && early === undefined && <Failure error={error} />}
    </form>
  );
}
