import type { LogEntry } from '@bright-keeper/contract';
import { MS_PER_DAY, schedule } from '@bright-keeper/core';
import { keptWords, logWords } from '@bright-keeper/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button, Failure, Loading } from '../../ui/parts';
import { useNow } from '../../ui/useNow';
import { At } from '../../ui/when';
import { useZone } from '../../ui/zone';
import { LookPhotos } from '../inspection';
import { useLog, useTakeBack } from './queries';

/** Takes an entry back in two taps, or says why it stands; a look can be corrected instead. */
function TakeBack({ entry }: { entry: LogEntry }) {
  const takeBack = useTakeBack();
  const [asking, setAsking] = useState(false);
  const kept = takeBack.data?.kept[0];
  if (kept)
    return (
      <p role="status" className="text-sm text-lamp">
        {keptWords(kept.because)}
      </p>
    );
  if (asking)
    return (
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-sm">As if it had never been told?</span>
        <Button disabled={takeBack.isPending} onClick={() => takeBack.mutate([entry.id])}>
          Take it back
        </Button>
        <Button look="quiet" onClick={() => setAsking(false)}>
          It stands
        </Button>
        {takeBack.error && <Failure error={takeBack.error} />}
      </div>
    );
  return (
    <p className="flex flex-wrap gap-x-4 text-sm">
      <button type="button" className="min-h-11 underline" onClick={() => setAsking(true)}>
        Take back…
      </button>
      {entry.data.kind === 'look' && (
        <Link className="inline-flex min-h-11 items-center underline" to={`/look/${entry.data.lookId}/correct`}>
          Correct it
        </Link>
      )}
    </p>
  );
}

function Entry({ entry, isOffered }: { entry: LogEntry; isOffered: boolean }) {
  const { title, lines } = logWords(entry.data, useZone());
  return (
    <li className="relative border-l border-line pb-4 pl-5 last:pb-0">
      <span aria-hidden="true" className="absolute top-2 -left-[5px] size-[9px] rounded-full bg-fill" />
      <p className="flex justify-between gap-4">
        <span className="font-medium">{title}</span>
        <span className="text-sm whitespace-nowrap text-soft">
          {entry.keeper !== null && `${entry.keeper}, `}
          <At instant={entry.at} />
        </span>
      </p>
      {entry.data.kind === 'look' && entry.data.photos && <LookPhotos lookId={entry.data.lookId} />}
      {lines.map((line) => (
        <p key={line} className="text-sm text-soft">
          {line}
        </p>
      ))}
      {isOffered && <TakeBack entry={entry} />}
    </li>
  );
}

/** Everything done with a thing, newest first; what was told in the last days can be taken back. */
export function Timeline({ itemId }: { itemId: string }) {
  const log = useLog(itemId);
  const now = useNow(null).getTime();
  const isOffered = ({ at, data }: LogEntry) =>
    schedule.MAY_BE_TAKEN_BACK.includes(data.kind) && now - Date.parse(at) < schedule.OFFERED_BACK_DAYS * MS_PER_DAY;
  // As high as a few entries, so that what stands below does not jump when they come.
  if (log.isPending)
    return (
      <div className="sheet min-h-96">
        <Loading />
      </div>
    );
  if (log.isError) return <Failure error={log.error} onRetry={() => void log.refetch()} />;
  return (
    <div className="sheet p-4">
      <ol aria-label="Timeline">
        {log.data.pages
          .flatMap((p) => p.entries)
          .map((entry) => (
            <Entry key={entry.id} entry={entry} isOffered={isOffered(entry)} />
          ))}
      </ol>
      {log.hasNextPage && (
        <Button className="mt-3" onClick={() => void log.fetchNextPage()} disabled={log.isFetchingNextPage}>
          Show older
        </Button>
      )}
    </div>
  );
}
