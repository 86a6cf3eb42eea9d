import { routes, type ImportPreview, type ImportRequest } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { ImportPage } from './ImportPage';

afterEach(endPage);

const lens = { name: 'Corvane 35/2', kind: 'lens', traits: {}, notes: '', acquiredOn: null } as const;
const good: ImportPreview = {
  encoding: 'UTF-8',
  delimiter: ';',
  columns: ['Thing', 'Sort', 'Colour'],
  mapping: { name: 'Thing', kind: 'Sort' },
  total: 1,
  good: 1,
  bad: 0,
  rows: [{ line: 2, input: lens, cells: { Thing: 'Corvane 35/2', Sort: 'lens', Colour: 'black' }, errors: {} }],
  notices: [],
};
const bad: ImportPreview = {
  ...good,
  total: 2,
  bad: 1,
  rows: [
    ...good.rows,
    {
      line: 3,
      input: null,
      cells: { Thing: '', Sort: 'boat', Colour: '' },
      errors: { name: 'This is needed.', kind: 'There is no such kind.' },
    },
  ],
  notices: ['One line had more cells than the headings.'],
};
const show = (preview: Handler, more: Record<string, Handler> = {}) =>
  showPage(ImportPage, '/gear/import', '/gear/import', { [`POST ${routes.importPreview}`]: preview, ...more });
const choose = () =>
  fireEvent.change(document.querySelector('input[type=file]')!, {
    target: { files: [new File(['Thing;Sort\n'], 'shelf.csv', { type: 'text/csv' })] },
  });

describe('a gear list from a file', () => {
  it('is shown row by row before anything is put on the shelf, and then is', async () => {
    const page = show(good, { [`POST ${routes.importConfirm}`]: { imported: 1 } });
    choose();
    expect(await screen.findByText('Read as UTF-8, cells parted by semicolons.')).toBeTruthy();
    expect(screen.getByText('1 rows, all good')).toBeTruthy();
    expect(within(screen.getByRole('table', { name: 'Rows of the file' })).getByText('Corvane 35/2')).toBeTruthy();
    expect(page.written().map((c) => c.path)).toEqual([routes.importPreview]);
    fireEvent.click(screen.getByRole('button', { name: 'Put this thing on the shelf' }));
    await waitFor(() => expect(page.address()).toBe('/gear?sort=added'));
    expect((page.written()[1]!.body as ImportRequest).fileBase64).toBe(btoa('Thing;Sort\n'));
  });

  it('with a row that is wrong says every field of it, and cannot be taken in', async () => {
    show(bad);
    choose();
    expect(await screen.findByText('1 of 2 rows cannot be imported')).toBeTruthy();
    const row = screen.getAllByRole('row').at(-1)!;
    expect(row.textContent).toContain('name: This is needed.');
    expect(row.textContent).toContain('kind: There is no such kind.');
    expect(screen.getByText('One line had more cells than the headings.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Correct the rows above first' }).disabled).toBe(true);
  });

  it('is asked for again as soon as a column means something else, or a kind is given for all', async () => {
    const page = show(good);
    choose();
    fireEvent.change(await screen.findByLabelText('Colour'), { target: { value: 'notes' } });
    await waitFor(() => expect(page.written()).toHaveLength(2));
    expect((page.written()[1]!.body as ImportRequest).mapping).toEqual({ name: 'Thing', kind: 'Sort', notes: 'Colour' });
    fireEvent.change(screen.getByLabelText('Where no kind is given'), { target: { value: 'filter' } });
    await waitFor(() => expect(page.written()).toHaveLength(3));
    expect((page.written()[2]!.body as ImportRequest).defaultKind).toBe('filter');
  });

  it('that the server cannot take says so, and what was seen stays', async () => {
    show(good, { [`POST ${routes.importConfirm}`]: new Refusal({ status: 422, code: 'import-has-errors', title: 'It was not taken in' }) });
    choose();
    fireEvent.click(await screen.findByRole('button', { name: 'Put this thing on the shelf' }));
    expect(await screen.findByText('It was not taken in')).toBeTruthy();
    expect(screen.getByRole('table', { name: 'Rows of the file' })).toBeTruthy();
  });
});
