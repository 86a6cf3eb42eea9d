import type { ShelfItem } from '@bright-keeper/contract';
import { care, gear, type schedule } from '@bright-keeper/core';
import { dutyWords, GONE_WORDS, particularWords } from '@bright-keeper/words';
import { Fragment, memo, useRef } from 'react';
import { Link } from 'react-router';
import { DataTable, type Columns } from '../../ui/DataTable';
import { VerdictChip } from '../../ui/parts';
import { Day } from '../../ui/when';
import { useIsWide, useWindowed, type Windowed } from '../../ui/windowed';
import { useCurrency } from '../settings';
import { Face } from './Face';
import { COLUMN_IDS, COLUMN_WORDS, type ColumnId, type ShelfView } from './shelfView';

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

function WorthCell({ item }: { item: ShelfItem }) {
  const currency = useCurrency();
  const worth = gear.worthOf(item);
  return worth === null ? null : <span className="font-mono">{particularWords('paid', worth, currency)}</span>;
}

const NAME: Columns<ShelfItem>[number] = {
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
};

const CELLS: Record<ColumnId, (item: ShelfItem) => React.ReactNode> = {
  kind: (item) => care.kindFacts(item.kind).name,
  needs: (item) => <VerdictChip verdict={item.verdict} />,
  due: (item) => <DueCell item={item} />,
  place: (item) => item.place?.name ?? '',
  serial: (item) => <span className="font-mono">{item.particulars.serial ?? ''}</span>,
  maker: ({ particulars: { maker, model } }) => [maker, model].filter(Boolean).join(' '),
  worth: (item) => <WorthCell item={item} />,
  came: (item) => item.acquiredOn && <Day day={item.acquiredOn} />,
};

const columnOf = (id: ColumnId): Columns<ShelfItem>[number] => ({
  id,
  header: COLUMN_WORDS[id],
  // What is due is sorted by where the shelf is kept; the rest stands as it comes.
  ...(id === 'due' ? { accessorFn: (item: ShelfItem) => item.nextDue?.window.due } : { enableSorting: false }),
  cell: ({ row }) => CELLS[id](row.original),
});

/** What is chosen, and what a tap on one does; null while nobody chooses. */
export type Choosing = { isChosen: (id: string) => boolean; tap: (id: string, isRange: boolean, order: readonly string[]) => void } | null;

type ListProps = {
  caption: string;
  items: ShelfItem[];
  view: Pick<ShelfView, 'layout' | 'columns'>;
  sort: string;
  onSort: (sort: string) => void;
  choosing: Choosing;
};

const ChoiceBox = ({ item, items, choosing }: { item: ShelfItem; items: readonly ShelfItem[]; choosing: NonNullable<Choosing> }) => (
  <input
    type="checkbox"
    className="check"
    aria-label={`Choose ${item.name}`}
    checked={choosing.isChosen(item.id)}
    onChange={(e) =>
      choosing.tap(
        item.id,
        (e.nativeEvent as MouseEvent).shiftKey,
        items.map(({ id }) => id),
      )
    }
  />
);
const choiceColumn = (choosing: NonNullable<Choosing>, items: readonly ShelfItem[]): Columns<ShelfItem>[number] => ({
  id: 'chosen',
  header: 'Chosen',
  enableSorting: false,
  cell: ({ row }) => <ChoiceBox item={row.original} items={items} choosing={choosing} />,
});

/** The shelf is sorted where it is kept, over all its pages; a heading asks for it, one way. */
function ShelfTable({ caption, items, view, sort, onSort, choosing }: ListProps) {
  const columns = [NAME, ...COLUMN_IDS.filter((id) => view.columns.includes(id)).map(columnOf)];
  return (
    <DataTable
      caption={caption}
      columns={choosing ? [choiceColumn(choosing, items), ...columns] : columns}
      rows={items}
      rowKey={(item) => item.id}
      rowClass={() => 'hover:bg-well'}
      sorting={{
        state: columns.some((c) => c.id === sort) ? [{ id: sort, desc: false }] : [],
        onSort: ([wanted]) => onSort(wanted && wanted.id !== 'name' ? wanted.id : ''),
      }}
    />
  );
}

/** A card of three lines with the space below it. */
const CARD_PX = 103;

function ShelfCards({ items, choosing }: Pick<ListProps, 'items' | 'choosing'>) {
  const list = useRef<HTMLUListElement>(null);
  const shown = useWindowed(list, items.length, CARD_PX);
  return (
    <ul ref={list} style={{ paddingTop: shown.above, paddingBottom: shown.below }}>
      {shown.rows.map(({ index }) => {
        const item = items[index];
        return item && <ShelfCard key={item.id} item={item} items={items} index={index} measure={shown.measure} choosing={choosing} />;
      })}
    </ul>
  );
}

/** Kept as it is while one scrolls: only what comes into sight is drawn. */
type ShelfCardProps = { item: ShelfItem; items: readonly ShelfItem[]; index: number; measure: Windowed['measure']; choosing: Choosing };
const ShelfCard = memo(({ item, items, index, measure, choosing }: ShelfCardProps) => (
  <li ref={measure} data-index={index} className="flex items-center gap-2 pb-2">
    {choosing && <ChoiceBox item={item} items={items} choosing={choosing} />}
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

/** Things of the shelf, in rows or as cards. */
export function ShelfList(props: ListProps) {
  const isWide = useIsWide();
  const { layout } = props.view;
  const inRows = layout === 'auto' ? isWide : layout === 'rows';
  return inRows ? <ShelfTable {...props} /> : <ShelfCards {...props} />;
}
