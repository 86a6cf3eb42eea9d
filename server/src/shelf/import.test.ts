import { routes, type ImportPreview } from '@bright-keeper/contract';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const base64 = (content: string | Buffer) => Buffer.from(content as string).toString('base64');
const preview = async (content: string | Buffer, more = {}): Promise<ImportPreview> =>
  (
    await t.http
      .post(routes.importPreview)
      .send({ fileBase64: base64(content), ...more })
      .expect(200)
  ).body as ImportPreview;
const confirm = (content: string | Buffer, more = {}) => t.http.post(routes.importConfirm).send({ fileBase64: base64(content), ...more });
const total = async (search: string) => (await t.http.get(`${routes.gear}?search=${search}`)).body.total as number;

describe('a gear list from CSV', () => {
  it('guesses what the columns mean and reads rows as things', async () => {
    const p = await preview('Model,Type,Year,Weather-sealed,Remarks,Shelf no\nCorvane 35/2,Lens,1998,yes,sharp,7\n');
    expect(p.mapping).toEqual({
      name: 'Model',
      kind: 'Type',
      notes: 'Remarks',
      'trait:yearMade': 'Year',
      'trait:weatherSealed': 'Weather-sealed',
    });
    expect(p.rows[0]?.input).toMatchObject({
      name: 'Corvane 35/2',
      kind: 'lens',
      traits: { yearMade: 1998, weatherSealed: true },
      notes: 'sharp',
    });
  });

  it('marks each bad row with its line, its column and the reason, and keeps the good ones apart', async () => {
    const p = await preview('name,kind,year\nGood,lens,1990\n,lens,1990\nOdd,submarine,\nLate,lens,soon\n');
    expect([p.total, p.good, p.bad]).toEqual([4, 1, 3]);
    expect(p.rows.filter((r) => !r.input).map((r) => [r.line, Object.keys(r.errors)[0]])).toEqual([
      [3, 'name'],
      [4, 'kind'],
      [5, 'year'],
    ]);
  });

  it('imports all or nothing', async () => {
    const bad = await confirm('name,kind\nHalf one,lens\n,lens\n').expect(422);
    expect(bad.body).toMatchObject({ code: 'import-has-errors', fields: { 'line 3': expect.stringMatching(/name/) } });
    expect(await total('Half')).toBe(0);
    await confirm('name,kind\nWhole one,lens\nWhole two,filter\n').expect(201);
    expect(await total('Whole')).toBe(2);
  });

  it.each([
    ['semicolons', 'name;kind\nSemi;lens\n', ';'],
    ['tabs', 'name\tkind\nTabbed\tlens\n', '\t'],
    ['a byte-order mark', '\uFEFFname,kind\nMarked,lens\n', ','],
    ['Windows line ends', 'name,kind\r\nCrlf,lens\r\n', ','],
  ])('reads %s', async (_, content, delimiter) => {
    const p = await preview(content);
    expect(p).toMatchObject({ good: 1, bad: 0, delimiter, columns: ['name', 'kind'] });
  });

  it('reads a file that is not UTF-8 and says so', async () => {
    const p = await preview(Buffer.from('name,kind\nObj\xe9ctif,lens\n', 'latin1'));
    expect(p.rows[0]?.input?.name).toBe('Objéctif');
    expect(p.notices[0]).toMatch(/Windows-1252/);
  });

  it('reads UTF-16 with its mark', async () => {
    const p = await preview(Buffer.from('\uFEFFname,kind\nZwölf,lens\n', 'utf16le'));
    expect(p).toMatchObject({ encoding: 'UTF-16', good: 1 });
    expect(p.rows[0]?.input?.name).toBe('Zwölf');
  });

  it('keeps a line break inside quotation marks', async () => {
    const p = await preview('name,kind,notes\nQuoted,lens,"first line\nsecond, line"\n');
    expect(p.rows[0]?.input?.notes).toBe('first line\nsecond, line');
  });

  it('tells two columns of one name apart and leaves out cells beyond the heading', async () => {
    const p = await preview('name,kind,note,note\nTwice,lens,a,b,c\n');
    expect(p.columns).toEqual(['name', 'kind', 'note', 'note (2)']);
    expect(p.notices.join()).toMatch(/more cells/);
  });

  it('takes another mapping and a kind for rows without one', async () => {
    const p = await preview('a,b\nNamed by hand,lens\n', { mapping: { name: 'a' }, defaultKind: 'filter' });
    expect(p.rows[0]?.input).toMatchObject({ name: 'Named by hand', kind: 'filter' });
  });

  it.each([
    ['nothing', ''],
    ['bytes that are no text', Buffer.from([0, 1, 2, 0, 255, 0])],
  ])('refuses %s', async (_, content) => {
    const response = await t.http.post(routes.importPreview).send({ fileBase64: base64(content) });
    expect([400, 422]).toContain(response.status);
    expect(response.body.detail).toBeTruthy();
  });

  it('takes 10,000 rows in one go', async () => {
    const rows = Array.from({ length: 10_000 }, (_, i) => `Bulk ${i},${['lens', 'filter', 'body'][i % 3]}`);
    await confirm(`name,kind\n${rows.join('\n')}\n`).expect(201, { imported: 10_000 });
    expect(await total('Bulk')).toBe(10_000);
  });
});

describe('the shelf as CSV', () => {
  it('guards what a spreadsheet would run, and reads its own file back unchanged', async () => {
    await confirm('name,kind,notes\n"=HYPERLINK(""http://x"")",lens,+1 sharp\n').expect(201);
    const { text, headers } = await t.http.get(routes.gearExport).expect(200);
    expect(headers['content-type']).toMatch(/text\/csv; charset=utf-8/);
    const table = Papa.parse<Record<string, string>>(text.slice(1), { header: true, skipEmptyLines: true }).data;
    const row = table.find((r) => r.name?.includes('HYPERLINK'))!;
    expect(row.name).toBe(`'=HYPERLINK("http://x")`);
    expect(row.notes).toBe(`'+1 sharp`);
    const again = await preview(`name,kind,notes\n${Papa.unparse([[row.name, row.kind, row.notes]])}\n`);
    expect(again.rows[0]?.input).toMatchObject({ name: '=HYPERLINK("http://x")', notes: '+1 sharp' });
  });

  it('can be imported again whole', async () => {
    const { text } = await t.http.get(routes.gearExport).expect(200);
    const p = await preview(text);
    expect(p.bad).toBe(0);
    expect(p.total).toBe((await t.http.get(routes.gear)).body.total);
  });
});
