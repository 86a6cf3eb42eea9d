import type { TrailEntry } from '@bright-keeper/contract';
import { useOwnRole } from '../../api/useOwnRole';
import { DataTable, type Columns } from '../../ui/DataTable';
import { fullInstant } from '../../ui/dates';
import { Button, Empty, Failure, Loading, Page } from '../../ui/parts';
import { useZone } from '../../ui/zone';
import { useTrail } from './queries';
import { deedWords, whoWords } from './trailWords';
import { useChoices } from '../../ui/choices';

/** When it was done; from when to when, where it was done more than once that day. */
function When({ entry: { firstAt, at, times } }: { entry: TrailEntry }) {
  const zone = useZone();
  return (
    <>
      <time dateTime={at}>{fullInstant(at, zone)}</time>
      {times > 1 && <p className="text-sm text-soft">{`${times} times since ${fullInstant(firstAt, zone)}`}</p>}
    </>
  );
}

function Who({ entry }: { entry: TrailEntry }) {
  const areSeveral = useOwnRole() !== null;
  return whoWords(entry, areSeveral);
}

const COLUMNS: Columns<TrailEntry> = [
  { id: 'at', header: 'When', enableSorting: false, cell: ({ row }) => <When entry={row.original} /> },
  { id: 'who', header: 'Who', enableSorting: false, cell: ({ row }) => <Who entry={row.original} /> },
  { id: 'act', header: 'What', enableSorting: false, cell: ({ row }) => deedWords(row.original) },
  { id: 'name', header: 'Of', enableSorting: false, cell: ({ row: { original } }) => (original.who.is === 'keeper' ? original.name : '') },
];

const FILTERS = [
  { who: undefined, label: 'All' },
  { who: 'keeper', label: 'By hand' },
  { who: 'device', label: 'By hygrometers' },
] as const;

/** Who changed what, newest first. */
export function TrailPage() {
  const [search, setSearch] = useChoices();
  const who = FILTERS.find((f) => f.who === (search.get('who') ?? undefined))?.who;
  const trail = useTrail(who);
  const entries = trail.data?.pages.flatMap((p) => p.entries);
  return (
    <Page title="Who changed what" sub="Every change of the last 400 days; the same again on the same day is one line.">
      <div className="mb-4 flex flex-wrap gap-2" role="group" aria-label="Whose changes">
        {FILTERS.map((f) => (
          <Button
            key={f.label}
            look={f.who === who ? 'filled' : 'plain'}
            aria-pressed={f.who === who}
            onClick={() => setSearch(f.who ? { who: f.who } : {}, { replace: true })}
          >
            {f.label}
          </Button>
        ))}
      </div>
      {trail.isPending && <Loading />}
      {trail.isError && <Failure error={trail.error} onRetry={() => void trail.refetch()} />}
      {entries && entries.length === 0 && <Empty title="Nothing was changed yet." />}
      {entries && entries.length > 0 && (
        <DataTable caption="Who changed what" columns={COLUMNS} rows={entries} rowKey={(e) => e.id} stacks />
      )}
      {trail.hasNextPage && (
        <Button className="mt-4" disabled={trail.isFetchingNextPage} onClick={() => void trail.fetchNextPage()}>
          Older ones
        </Button>
      )}
    </Page>
  );
}
