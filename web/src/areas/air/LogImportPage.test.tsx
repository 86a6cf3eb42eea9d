import { LOG_FAULTS, routes, type LogFormat, type LogImportResult, type LogPreview, type LogPreviewRequest } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { LogImportPage } from './LogImportPage';

afterEach(endPage);

const guessed: LogFormat = {
  delimiter: ';',
  decimal: ',',
  dateOrder: 'dmy',
  date: 'Datum',
  time: null,
  temperature: 'Temp',
  humidity: 'Feuchte',
  temperatureUnit: 'C',
  humidityUnit: 'pct',
  timeZone: 'Europe/Lisbon',
};
const columns = ['Datum', 'Uhrzeit', 'Temp', 'Feuchte'];
const rows: LogPreview['rows'] = [
  {
    line: 2,
    at: '2026-03-01T10:00:00.000Z',
    temperatureC: 20.5,
    humidityPct: 55,
    cells: ['01.03.2026 10:00', '20,5', '55'],
    problem: null,
  },
  { line: 3, at: null, temperatureC: null, humidityPct: null, cells: ['01.03.2026 10:10', 'err', '55'], problem: 'no-number' },
];
const previewOf = (request: unknown): LogPreview => ({ format: (request as LogPreviewRequest).format ?? guessed, columns, rows });
const clean: LogImportResult = {
  rows: 3,
  accepted: 2,
  duplicates: 0,
  setAside: { ...(Object.fromEntries(LOG_FAULTS.map((f) => [f, 0])) as LogImportResult['setAside']), 'no-number': 1 },
  examples: [{ line: 3, problem: 'no-number', text: '01.03.2026 10:10 | err | 55' }],
  from: '2026-03-01T23:30:00.000Z',
  to: '2026-03-05T10:00:00.000Z',
  gaps: [{ from: '2026-03-02T00:00:00.000Z', to: '2026-03-02T12:00:00.000Z', hours: 12 }] as unknown as LogImportResult['gaps'],
  clockJumps: 1,
  shiftHours: null,
};

const show = (more: Record<string, Handler> = {}) =>
  showPage(LogImportPage, '/hygrometers/:id/import', '/hygrometers/d/import', {
    [`GET ${routes.devices}`]: { devices: [{ id: 'd', name: 'Dial' }] },
    [`POST ${routes.logPreview}`]: previewOf,
    [`POST ${routes.logImport('d')}`]: clean,
    ...more,
  });
async function choose(): Promise<void> {
  await screen.findByText('Import a log: Dial');
  const field = document.querySelector<HTMLInputElement>('input[type="file"]')!;
  fireEvent.change(field, { target: { files: [new File(['Datum;Temp;Feuchte\n'], 'log.csv', { type: 'text/csv' })] } });
  await screen.findByText('How it is read');
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const field = (name: string) => screen.getByRole<HTMLSelectElement>('combobox', { name });

describe('importing a log', () => {
  it('shows how the file is read, row by row, before anything of it is kept', async () => {
    const page = show();
    await choose();
    const table = within(screen.getByRole('table', { name: 'First rows of the log' }));
    expect(table.getByText('2026-03-01 10:00')).toBeTruthy();
    expect(table.getByText('20.5')).toBeTruthy();
    expect(table.getByText('no number where one is due')).toBeTruthy();
    expect(field('Date is written').value).toBe('dmy');
    expect(field('Decimals').value).toBe(',');
    expect(page.calls.some((c) => c.path === routes.logImport('d'))).toBe(false);
  });

  it('reads it anew at each correction; a second one keeps the first', async () => {
    const page = show();
    await choose();
    fireEvent.change(field('Date is written'), { target: { value: 'mdy' } });
    fireEvent.change(field('Clock stands in'), { target: { value: 'Uhrzeit' } });
    await waitFor(() => {
      const sent = page.written().map((c) => (c.body as LogPreviewRequest).format);
      expect(sent.at(-1)).toEqual({ ...guessed, dateOrder: 'mdy', time: 'Uhrzeit' });
    });
  });

  it('says beside the field that something is no time zone, keeps what was typed and asks nothing', async () => {
    const page = show();
    await choose();
    const before = page.written().length;
    const zone = screen.getByRole<HTMLInputElement>('combobox', { name: /Times are those of/ });
    fireEvent.change(zone, { target: { value: 'Europe/Lisb' } });
    expect(screen.getByText(/This is no time zone/)).toBeTruthy();
    expect(zone.value).toBe('Europe/Lisb');
    expect(page.written().length).toBe(before);
    fireEvent.change(zone, { target: { value: 'UTC' } });
    await waitFor(() => expect((page.written().at(-1)!.body as LogPreviewRequest).format!.timeZone).toBe('UTC'));
  });

  it('is checked as a whole first, tells what is set aside and why, and then imported', async () => {
    show();
    await choose();
    expect(button('Import it').disabled).toBe(true);
    fireEvent.click(button('Check the whole file'));
    expect(await screen.findByText(/^2 of 3 rows are good, .*March 2026 to .*5 March 2026\.$/)).toBeTruthy();
    expect(screen.getByText('1 row: no number where one is due')).toBeTruthy();
    expect(screen.getByText('line 3: 01.03.2026 10:10 | err | 55')).toBeTruthy();
    expect(screen.getByText('A silence of more than six hours is marked as a gap.')).toBeTruthy();
    expect(screen.getByText('The clock went back once; it is marked.')).toBeTruthy();
    fireEvent.click(button('Import it'));
    expect(await screen.findByText(/^2 readings are in/)).toBeTruthy();
    // Once it is in, one does not put it in again without looking.
    expect(button('Import it').disabled).toBe(true);
  });

  it('asks for the time zone where it lies beside what is there already', async () => {
    show({ [`POST ${routes.logImport('d')}`]: { ...clean, shiftHours: -1, duplicates: 7 } });
    await choose();
    fireEvent.click(button('Check the whole file'));
    expect(await screen.findByText(/this log is shifted by 1 hour: is its time zone right\?/)).toBeTruthy();
    expect(screen.getByText('7 were there already and count once.')).toBeTruthy();
  });

  it('says why a file cannot be read, and takes another one', async () => {
    let first = true;
    show({
      [`POST ${routes.logPreview}`]: (request: unknown) => {
        const answer = first ? new Refusal({ status: 422, code: 'log-unreadable', title: 'This is no table' }) : previewOf(request);
        first = false;
        return answer;
      },
    });
    await screen.findByText('Import a log: Dial');
    const input = document.querySelector<HTMLInputElement>('input[type="file"]')!;
    fireEvent.change(input, { target: { files: [new File(['?'], 'odd.bin')] } });
    expect(await screen.findByText('This is no table')).toBeTruthy();
    await choose();
    expect(screen.queryByText('This is no table')).toBeNull();
  });
});
