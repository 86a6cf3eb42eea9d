import type { ItemPage } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { capital, GONE_SUM_WORDS, GONE_WORDS, longDate, particularWords } from '@bright-keeper/words';
import { useState } from 'react';
import { ApiError } from '../../api/http';
import { Button, Failure } from '../../ui/parts';
import { toNumber } from '../../ui/toNumber';
import { useToday } from '../../ui/zone';
import { useCurrency } from '../settings';
import { useArchive } from './queries';
import { GoesAlong } from './Together';

/** What became of a thing that is gone, and what came for it. */
export function GoneNote({ gone }: { gone: gear.Gone }) {
  const currency = useCurrency();
  return (
    <p className="w-full rounded bg-well px-4 py-2">
      {capital(GONE_WORDS[gone.why])} on {longDate(gone.on)}
      {gone.for !== null && `; ${GONE_SUM_WORDS[gone.why].toLowerCase()} ${particularWords('paid', gone.for, currency)}`}.
      {gear.isForTheInsurer(gone.why) && ' Its number, its pictures and its papers are kept for the insurer.'}
    </p>
  );
}

/** That a thing is the household's no more, and why: its history stays, nothing of it is asked for any more. */
export function GoneForGood({ item: { id, version, together } }: { item: Pick<ItemPage, 'id' | 'version' | 'together'> }) {
  const currency = useCurrency();
  const today = useToday();
  const archive = useArchive(id);
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState<gear.GoneReason>('sold');
  const [on, setOn] = useState(today);
  const [sum, setSum] = useState('');
  const [alone, setAlone] = useState(false);
  const fields = archive.error instanceof ApiError ? archive.error.problem.fields : undefined;
  const said = (field: string) => fields?.[field] && <span className="text-sm text-act">{fields[field]}</span>;
  if (!asking) return <Button onClick={() => setAsking(true)}>It is gone…</Button>;
  return (
    <form
      className="sheet flex w-full flex-wrap items-end gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        const paid = gear.bringsMoney(why) && sum.trim() !== '' ? (toNumber(sum) as number) : null;
        archive.mutate({ version, gone: { why, on, for: paid }, ...(together.things.length > 0 && !alone ? { together: true } : {}) });
      }}
    >
      <label className="flex flex-col gap-1">
        What became of it?
        <select className="input" value={why} onChange={(e) => setWhy(e.target.value as gear.GoneReason)}>
          {gear.GONE_REASONS.map((reason) => (
            <option key={reason} value={reason}>
              {capital(GONE_WORDS[reason])}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1">
        On
        <input type="date" className="input" required max={today} value={on} onChange={(e) => setOn(e.target.value)} />
        {said('gone.on')}
      </label>
      {gear.bringsMoney(why) && (
        <label className="flex flex-col gap-1">
          {GONE_SUM_WORDS[why]}, {currency} (if known)
          <input className="input w-40" inputMode="decimal" value={sum} onChange={(e) => setSum(e.target.value)} />
          {said('gone.for')}
        </label>
      )}
      <GoesAlong things={together.things} alone={alone} onAlone={setAlone} />
      <Button type="submit" look="filled" disabled={archive.isPending}>
        Take it off the shelf
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        It is still here
      </Button>
      {archive.error && !fields && <Failure error={archive.error} />}
    </form>
  );
}
