import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { DataTable, type Columns } from './DataTable';

afterEach(cleanup);

type Cloth = { id: string; name: string; uses: number };
const CLOTHS: Cloth[] = [
  { id: 'b', name: 'Blue', uses: 7 },
  { id: 'a', name: 'Amber', uses: 2 },
];
const COLUMNS: Columns<Cloth> = [
  { id: 'name', header: 'Cloth', accessorFn: (c) => c.name, cell: ({ row }) => <b>{row.original.name}</b> },
  { id: 'uses', header: 'Uses', enableSorting: false, cell: ({ row }) => row.original.uses },
];
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((r) => within(r).getAllByRole('cell')[0]!.textContent);
const table = (more: Partial<Parameters<typeof DataTable<Cloth>>[0]> = {}) =>
  render(<DataTable caption="The drawer" columns={COLUMNS} rows={CLOTHS} rowKey={(c) => c.id} {...more} />);

describe('a table', () => {
  it('has a name, headings and rows, in the order they came', () => {
    table();
    expect(screen.getByRole('table', { name: 'The drawer' })).toBeTruthy();
    expect(screen.getAllByRole('columnheader').map((h) => h.textContent)).toEqual(['Cloth ', 'Uses']);
    expect(names()).toEqual(['Blue', 'Amber']);
  });

  it('sorts by a heading that may, says so, and turns round', () => {
    table();
    fireEvent.click(screen.getByRole('button', { name: /^Cloth/ }));
    expect(names()).toEqual(['Amber', 'Blue']);
    expect(screen.getByRole('columnheader', { name: /^Cloth/ }).getAttribute('aria-sort')).toBe('ascending');
    fireEvent.click(screen.getByRole('button', { name: /^Cloth/ }));
    expect(names()).toEqual(['Blue', 'Amber']);
    expect(screen.queryByRole('button', { name: 'Uses' })).toBeNull();
  });

  it('leaves the sorting to whoever keeps the rows, and only asks for it', () => {
    const onSort = vi.fn();
    table({ sorting: { state: [], onSort } });
    fireEvent.click(screen.getByRole('button', { name: /^Cloth/ }));
    expect(onSort).toHaveBeenCalledWith([{ id: 'name', desc: false }]);
    expect(names()).toEqual(['Blue', 'Amber']);
  });

  it('shows what its columns come to show, though the rows stay', () => {
    const { rerender } = table();
    const counted: Columns<Cloth> = [{ id: 'uses', header: 'Washed', cell: ({ row }) => `${row.original.uses} times` }];
    rerender(<DataTable caption="The drawer" columns={counted} rows={CLOTHS} rowKey={(c) => c.id} />);
    expect(names()).toEqual(['7 times', '2 times']);
    rerender(
      <DataTable caption="The drawer" columns={counted} rows={CLOTHS} rowKey={(c) => c.id} instead={(c) => `${c.name} is at the wash`} />,
    );
    expect(names()).toEqual(['Blue is at the wash', 'Amber is at the wash']);
  });

  it('draws of a thousand rows what is near the window, and says how many there are', () => {
    const many = Array.from({ length: 1000 }, (_, i) => ({ id: `c${i}`, name: `Cloth ${i}`, uses: i }));
    table({ rows: many });
    const drawn = screen.getAllByRole('row').slice(1);
    expect(drawn.length).toBeGreaterThan(10);
    expect(drawn.length).toBeLessThan(100);
    expect(names()[0]).toBe('Cloth 0');
    expect(drawn[3]!.getAttribute('aria-rowindex')).toBe('5');
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('1001');
  });

  it('shows a form instead of the row that is edited', () => {
    table({ instead: (c) => (c.id === 'a' ? <p>Editing {c.name}</p> : null) });
    expect(screen.getByText('Editing Amber')).toBeTruthy();
    expect(names()).toEqual(['Blue', 'Editing Amber']);
  });
});
