import type { LogEntry } from '@bright-keeper/contract';
import { Button, Failure, Loading } from '../../ui/parts';
import { At } from '../../ui/when';
import { useZone } from '../../ui/zone';
import { LookPhotos } from '../inspection';
import { useLog } from './queries';
import { logWords } from './words';

function Entry({ entry }: { entry: LogEntry }) {
  const { title, lines } = logWords(entry.data, useZone());
  return (
    <li className="relative border-l border-line pb-4 pl-5 last:pb-0">
      <span aria-hidden="true" className="absolute top-2 -left-[5px] size-[9px] rounded-full bg-fill" />
      <p className="flex justify-between gap-4">
        <span className="font-medium">{title}</span>
        <span className="text-sm whitespace-nowrap text-soft">
          <At instant={entry.at} />
        </span>
      </p>
      {entry.data.kind === 'look' && entry.data.photos && <LookPhotos lookId={entry.data.lookId} />}
      {lines.map((line) => (
        <p key={line} className="text-sm text-soft">
          {line}
        </p>
      ))}
    </li>
  );
}

/** Everything done with a thing, newest first. */
export function Timeline({ itemId }: { itemId: string }) {
  const log = useLog(itemId);
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
            <Entry key={entry.id} entry={entry} />
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
