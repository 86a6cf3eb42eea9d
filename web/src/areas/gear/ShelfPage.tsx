import { routes, type ShelfItem } from '@bright-keeper/contract';
import { care, gear, type schedule } from '@bright-keeper/core';
import { dutyWords } from '@bright-keeper/words';
import { Download, Plus, Printer, Puzzle, Upload } from 'lucide-react';
import { Fragment, lazy, memo, Suspense, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { DataTable, type Columns } from '../../ui/DataTable';
import { Button, ButtonLink, Empty, Failure, Loading, Page, VerdictChip } from '../../ui/parts';
import { Day } from '../../ui/when';
import { useIsWide, useWindowed, type Windowed } from '../../ui/windowed';
import { Face } from './Face';
import { GONE_WORDS } from './fileWords';
import { NOTHING_CHOSEN, tapped, withAll, type Chosen } from './choosing';
import { useShelf } from './queries';
import { FILTER_KEYS, Filters, filtersFrom, type SetFilter } from './ShelfFilters';
import { useChoices, withChoice } from '../../ui/choices';

// Most who come look for one thing: what is done to many comes when it is asked for.
const ManyBar = lazy(async () => ({ default: (await import('./ManyBar')).ManyBar }));
/** As high as the bar, so that the shelf does not jump when it comes. */
const BAR_SPACE = <div className="mb-4 h-33" />;

const URGENCY_CLASS: Record<schedule.Urgency, string> = {
  overdue: 'text-act font-semibold',
  due: 'text-lamp font-semibold',
  soon: '',
  later: 'text-soft',
};

function DueCell({ item }: { item: ShelfItem }) {
  if (!item.nextDue) return <span className="text-soft">–</span>;
  return (
    <span className={URGENCY_CLASS[item.nextDue.urgency]}>
      {dutyWords(item.nextDue).title}, due <Day day={item.nextDue.window.due} />
    </span>
  );
}

const StatusNote = ({ item }: { item: ShelfItem }) => (
  <>
    {item.status === 'quarantined' && <span className="ml-2 rounded bg-act-tint px-1.5 py-0.5 text-sm text-act">quarantine</span>}
    {item.gone && <span className="ml-2 rounded bg-well px-1.5 py-0.5 text-sm text-soft">{GONE_WORDS[item.gone.why]}</span>}
  </>
);

/** How many there are, where a line stands for several. */
const Count = ({ item: { particulars } }: { item: ShelfItem }) =>
  gear.countOf(particulars) > 1 && <span className="text-soft"> × {gear.countOf(particulars)}</span>;

const Tags = ({ item }: { item: ShelfItem }) =>
  item.particulars.tags?.map((tag) => (
    <Fragment key={tag}>
      {' '}
      <span className="ml-1 rounded bg-well px-1.5 py-0.5 text-sm text-soft">{tag}</span>
    </Fragment>
  ));

const COLUMNS: Columns<ShelfItem> = [
  {
    id: 'name',
    header: 'Thing',
    enableSorting: true,
    accessorFn: (item) => item.name,
    cell: ({ row: { original: item } }) => (
      <>
        <Face item={item} />
        <Link className="ml-3 font-semibold hover:underline" to={`/gear/${item.id}`}>
          {item.name}
        </Link>
        <Count item={item} />
        <StatusNote item={item} />
        <Tags item={item} />
      </>
    ),
  },
  { id: 'kind', header: 'Kind', enableSorting: false, cell: ({ row }) => care.kindFacts(row.original.kind).name },
  { id: 'needs', header: 'Last verdict', enableSorting: false, cell: ({ row }) => <VerdictChip verdict={row.original.verdict} /> },
  { id: 'due', header: 'Next', accessorFn: (item) => item.nextDue?.window.due, cell: ({ row }) => <DueCell item={row.original} /> },
];

/** What is chosen, and what a tap on one does; null while nobody chooses. */
type Choosing = { isChosen: (id: string) => boolean; tap: (id: string, isRange: boolean) => void } | null;

const ChoiceBox = ({ item, choosing }: { item: ShelfItem; choosing: NonNullable<Choosing> }) => (
  <input
    type="checkbox"
    className="check"
    aria-label={`Choose ${item.name}`}
    checked={choosing.isChosen(item.id)}
    onChange={(e) => choosing.tap(item.id, (e.nativeEvent as MouseEvent).shiftKey)}
  />
);
const choiceColumn = (choosing: NonNullable<Choosing>): Columns<ShelfItem>[number] => ({
  id: 'chosen',
  header: 'Chosen',
  enableSorting: false,
  cell: ({ row }) => <ChoiceBox item={row.original} choosing={choosing} />,
});

type ShelfTableProps = { items: ShelfItem[]; sort: string; onSort: (sort: string) => void; choosing: Choosing };

/** The shelf is sorted where it is kept, over all its pages; a heading asks for it, one way. */
const ShelfTable = ({ items, sort, onSort, choosing }: ShelfTableProps) => (
  <DataTable
    caption="The shelf"
    columns={choosing ? [choiceColumn(choosing), ...COLUMNS] : COLUMNS}
    rows={items}
    rowKey={(item) => item.id}
    rowClass={() => 'hover:bg-well'}
    sorting={{
      state: COLUMNS.some((c) => c.id === sort) ? [{ id: sort, desc: false }] : [],
      onSort: ([wanted]) => onSort(wanted && wanted.id !== 'name' ? wanted.id : ''),
    }}
  />
);

/** A card of three lines with the space below it. */
const CARD_PX = 103;

function ShelfCards({ items, choosing }: { items: ShelfItem[]; choosing: Choosing }) {
  const list = useRef<HTMLUListElement>(null);
  const shown = useWindowed(list, items.length, CARD_PX);
  return (
    <ul ref={list} style={{ paddingTop: shown.above, paddingBottom: shown.below }}>
      {shown.rows.map(({ index }) => {
        const item = items[index];
        return item && <ShelfCard key={item.id} item={item} index={index} measure={shown.measure} choosing={choosing} />;
      })}
    </ul>
  );
}

/** Kept as it is while one scrolls: only what comes into sight is drawn. */
type ShelfCardProps = { item: ShelfItem; index: number; measure: Windowed['measure']; choosing: Choosing };
const ShelfCard = memo(({ item, index, measure, choosing }: ShelfCardProps) => (
  <li ref={measure} data-index={index} className="flex items-center gap-2 pb-2">
    {choosing && <ChoiceBox item={item} choosing={choosing} />}
    <Link to={`/gear/${item.id}`} className="sheet block min-w-0 flex-1 p-3">
      <span className="flex items-start justify-between gap-3">
        <span className="flex min-w-0 items-center gap-3 font-semibold">
          <Face item={item} />
          <span className="min-w-0">
            {item.name}
            <Count item={item} />
          </span>
        </span>
        <VerdictChip verdict={item.verdict} />
      </span>
      <span className="mt-1 block text-sm text-soft">
        {care.kindFacts(item.kind).name}
        <StatusNote item={item} />
        <Tags item={item} />
      </span>
      <span className="block text-sm">
        <DueCell item={item} />
      </span>
    </Link>
  </li>
));

export function ShelfPage() {
  const [params, setParams] = useChoices();
  const filters = useMemo(() => filtersFrom(params), [params]);
  const shelf = useShelf(filters);
  const isWide = useIsWide();
  const set: SetFilter = (key, value) => setParams(withChoice(params, key, value || null), { replace: true });
  const items = shelf.data?.pages.flatMap((p) => p.items) ?? [];
  const total = shelf.data?.pages[0]?.total ?? 0;
  const isFiltered = FILTER_KEYS.some((key) => key !== 'sort' && filters[key] !== undefined);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const choosing: Choosing = chosen && {
    isChosen: (id) => chosen.ids.has(id),
    tap: (id, isRange) =>
      setChosen(
        tapped(
          chosen,
          id,
          isRange,
          items.map((i) => i.id),
        ),
      ),
  };

  return (
    <Page
      title="Gear"
      sub={
        shelf.data
          ? `${total} ${total === 1 ? 'thing' : 'things'}${isFiltered ? (total === 1 ? ' matches' : ' match') : ' on the shelf'}`
          : ' '
      }
      actions={
        <>
          <a
            className="inline-flex min-h-11 items-center gap-2 rounded border border-soft bg-sheet px-4 hover:bg-well"
            href={routes.gearExport}
            download
          >
            <Download size={18} aria-hidden="true" /> Export CSV
          </a>
          <ButtonLink to="/gear/inventory">
            <Printer size={18} aria-hidden="true" /> Print
          </ButtonLink>
          <ButtonLink to="/gear/fit">
            <Puzzle size={18} aria-hidden="true" /> What fits what
          </ButtonLink>
          <ButtonLink to="/gear/import">
            <Upload size={18} aria-hidden="true" /> Import
          </ButtonLink>
          <ButtonLink to="/gear/new" look="filled" className="max-md:order-first">
            <Plus size={18} aria-hidden="true" /> Add a thing
          </ButtonLink>
        </>
      }
    >
      <Filters filters={filters} set={set}>
        {(items.length > 0 || chosen) && (
          <Button className="max-md:col-span-2" aria-pressed={chosen !== null} onClick={() => setChosen(chosen ? null : NOTHING_CHOSEN)}>
            {chosen ? 'Done choosing' : 'Choose several'}
          </Button>
        )}
      </Filters>
      {chosen && (
        <Suspense fallback={BAR_SPACE}>
          <ManyBar
            chosen={chosen.ids}
            filters={filters}
            total={total}
            onAlso={(ids) => setChosen(withAll(chosen, ids))}
            onNone={() => setChosen(NOTHING_CHOSEN)}
          />
        </Suspense>
      )}
      {shelf.isPending && <Loading />}
      {shelf.isError && <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />}
      {shelf.data &&
        items.length === 0 &&
        (isFiltered ? (
          <Empty title="Nothing matches" action={<Button onClick={() => setParams({})}>Show the whole shelf</Button>}>
            Take a filter away, or search for a part of a name, a number, a tag or a place.
          </Empty>
        ) : (
          <Empty
            title="The shelf is empty"
            action={
              <ButtonLink to="/gear/new" look="filled">
                Add your first lens
              </ButtonLink>
            }
          >
            Put one lens on it, look at it under a lamp, and Bright Keeper works out the gentlest way to clean it. Or import a list you
            already have.
          </Empty>
        ))}
      {items.length > 0 && (
        <>
          {isWide ? (
            <ShelfTable items={items} sort={filters.sort ?? 'name'} onSort={(sort) => set('sort', sort)} choosing={choosing} />
          ) : (
            <ShelfCards items={items} choosing={choosing} />
          )}
        </>
      )}
      {shelf.hasNextPage && (
        <div className="mt-4 text-center">
          <Button onClick={() => void shelf.fetchNextPage()} disabled={shelf.isFetchingNextPage}>
            Show more ({total - items.length} left)
          </Button>
        </div>
      )}
    </Page>
  );
}
