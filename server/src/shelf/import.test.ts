import { routes, type ImportPreview, type ItemPage, type Shelf } from '@bright-keeper/contract';
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
    expect(p.rows.filter((r) => !r.input).map((r) => [r.line, Object.keys(r.errors)[0], r.wrong])).toEqual([
      [3, 'name', ['name']],
      [4, 'kind', ['kind']],
      [5, 'year', ['trait:yearMade']],
    ]);
  });

  it('takes what can come and leaves out what cannot; nothing at all where no row can', async () => {
    await confirm('name,kind\nHalf one,lens\n,lens\n').expect(201, { imported: 1, updated: 0, same: 0, leftOut: 1 });
    expect(await total('Half')).toBe(1);
    const bad = await confirm('name,kind\nNone of it,submarine\n,lens\n').expect(422);
    expect(bad.body).toMatchObject({ code: 'import-has-errors', fields: { 'line 3': expect.stringMatching(/name/) } });
    expect(await total('None')).toBe(0);
    await confirm('name,kind\n').expect(422);
    await confirm('name,kind\nWhole one,lens\nWhole two,filter\n').expect(201);
    expect(await total('Whole')).toBe(2);
  });

  it('takes a correction in place of what the file has there', async () => {
    const corrections = { 2: { kind: 'lens' }, 3: { name: 'Named after all', 'trait:yearMade': '1970' } };
    const file = 'name,kind,year\nOdd craft,submarine,1990\n,lens,soon\n';
    expect((await preview(file)).bad).toBe(2);
    const p = await preview(file, { corrections });
    expect(p.rows.map((r) => [r.input?.name, r.input?.kind, r.input?.traits.yearMade])).toEqual([
      ['Odd craft', 'lens', 1990],
      ['Named after all', 'lens', 1970],
    ]);
  });

  it('tells the kind by the words of a row, sets aside what is not asked of it, and says both', async () => {
    const p = await preview('Bezeichnung;Baujahr;Gekauft am;Preis;Wetterschutz\nUV 52 mm;1990;03/2019;€ 1.250,00;ja\n');
    expect(p.rows[0]).toMatchObject({
      isKindGuessed: true,
      input: { kind: 'filter', acquiredOn: '2019-03-01' },
      told: { Baujahr: expect.stringMatching(/1990.*filter/), 'Gekauft am': expect.stringMatching(/2019-03-01/) },
    });
    expect(p.rows[0]!.input!.traits.value).toBe(1250);
  });

  it('takes all rows that are written alike for what one says they are, and a single one for what is said of it', async () => {
    const file = 'name,kind\nOne,Sammlerstück\nTwo,sammlerSTÜCK\nThree,Sammlerstück\nUV 52 mm,\nUV 55 mm,\nNobody knows,\nPlain,lens\n';
    const p = await preview(file);
    expect(p.kinds).toEqual([
      { written: 'Sammlerstück', guessed: null, kind: null, rows: 3 },
      { written: '', guessed: 'filter', kind: 'filter', rows: 2 },
      { written: '', guessed: null, kind: null, rows: 1 },
    ]);
    expect([p.good, p.bad]).toEqual([3, 4]);
    const kinds = [
      { written: 'Sammlerstück', guessed: null, kind: 'accessory' },
      { written: '', guessed: 'filter', kind: 'lens' },
    ];
    const said = await preview(file, { kinds, corrections: { 3: { kind: 'lens' } } });
    expect(said.rows.map((r) => [r.cells.name, r.input?.kind ?? null])).toEqual([
      ['One', 'accessory'],
      ['Two', 'lens'],
      ['Three', 'accessory'],
      ['UV 52 mm', 'lens'],
      ['UV 55 mm', 'lens'],
      ['Nobody knows', null],
      ['Plain', 'lens'],
    ]);
    expect(said.kinds.map(({ kind, rows }) => [kind, rows])).toEqual([
      ['accessory', 2],
      ['lens', 2],
      [null, 1],
    ]);
  });

  it('asks about days that can be read both ways, and not where one of them cannot', async () => {
    const both = 'name,kind,bought\nBoth A,lens,03/04/2019\n';
    expect(await preview(both)).toMatchObject({ areDaysAmbiguous: true, rows: [{ input: { acquiredOn: '2019-04-03' } }] });
    expect(await preview(both, { monthFirst: true })).toMatchObject({ rows: [{ input: { acquiredOn: '2019-03-04' } }] });
    const sure = await preview(`${both}Both B,lens,04/25/2019\n`);
    expect(sure.areDaysAmbiguous).toBe(false);
    expect(sure.rows.map((r) => r.input?.acquiredOn)).toEqual(['2019-03-04', '2019-04-25']);
  });

  it('puts things into the places it names, and says of a place nobody knows that it is none', async () => {
    const place = await t.addPlace({ name: 'Oak cupboard' });
    const file = 'name,kind,location\nPlaced one,lens,oak CUPBOARD\nPlaced two,lens,the attic\n';
    const p = await preview(file);
    expect(p.rows.map((r) => [r.place?.name ?? null, r.told.location ?? ''])).toEqual([
      ['Oak cupboard', ''],
      [null, expect.stringMatching(/the attic.*no place of yours/)],
    ]);
    await confirm(file).expect(201);
    const shelf = (await t.http.get(`${routes.gear}?search=Placed`)).body as Shelf;
    const pages = await Promise.all(shelf.items.map(async (i) => (await t.http.get(routes.item(i.id))).body as ItemPage));
    expect(pages.map((i) => i.place?.id ?? null)).toEqual([place.id, null]);
  });

  it('sets apart what it says is in quarantine, has its neighbours looked at, and lets nothing out because a list says so', async () => {
    const place = await t.addPlace({ name: 'Status shelf' });
    const [sick, beside] = [await t.add('Ailing lens'), await t.add('Beside it')];
    for (const { id } of [sick, beside]) await t.http.put(routes.itemPlace(id)).send({ placeId: place.id, since: null }).expect(200);
    const file =
      'name,kind,place,status\nAiling lens,lens,Status shelf,Quarantäne\nNew and ailing,lens,Status shelf,quarantined\nWell,lens,,in use\nSold one,lens,,verkauft\n';
    const p = await preview(file);
    expect(p.rows.map((r) => [r.fate, r.isolates, r.wrong])).toEqual([
      ['update', true, []],
      ['new', true, []],
      ['new', false, []],
      ['wrong', false, ['status']],
    ]);
    expect(p.rows[3]!.errors.status).toMatch(/Write “in use” or “quarantined”/);
    await confirm(file).expect(201, { imported: 2, updated: 1, same: 0, leftOut: 1 });
    const pageOf = async (id: string) => (await t.http.get(routes.item(id))).body as ItemPage;
    expect(await pageOf(sick.id)).toMatchObject({ status: 'quarantined', place: null });
    expect((await pageOf(beside.id)).due.map(({ code }) => code)).toContain('neighbour-look');
    const { items } = (await t.http.get(`${routes.gear}?search=New and ailing`)).body as Shelf;
    expect(items[0]?.status).toBe('quarantined');
    // The same again changes nothing; that it is in use now is for whoever looked at it to say.
    expect((await preview(file)).rows.map((r) => r.fate)).toEqual(['same', 'same', 'same', 'wrong']);
    const out = await preview('name,kind,status\nAiling lens,lens,in use\n');
    expect(out.rows[0]).toMatchObject({ fate: 'same', told: { status: expect.stringMatching(/stays there/) } });
  });

  it('that comes again changes what is there and doubles nothing', async () => {
    const first = 'name,kind,year,notes\nAgain one,lens,1990,sharp\nAgain two,lens,,\nAgain same,filter,,\nAgain same,filter,,\n';
    await confirm(first).expect(201, { imported: 4, updated: 0, same: 0, leftOut: 0 });
    await confirm(first).expect(201, { imported: 0, updated: 0, same: 4, leftOut: 0 });
    // One more of two that are alike, a year that was not known, and a note that is not taken away by an empty cell.
    const second =
      'name,kind,year,notes\nagain ONE,lens,1990,\nAgain two,lens,1975,\nAgain same,filter,,\nAgain same,filter,,\nAgain same,filter,,\n';
    expect(await preview(second)).toMatchObject({ total: 5, updates: 2, same: 2 });
    await confirm(second).expect(201, { imported: 1, updated: 2, same: 2, leftOut: 0 });
    expect(await total('Again')).toBe(5);
    const shelf = (await t.http.get(`${routes.gear}?search=again`)).body as Shelf;
    expect(shelf.items.find((i) => i.name === 'Again two')!.traits.yearMade).toBe(1975);
    expect(shelf.items.find((i) => i.name === 'again ONE')!.notes).toBe('sharp');
  });

  it('takes an inventory: maker, serial, mount, thread, weight, tags and what was paid, as people write them', async () => {
    const file =
      'Hersteller;Modell;Seriennr;Typ;Anschluss;Filtergewinde;Gewicht;Schlagworte;Kaufpreis;Garantie bis;Zustand;Händler\n' +
      'Corvane;35/2;K 11-204;Objektiv;Arc;⌀ 52 mm;310 g;Reise, studio;1.250,00 €;12.03.31;as new;Flohmarkt\n' +
      'Orrery;M 2;0099;mirrorless body;Arc;;650 g;;;;;\n';
    const p = await preview(file.replace('Seriennr', 'Seriennummer'));
    expect(p.mapping).toMatchObject({ maker: 'Hersteller', serial: 'Seriennummer', mount: 'Anschluss', paid: 'Kaufpreis' });
    // Where no column is called a name, the model is one.
    expect(p.mapping.name).toBe('Modell');
    expect(p.rows.map((r) => [r.fate, r.input?.name, r.input?.particulars])).toEqual([
      [
        'new',
        '35/2',
        {
          maker: 'Corvane',
          serial: 'K 11-204',
          mount: 'Arc',
          threadMm: 52,
          massG: 310,
          tags: ['Reise', 'studio'],
          paid: 1250,
          warrantyUntil: '2031-03-12',
          condition: 'as-new',
          boughtFrom: 'Flohmarkt',
        },
      ],
      // A body takes the mount a lens goes on.
      ['new', 'M 2', { maker: 'Orrery', serial: '0099', takesMount: 'Arc', massG: 650 }],
    ]);
  });

  it('names a thing by maker and model where nothing else does, and sets aside a mount of a filter', async () => {
    const mapping = { maker: 'Brand', model: 'Model', kind: 'Type', mount: 'Mount' };
    const p = await preview('Brand,Model,Type,Mount\nCorvane,Polariser 52,filter,Arc\n', { mapping });
    expect(p.rows[0]).toMatchObject({
      input: { name: 'Corvane Polariser 52', particulars: { maker: 'Corvane', model: 'Polariser 52' } },
      told: { Mount: expect.stringMatching(/left out.*filter/) },
    });
  });

  it('says where a sum is in another currency than the household reckons in', async () => {
    const p = await preview('name,kind,paid,value\nForeign,lens,$ 900,€ 700\n');
    expect(p.rows[0]).toMatchObject({ input: { particulars: { paid: 900 }, traits: { value: 700 } } });
    expect(p.rows[0]!.told).toEqual({ paid: '“$ 900” is in $: the number was taken as it is, as EUR.' });
  });

  it('says which rows have one serial number', async () => {
    const p = await preview('name,kind,serial no\nNumbered A,lens,77-1\nNumbered B,lens,78\nNumbered C,filter,77 1\n');
    expect(p.rows.map((r) => [r.fate, r.told['serial no'] ?? ''])).toEqual([
      ['new', ''],
      ['new', ''],
      ['new', expect.stringMatching(/^Line 2 has the same serial number/)],
    ]);
  });

  it.each([
    ['new', 'new'],
    ['Neuwertig', 'as-new'],
    ['very good', 'used'],
    ['gebraucht', 'used'],
    ['usé', 'worn'],
    ['defekt', 'for-parts'],
    ['For parts', 'for-parts'],
  ])('knows in which state it came: %s', async (word, condition) => {
    expect((await preview(`name,kind,Zustand\nState,lens,${word}\n`)).rows[0]!.input!.particulars).toEqual({ condition });
  });

  it('says what is no weight, no condition and no day, and lets it be corrected there', async () => {
    const file = 'name,kind,weight,condition,warranty\nHeavy one,lens,heavy,shiny,soon\n';
    expect((await preview(file)).rows[0]!.wrong).toEqual(['massG', 'condition', 'warrantyUntil']);
    const right = { 2: { massG: '1,2', condition: 'worn', warrantyUntil: '' } };
    expect((await preview(file, { corrections: right })).rows[0]!.input!.particulars).toEqual({ massG: 1.2, condition: 'worn' });
  });

  it('knows a thing again by its serial number, however it is named now, and none by its name that has another number', async () => {
    await confirm('name,kind,serial\nTwin,lens,AB-1\nTwin,lens,AB-2\n').expect(201, { imported: 2, updated: 0, same: 0, leftOut: 0 });
    const again = 'name,kind,serial\nTwin the second,lens,ab 2\nTwin,lens,AB-3\nTwin,filter,AB-1\n';
    expect((await preview(again)).rows.map((r) => r.fate)).toEqual(['update', 'new', 'new']);
    await confirm(again).expect(201, { imported: 2, updated: 1, same: 0, leftOut: 0 });
    const shelf = (await t.http.get(`${routes.gear}?search=Twin`)).body as Shelf;
    expect(shelf.items.map((i) => `${i.name}, ${i.kind}, ${i.particulars.serial}`)).toEqual(
      expect.arrayContaining(['Twin, lens, AB-1', 'Twin the second, lens, ab 2', 'Twin, lens, AB-3', 'Twin, filter, AB-1']),
    );
  });

  it('leaves what is in quarantine apart, whatever place a list still gives it', async () => {
    await t.addPlace({ name: 'Shared box' });
    const file = 'name,kind,place\nSick one,lens,Shared box\n';
    await confirm(file).expect(201);
    const sick = ((await t.http.get(`${routes.gear}?search=Sick`)).body as Shelf).items[0]!;
    await t.http.put(routes.itemStatus(sick.id)).send({ version: sick.version, status: 'quarantined' }).expect(200);
    expect((await preview(file)).rows[0]).toMatchObject({
      fate: 'same',
      place: null,
      told: { place: expect.stringMatching(/stays apart/) },
    });
    await confirm(file).expect(201, { imported: 0, updated: 0, same: 1, leftOut: 0 });
    expect(((await t.http.get(routes.item(sick.id))).body as ItemPage).place).toBe(null);
  });

  it('skips lines of nothing', async () => {
    expect(await preview('name;kind\nLine one;lens\n;\n\n;\nLine two;lens\n')).toMatchObject({ total: 2, good: 2, bad: 0 });
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
    const p = await preview('a,b\nNamed by hand,lens\n', {
      mapping: { name: 'a' },
      kinds: [{ written: '', guessed: null, kind: 'filter' }],
    });
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
    await confirm(`name,kind\n${rows.join('\n')}\n`).expect(201, { imported: 10_000, updated: 0, same: 0, leftOut: 0 });
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
    // It says nothing new of any of them.
    expect(p).toMatchObject({ same: p.total, updates: 0 });
  });
});
