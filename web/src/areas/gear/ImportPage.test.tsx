import { routes, type ImportPreview, type ImportRequest } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { ImportPage } from './ImportPage';

afterEach(endPage);

const lens = { name: 'Corvane 35/2', kind: 'lens', traits: {}, notes: '', acquiredOn: null } as const;
const READ = { fate: 'new' as const, place: null, isolates: false, errors: {}, wrong: [], isKindGuessed: false, told: {} };
const good: ImportPreview = {
  encoding: 'UTF-8',
  delimiter: ';',
  form: 'csv',
  columns: ['Thing', 'Sort', 'Colour'],
  mapping: { name: 'Thing', kind: 'Sort' },
  total: 1,
  good: 1,
  bad: 0,
  updates: 0,
  same: 0,
  areDaysAmbiguous: false,
  kinds: [],
  rows: [{ ...READ, line: 2, input: lens, cells: { Thing: 'Corvane 35/2', Sort: 'lens', Colour: 'black' } }],
  notices: [],
};
const bad: ImportPreview = {
  ...good,
  total: 2,
  bad: 1,
  rows: [
    ...good.rows,
    {
      ...READ,
      line: 3,
      fate: 'wrong',
      input: null,
      cells: { Thing: '', Sort: 'boat', Colour: '' },
      errors: { Thing: 'This is needed.', Sort: 'There is no such kind.' },
      wrong: ['name', 'kind'],
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
    const page = show(good, { [`POST ${routes.importConfirm}`]: { imported: 1, updated: 0, same: 0, leftOut: 0 } });
    choose();
    expect(await screen.findByText('Read as UTF-8, cells parted by semicolons.')).toBeTruthy();
    expect(screen.getByText('1 row, all good')).toBeTruthy();
    expect(within(screen.getByRole('table', { name: 'Rows of the file' })).getByText('Corvane 35/2')).toBeTruthy();
    expect(page.written().map((c) => c.path)).toEqual([routes.importPreview]);
    fireEvent.click(screen.getByRole('button', { name: 'Put 1 thing on the shelf' }));
    await waitFor(() => expect(page.address()).toBe('/gear?sort=added'));
    expect((page.written()[1]!.body as ImportRequest).fileBase64).toBe(btoa('Thing;Sort\n'));
  });

  it('with a row that is wrong says every field of it, has it corrected there, and leaves it out else', async () => {
    const page = show(bad);
    choose();
    expect(await screen.findByText('1 of 2 rows cannot be imported yet')).toBeTruthy();
    const row = screen.getAllByRole('row').at(-1)!;
    expect(row.textContent).toContain('Thing: This is needed.');
    expect(row.textContent).toContain('Sort: There is no such kind.');
    expect(screen.getByText('One line had more cells than the headings.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Put 1 thing on the shelf, leave 1 out' })).toBeTruthy();
    const name = screen.getByLabelText('Thing in line 3');
    fireEvent.change(name, { target: { value: 'Wherry' } });
    fireEvent.blur(name);
    await waitFor(() => expect((page.written()[1]?.body as ImportRequest).corrections).toEqual({ 3: { name: 'Wherry' } }));
    fireEvent.change(await screen.findByLabelText('Sort in line 3'), { target: { value: 'drone' } });
    await waitFor(() => expect((page.written()[2]?.body as ImportRequest).corrections).toEqual({ 3: { name: 'Wherry', kind: 'drone' } }));
  });

  it('says what was guessed, left out and already there, and asks how days are read', async () => {
    const told: ImportPreview = {
      ...good,
      total: 3,
      good: 3,
      updates: 1,
      same: 1,
      areDaysAmbiguous: true,
      rows: [
        { ...good.rows[0]!, isKindGuessed: true, told: { Colour: '“black” was left out.' } },
        { ...good.rows[0]!, line: 3, fate: 'update', place: { id: 'p', name: 'Oak cupboard' } },
        { ...good.rows[0]!, line: 4, fate: 'same' },
      ],
    };
    const page = show(told);
    choose();
    expect(await screen.findByText('3 rows, all good, 2 of them on the shelf already')).toBeTruthy();
    expect(screen.getByText('is on the shelf, will be changed, in Oak cupboard')).toBeTruthy();
    expect(screen.getByText('“black” was left out.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Put 1 thing on the shelf, change 1 that is there' })).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Kind in line 2'), { target: { value: 'filter' } });
    await waitFor(() => expect((page.written()[1]?.body as ImportRequest).corrections).toEqual({ 2: { kind: 'filter' } }));
    fireEvent.change(await screen.findByLabelText('A day like 03/04/2019 is'), { target: { value: 'month' } });
    await waitFor(() => expect((page.written()[2]?.body as ImportRequest).monthFirst).toBe(true));
  });

  it('that says nothing new has nothing to do', async () => {
    show({ ...good, same: 1, rows: [{ ...good.rows[0]!, fate: 'same' }] });
    choose();
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Nothing to do' })).disabled).toBe(true);
  });

  it('is asked for again as soon as a column means something else, or a kind is given for all', async () => {
    const page = show({ ...good, kinds: [{ written: '', guessed: null, kind: null, rows: 2 }] });
    choose();
    fireEvent.change(await screen.findByLabelText('Colour'), { target: { value: 'notes' } });
    await waitFor(() => expect(page.written()).toHaveLength(2));
    expect((page.written()[1]!.body as ImportRequest).mapping).toEqual({ name: 'Thing', kind: 'Sort', notes: 'Colour' });
    fireEvent.change(screen.getByLabelText('No kind, nor told by its words (2 rows)'), { target: { value: 'filter' } });
    await waitFor(() => expect(page.written()).toHaveLength(3));
    expect((page.written()[2]!.body as ImportRequest).kinds).toEqual([{ written: '', guessed: null, kind: 'filter' }]);
  });

  it('that the server cannot take says so, and what was seen stays', async () => {
    show(good, { [`POST ${routes.importConfirm}`]: new Refusal({ status: 422, code: 'import-has-errors', title: 'It was not taken in' }) });
    choose();
    fireEvent.click(await screen.findByRole('button', { name: 'Put 1 thing on the shelf' }));
    expect(await screen.findByText('It was not taken in')).toBeTruthy();
    expect(screen.getByRole('table', { name: 'Rows of the file' })).toBeTruthy();
  });
});
