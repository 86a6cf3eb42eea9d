import {
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type Row as TableRow,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { memo, useRef, useState, type ReactNode } from 'react';
import { useWindowed, type Windowed } from './windowed';

/** Where a heading stands in the sorting: what a screen reader is told, and the arrow beside it. */
const SORTED = {
  asc: { aria: 'ascending', arrow: <ArrowUp size={14} aria-hidden="true" /> },
  desc: { aria: 'descending', arrow: <ArrowDown size={14} aria-hidden="true" /> },
} as const;

type Props<Row> = {
  caption: string;
  columns: ColumnDef<Row>[];
  rows: Row[];
  rowKey: (row: Row) => string;
  rowClass?: (row: Row) => string;
  /** What stands in the whole row instead of its cells, where something does. */
  instead?: (row: Row) => ReactNode | null;
  /** Sorting done elsewhere: what it is now, and what a tap on a heading asks for. */
  sorting?: { state: SortingState; onSort: (state: SortingState) => void };
  /** On a phone each row becomes a stack of its cells. */
  stacks?: boolean;
};

/** Columns of a page as the table library takes them: `id` and `header` always, `accessorFn` where it may be sorted here. */
export type Columns<Row> = ColumnDef<Row>[];

/** A row of text with its padding; rows that turn out otherwise are measured as they are drawn. */
const ROW_PX = 41;
/** The room of the rows that are not drawn. */
const Room = ({ px }: { px: number }) => (px > 0 ? <tr aria-hidden="true" style={{ height: px }} /> : null);

type RowProps<Row> = Pick<Props<Row>, 'columns' | 'rowClass' | 'instead' | 'stacks'> & {
  row: TableRow<Row>;
  index: number;
  measure: Windowed['measure'];
};

function DrawnRow<Row>({ row, columns, index, measure, rowClass, instead, stacks }: RowProps<Row>) {
  const whole = instead?.(row.original) ?? null;
  return (
    <tr
      ref={measure}
      data-index={index}
      aria-rowindex={index + 2}
      role="row"
      className={`border-b border-line align-middle last:border-0 ${stacks ? 'max-md:block max-md:py-1.5' : ''} ${rowClass?.(row.original) ?? ''}`}
    >
      {whole !== null ? (
        <td colSpan={columns.length} role="cell" className={stacks ? 'max-md:block' : ''}>
          {whole}
        </td>
      ) : (
        row.getVisibleCells().map((cell) => (
          <td key={cell.id} role="cell" className={`px-3 py-1.5 ${stacks ? 'max-md:block max-md:py-0.5' : ''}`}>
            {flexRender(cell.column.columnDef.cell, cell.getContext())}
          </td>
        ))
      )}
    </tr>
  );
}
/** Kept as it is while one scrolls: only what comes into sight is drawn. What a cell shows, its row and the columns decide. */
const BodyRow = memo(DrawnRow) as typeof DrawnRow;

/** A table of the application: headings that sort where they may, rows that stack on a phone. */
export function DataTable<Row>({ caption, columns, rows, rowKey, rowClass, instead, sorting, stacks = false }: Props<Row>) {
  const [own, setOwn] = useState<SortingState>([]);
  const state = sorting?.state ?? own;
  // The library keeps functions of its own that React's compiler cannot follow; it is not used here.
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting: state },
    onSortingChange: (update) => (sorting?.onSort ?? setOwn)(typeof update === 'function' ? update(state) : update),
    getCoreRowModel: getCoreRowModel(),
    manualSorting: sorting !== undefined,
    ...(sorting ? {} : { getSortedRowModel: getSortedRowModel() }),
    getRowId: rowKey,
  });
  const stack = stacks ? 'max-md:block' : '';
  const body = useRef<HTMLTableSectionElement>(null);
  const all = table.getRowModel().rows;
  const shown = useWindowed(body, all.length, ROW_PX);
  return (
    <div className="sheet overflow-x-auto">
      <table className={`w-full text-left ${stack}`} role="table" aria-rowcount={all.length + 1}>
        <caption className="sr-only">{caption}</caption>
        <thead className={`text-sm text-soft ${stacks ? 'max-md:sr-only' : ''}`} role="rowgroup">
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} role="row">
              {group.headers.map((header) => {
                const { column } = header;
                const sorted = column.getIsSorted();
                const title = flexRender(column.columnDef.header, header.getContext());
                return (
                  <th
                    key={header.id}
                    scope="col"
                    role="columnheader"
                    aria-sort={sorted ? SORTED[sorted].aria : undefined}
                    className="border-b border-line px-3 py-2 font-medium"
                  >
                    {column.getCanSort() ? (
                      <button
                        type="button"
                        className="inline-flex items-center gap-1 hover:underline"
                        onClick={column.getToggleSortingHandler()}
                      >
                        {title} {sorted && SORTED[sorted].arrow}
                      </button>
                    ) : (
                      title
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody ref={body} className={stack} role="rowgroup">
          <Room px={shown.above} />
          {shown.rows.map(({ index }) => {
            const row = all[index];
            if (!row) return null;
            return (
              <BodyRow
                key={row.id}
                row={row}
                columns={columns}
                index={index}
                measure={shown.measure}
                rowClass={rowClass}
                instead={instead}
                stacks={stacks}
              />
            );
          })}
          <Room px={shown.below} />
        </tbody>
      </table>
    </div>
  );
}
