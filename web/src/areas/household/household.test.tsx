import { routes, TRAIL_ACTS, TRAIL_SUBJECTS, type Backups, type Health, type MergePreview, type Trail } from '@bright-keeper/contract';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { DataPage } from './DataPage';
import { HealthBar } from './HealthBar';
import { LastBackup } from './LastBackup';
import { RestoreDoor } from './RestoreDoor';
import { sizeWords } from '../../ui/size';
import { tableWords } from './tableWords';
import { TrailPage } from './TrailPage';
import { deedWords } from './trailWords';

afterEach(() => {
  cleanup();
  endPage();
});

const health: Health = {
  version: '0.1.0',
  now: '2026-03-10T10:00:00Z',
  database: { kind: 'embedded', answers: true, ours: true },
  disk: { freeBytes: 81_000_000_000, marginBytes: 100_663_296, enough: true },
  clock: { datedAhead: null },
  backup: { lastAt: '2026-03-10T03:00:00Z', late: false, trouble: null },
};
const backups: Backups = {
  folder: '/home/keeper/.bright-keeper/backups',
  files: [{ name: 'bright-keeper-2026-03-10T030000Z.zip', madeAt: '2026-03-10T03:00:00Z', bytes: 573_864 }],
  trouble: null,
};
const preview: MergePreview = {
  madeAt: '2026-03-09T10:00:00Z',
  program: '0.1.0',
  tables: [
    { table: 'item', rows: 20, fresh: 17, same: 2, changed: 1 },
    { table: 'look', rows: 5, fresh: 5, same: 0, changed: 0 },
  ],
};
const zip = new File(['PK'], 'everything.zip', { type: 'application/zip' });
const choose = (input: HTMLElement) => fireEvent.change(input, { target: { files: [zip] } });

const SETTINGS = { version: 1, schools: {}, timeZone: 'UTC', currency: 'EUR', sensorRehearsedOn: null, drawerIsAll: false };
const table = (more: Record<string, Handler> = {}): Record<string, Handler> => ({
  [`GET ${routes.health}`]: health,
  [`GET ${routes.backups}`]: backups,
  [`GET ${routes.settings}`]: SETTINGS,
  ...more,
});
const showData = (more: Record<string, Handler> = {}) => showPage(DataPage, '/settings/data', '/settings/data', table(more));

describe('the page that looks after the data', () => {
  it('lists the backups with their size and a way to fetch each', async () => {
    showData();
    const rows = within(await screen.findByRole('table', { name: 'The backups there are' }));
    expect(rows.getByText('574 kB')).toBeTruthy();
    const link = rows.getByRole('link', { name: /bright-keeper-2026-03-10/ });
    expect(link.getAttribute('href')).toBe(routes.backup(backups.files[0]!.name));
    expect(screen.getByRole('link', { name: 'Save everything' }).getAttribute('href')).toBe(routes.exportAll);
    expect(screen.getByText(/81.0 GB are free on the disk; below 101 MB nothing new is taken/)).toBeTruthy();
  });

  it('makes one more, and says when it was read back', async () => {
    const made = { name: 'bright-keeper-2026-03-10T100000Z.zip', madeAt: '2026-03-10T10:00:00Z', bytes: 600_000 };
    const page = showData({ [`POST ${routes.backups}`]: made });
    fireEvent.click(await screen.findByRole('button', { name: 'Make a backup now' }));
    expect(await screen.findByText('Made, read back and found whole: 600 kB.')).toBeTruthy();
    expect(page.calls.filter((c) => c.method === 'GET' && c.path === routes.backups).length).toBe(2);
  });

  it('says why one could not be made', async () => {
    showData({
      [`GET ${routes.backups}`]: { ...backups, files: [], trouble: 'no space left on device' },
      [`POST ${routes.backups}`]: new Refusal({ status: 507, code: 'backup-failed', title: 'The backup could not be made' }),
    });
    expect(await screen.findByText('The last try failed: no space left on device.')).toBeTruthy();
    expect(screen.getByText('There is none yet.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Make a backup now' }));
    expect(await screen.findByText('The backup could not be made')).toBeTruthy();
  });

  it('puts them into another folder; what is none is said beside the field, and stays typed', async () => {
    const refused = new Refusal({ status: 422, code: 'folder-unusable', fields: { folder: 'Name a folder that exists.' } });
    showData({ [`PUT ${routes.backupFolder}`]: refused });
    const field = await screen.findByLabelText<HTMLInputElement>('Backups are put into');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Put them there' }).disabled).toBe(true);
    fireEvent.change(field, { target: { value: '/mnt/gone' } });
    fireEvent.click(screen.getByRole('button', { name: 'Put them there' }));
    expect(await screen.findByText('Name a folder that exists.')).toBeTruthy();
    expect([field.value, field.getAttribute('aria-invalid')]).toEqual(['/mnt/gone', 'true']);
  });

  it('shows what another household’s file brings before it is taken in', async () => {
    const page = showData({ [`POST ${routes.takeInPreview}`]: preview, [`POST ${routes.takeIn}`]: { tables: 2, rows: 25 } });
    choose(await screen.findByLabelText('Choose a file'));
    const brings = within(await screen.findByRole('table', { name: 'What the file brings' }));
    expect(brings.getByText('Things')).toBeTruthy();
    expect(brings.getByText('17')).toBeTruthy();
    expect(page.written().map((c) => c.path)).toEqual([routes.takeInPreview]);
    fireEvent.click(screen.getByRole('button', { name: 'Take in 23 rows' }));
    expect(await screen.findByText('Taken in: 25 rows.')).toBeTruthy();
  });

  it('takes nothing in where there is nothing new, and says why a file cannot be read', async () => {
    let answer: unknown = { ...preview, tables: [{ table: 'item', rows: 2, fresh: 0, same: 2, changed: 0 }] };
    showData({ [`POST ${routes.takeInPreview}`]: () => answer });
    choose(await screen.findByLabelText('Choose a file'));
    const nothing = await screen.findByRole<HTMLButtonElement>('button', { name: 'There is nothing in it that is not here' });
    expect(nothing.disabled).toBe(true);
    answer = new Refusal({ status: 422, code: 'archive-damaged', title: 'This file is damaged' });
    choose(screen.getByLabelText('Choose another file'));
    expect(await screen.findByText('This file is damaged')).toBeTruthy();
  });
});

const shown = (Part: () => React.ReactNode, more: Record<string, Handler> = {}) => showPage(() => <Part />, '/', '/', table(more));

describe('above every page', () => {
  it('there is nothing while all is well', async () => {
    const page = shown(HealthBar);
    await waitFor(() => expect(page.calls.length).toBeGreaterThan(0));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it.each([
    [
      'the disk is nearly full',
      { ...health, disk: { ...health.disk!, freeBytes: 12_000_000, enough: false } },
      /nearly full: 12.0 MB are left/,
    ],
    [
      'the database does not answer',
      { ...health, database: { kind: 'embedded', answers: false, ours: true } },
      /The database does not answer/,
    ],
    ['the data was moved away', { ...health, database: { kind: 'embedded', answers: true, ours: false } }, /The data is not where it was/],
  ])('stands that %s', async (_, answer, words) => {
    shown(HealthBar, { [`GET ${routes.health}`]: answer });
    expect((await screen.findByRole('alert')).textContent).toMatch(words);
  });
});

describe('the last backup', () => {
  it.each([
    ['is told in passing', { lastAt: '2026-03-10T03:00:00Z', late: false, trouble: null }, /Last backup:/, false],
    ['is warned of when it is too long ago', { lastAt: '2026-01-01T03:00:00Z', late: true, trouble: null }, /Last backup:/, true],
    ['is missed', { lastAt: null, late: true, trouble: null }, /There is no backup yet/, true],
    ['failed', { lastAt: '2026-03-10T03:00:00Z', late: false, trouble: 'no room' }, /The last try failed: no room/, true],
  ])('%s', async (_, backup, words, warns) => {
    shown(LastBackup, { [`GET ${routes.health}`]: { ...health, backup } });
    expect(await screen.findByText(words)).toBeTruthy();
    expect(screen.queryByRole('alert') !== null).toBe(warns);
    expect(screen.getByRole('link', { name: 'Look after your data' }).getAttribute('href')).toBe('/settings/data');
  });
});

describe('a clock that leapt', () => {
  it('is told where the backups are, with both of its times', async () => {
    shown(LastBackup, { [`GET ${routes.health}`]: { ...health, clock: { datedAhead: '2027-03-10T10:00:00Z' } } });
    expect((await screen.findByRole('alert')).textContent).toMatch(/clock.*2027/);
  });
});

describe('the way back', () => {
  it('restores a file, or says why not', async () => {
    let answer: unknown = new Refusal({ status: 409, code: 'household-not-empty', title: 'There is a household here already' });
    const page = shown(RestoreDoor, { [`POST ${routes.restore}`]: () => answer });
    choose(await screen.findByLabelText('Restore a backup', { selector: 'input' }));
    expect(await screen.findByText('There is a household here already')).toBeTruthy();
    answer = new Refusal({
      status: 422,
      code: 'archive-unfit',
      title: 'No',
      fields: { 'item.3.name': 'This must not be empty.', secrets: 'There is no such table.' },
    });
    choose(screen.getByLabelText('Restore a backup', { selector: 'input' }));
    expect((await screen.findAllByRole('listitem')).map((li) => li.textContent)).toEqual([
      'Things, row 3, name: This must not be empty.',
      'secrets: There is no such table.',
    ]);
    answer = { tables: 24, rows: 2545 };
    choose(screen.getByLabelText('Restore a backup', { selector: 'input' }));
    expect(await screen.findByText('Restored: 2545 rows.')).toBeTruthy();
    expect(page.written().map((c) => c.path)).toEqual([routes.restore, routes.restore, routes.restore]);
  });
});

describe('words', () => {
  it.each([
    [0, '0 B'],
    [999, '999 B'],
    [1000, '1.0 kB'],
    [573_864, '574 kB'],
    [99_950_000, '100.0 MB'],
    [81e9, '81.0 GB'],
    [5e15, '5000 TB'],
  ])('%d bytes are %s', (bytes, words) => expect(sizeWords(bytes)).toBe(words));

  it('a table that is new here goes by its own name', () => {
    expect([tableWords('item'), tableWords('some_new_table')]).toEqual(['Things', 'some new table']);
  });
});

describe('the page of who changed what', () => {
  const at = '2026-03-10T10:00:00.000Z';
  const entries: Trail['entries'] = [
    { id: '1', who: { is: 'keeper', name: null }, act: 'finished', subject: 'look', name: 'Fifty', firstAt: at, at, times: 1 },
    {
      id: '2',
      who: { is: 'device', id: 'd', name: 'Probe' },
      act: 'pushed',
      subject: 'readings',
      name: 'Probe',
      firstAt: '2026-03-10T08:00:00.000Z',
      at,
      times: 12,
    },
  ];
  const showTrail = (page: Trail | (() => Trail)) =>
    showPage(TrailPage, '/trail', '/trail', { [`GET ${routes.settings}`]: SETTINGS, [`GET ${routes.trail}`]: page });

  it('says who did what to what, and how often', async () => {
    showTrail({ entries, nextCursor: null });
    const rows = within(await screen.findByRole('table', { name: 'Who changed what' }));
    expect(rows.getByText('Look finished').closest('tr')!.textContent).toMatch(/You.*Fifty/);
    expect(rows.getByText('Readings pushed').closest('tr')!.textContent).toMatch(/12 times since .*Probe/);
    expect(screen.queryByRole('button', { name: 'Older ones' })).toBeNull();
  });

  it('keeps whose changes are shown in the address, and fetches older ones when asked', async () => {
    let asked = 0;
    const page = showTrail(() => ({ entries: entries.map((e) => ({ ...e, id: `${e.id} ${(asked += 1)}` })), nextCursor: 'next' }));
    fireEvent.click(await screen.findByRole('button', { name: 'By hygrometers' }));
    expect(page.address()).toBe('/trail?who=device');
    const before = page.calls.length;
    fireEvent.click(await screen.findByRole('button', { name: 'Older ones' }));
    await waitFor(() => expect(page.calls.length).toBeGreaterThan(before));
  });

  it('says when there is nothing', async () => {
    showTrail({ entries: [], nextCursor: null });
    expect(await screen.findByText('Nothing was changed yet.')).toBeTruthy();
  });

  it('has words for every act on every subject', () => {
    for (const subject of TRAIL_SUBJECTS) for (const act of TRAIL_ACTS) expect(deedWords({ subject, act })).toMatch(/^[A-Z][a-z ]+$/);
  });
});
