import { routes, type ImportPreview, type Shelf } from '@bright-keeper/contract';
import { buffer } from 'node:stream/consumers';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { LIMITS } from '../limits.js';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const send = (bytes: Buffer, more: object = {}) =>
  t.http.post(routes.importPreview).send({ fileBase64: bytes.toString('base64'), ...more });
const preview = async (bytes: Buffer, more = {}): Promise<ImportPreview> => (await send(bytes, more).expect(200)).body as ImportPreview;

/** A packed file of these parts. */
async function packed(parts: Record<string, string | Buffer>): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, content] of Object.entries(parts))
    zip.addBuffer(Buffer.from(content as string), name, { compress: name !== 'mimetype' });
  zip.end();
  return buffer(zip.outputStream);
}

const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
/**
 * A workbook written by hand as ECMA-376 part 1 has it: shared and inline strings, a number, a day as its serial number with
 * a built-in date format (numFmtId 14), a boolean, a formula with its kept result, merged cells, and gaps between cells.
 */
const workbook = (rows: string, strings: readonly string[]) =>
  packed({
    '[Content_Types].xml': `<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/></Types>`,
    '_rels/.rels': `<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="${RELATIONS}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `<?xml version="1.0"?><workbook xmlns="${MAIN}" xmlns:r="${RELATIONS}"><sheets><sheet name="Shelf" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="${RELATIONS}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${RELATIONS}/sharedStrings" Target="sharedStrings.xml"/><Relationship Id="rId3" Type="${RELATIONS}/styles" Target="styles.xml"/></Relationships>`,
    'xl/styles.xml': `<?xml version="1.0"?><styleSheet xmlns="${MAIN}"><fonts count="1"><font/></fonts><fills count="1"><fill/></fills><borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>`,
    'xl/sharedStrings.xml': `<?xml version="1.0"?><sst xmlns="${MAIN}" count="${strings.length}" uniqueCount="${strings.length}">${strings.map((s) => `<si><t>${s}</t></si>`).join('')}</sst>`,
    'xl/worksheets/sheet1.xml': `<?xml version="1.0"?><worksheet xmlns="${MAIN}"><sheetData>${rows}</sheetData><mergeCells count="1"><mergeCell ref="A1:E1"/></mergeCells></worksheet>`,
  });

const ODS = 'application/vnd.oasis.opendocument.spreadsheet';
const NAMES =
  'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:dc="http://purl.org/dc/elements/1.1/"';
/** A document written by hand as ISO/IEC 26300 has it. */
const document = (rows: string, head = '') =>
  packed({
    mimetype: ODS,
    'content.xml': `<?xml version="1.0" encoding="UTF-8"?>${head}<office:document-content ${NAMES} office:version="1.2"><office:body><office:spreadsheet><table:table table:name="Shelf">${rows}</table:table><table:table table:name="Other"><table:table-row><table:table-cell><text:p>not ours</text:p></table:table-cell></table:table-row></table:table></office:spreadsheet></office:body></office:document-content>`,
  });
const text = (words: string, more = '') =>
  `<table:table-cell office:value-type="string"${more}><text:p>${words}</text:p></table:table-cell>`;
const row = (...cells: string[]) => `<table:table-row>${cells.join('')}</table:table-row>`;

describe('a list as a spreadsheet', () => {
  it('XLSX: a title over merged cells, shared strings, numbers, a day, yes and no, and what a formula came to', async () => {
    const strings = [
      'My shelf',
      'Name',
      'Kind',
      'Bought',
      'Paid',
      'Weather sealed',
      'Corvane 35/2',
      'lens',
      'Skerrow M2',
      'mirrorless body',
    ];
    const s = (cell: string, i: number) => `<c r="${cell}" t="s"><v>${i}</v></c>`;
    const file = await workbook(
      `<row r="1">${s('A1', 0)}</row>
       <row r="3">${s('A3', 1)}${s('B3', 2)}${s('C3', 3)}${s('D3', 4)}${s('E3', 5)}</row>
       <row r="4">${s('A4', 6)}${s('B4', 7)}<c r="C4" s="1"><v>43831</v></c><c r="D4"><v>1250.5</v></c><c r="E4" t="b"><v>1</v></c></row>
       <row r="5">${s('A5', 8)}${s('B5', 9)}<c r="D5"><f>SUM(D4)*2</f><v>2501</v></c></row>
       <row r="6"><c r="A6" t="inlineStr"><is><t>=1+1</t></is></c><c r="B6" t="inlineStr"><is><t>filter</t></is></c></row>`,
      strings,
    );
    const p = await preview(file);
    expect(p).toMatchObject({ form: 'xlsx', total: 3, bad: 0, columns: ['Name', 'Kind', 'Bought', 'Paid', 'Weather sealed'] });
    // Day 43831 of the 1900 date system is 1 January 2020 (ECMA-376 part 1, 18.17.4).
    expect(p.rows.map(({ line, input }) => [line, input!.name, input!.acquiredOn, input!.particulars!.paid])).toEqual([
      [4, 'Corvane 35/2', '2020-01-01', 1250.5],
      [5, 'Skerrow M2', null, 2501],
      [6, '=1+1', null, undefined],
    ]);
    expect(p.rows[0]!.input!.traits.weatherSealed).toBe(true);
  });

  it('ODS: repeated and covered cells, paragraphs, remarks, typed values, and a sheet that ends a million rows further down', async () => {
    const file = await document(
      [
        row(text('Name'), text('Kind'), text('Notes'), text('Bought'), text('Paid'), text('Weather sealed')),
        row(
          `<table:table-cell office:value-type="string"><office:annotation><dc:date>2026-01-01</dc:date><text:p>a remark</text:p></office:annotation><text:p>Corvane<text:s text:c="1"/>35/2</text:p></table:table-cell>`,
          text('lens'),
          `<table:table-cell office:value-type="string"><text:p>first line</text:p><text:p>second &amp; last</text:p></table:table-cell>`,
          `<table:table-cell office:value-type="date" office:date-value="2020-01-01T00:00:00"><text:p>01.01.20</text:p></table:table-cell>`,
          `<table:table-cell office:value-type="currency" office:currency="EUR" office:value="1250.5"><text:p>1.250,50 €</text:p></table:table-cell>`,
          `<table:table-cell office:value-type="boolean" office:boolean-value="true"><text:p>WAHR</text:p></table:table-cell>`,
        ),
        `<table:table-row table:number-rows-repeated="2">${text('Equal filter')}${text('filter')}<table:table-cell table:number-columns-repeated="2"/><table:table-cell office:value-type="float" office:value="40" table:formula="of:=20*2"><text:p>40</text:p></table:table-cell><table:covered-table-cell/></table:table-row>`,
        `<table:table-row table:number-rows-repeated="1048570"><table:table-cell table:number-columns-repeated="16384"/></table:table-row>`,
      ].join(''),
    );
    const p = await preview(file);
    expect(p).toMatchObject({ form: 'ods', total: 3, bad: 0 });
    expect(p.rows.map((r) => [r.line, r.input!.name, r.input!.particulars!.paid])).toEqual([
      [2, 'Corvane 35/2', 1250.5],
      [3, 'Equal filter', 40],
      [4, 'Equal filter', 40],
    ]);
    expect(p.rows[0]!.input).toMatchObject({
      notes: 'first line\nsecond & last',
      acquiredOn: '2020-01-01',
      traits: { weatherSealed: true },
    });
  });

  it.each([
    ['a packed file of something else', () => packed({ 'readme.txt': 'hello' })],
    ['a workbook without a sheet', () => packed({ 'xl/workbook.xml': '<workbook/>' })],
    ['a document that breaks off', () => packed({ mimetype: ODS, 'content.xml': '<office:document-content><table:table>' })],
    ['the beginning of a packed file', async () => (await packed({ 'xl/workbook.xml': '<workbook/>' })).subarray(0, 40)],
    ['an empty sheet', () => document('')],
    [
      'one that unpacks to more than may be',
      () => packed({ mimetype: ODS, 'content.xml': Buffer.alloc(LIMITS.list.unpackedBytes + 1, 32) }),
    ],
    [
      'one of too many parts',
      () => packed({ ...Object.fromEntries(Array.from({ length: LIMITS.list.parts + 1 }, (_, i) => [`xl/${i}.xml`, ''])) }),
    ],
    [
      'words that stand for a thousand million words',
      () =>
        document(
          row(text('&j;')),
          `<!DOCTYPE x [<!ENTITY a "ha">${'bcdefghij'
            .split('')
            .map((e, i) => `<!ENTITY ${e} "${`&${'abcdefghi'[i]};`.repeat(10)}">`)
            .join('')}]>`,
        ),
    ],
  ])('%s is refused with what to do, and nothing comes of it', async (_, make) => {
    const { status, body } = await send(await make());
    expect([status, (body as { code: string }).code]).toEqual([422, 'import-unreadable']);
    expect((body as { detail: string }).detail).toMatch(/XLSX/);
  });

  it('rows beyond the limit are refused, and columns beyond it not read', async () => {
    const many = await document(
      row(text('Name'), text('Kind')) +
        `<table:table-row table:number-rows-repeated="1000000">${text('Endless')}${text('lens')}</table:table-row>`,
    );
    expect((await send(many).expect(422)).body.detail).toMatch(/at most 50000/);
    const wide = await document(
      row(text('Name'), text('Kind')) +
        row(
          text('Wide'),
          text('lens'),
          `<table:table-cell table:number-columns-repeated="100000" office:value-type="string"><text:p>x</text:p></table:table-cell>`,
        ),
    );
    const p = await preview(wide);
    expect(p).toMatchObject({ good: 1 });
    expect(p.notices.join()).toMatch(/more cells/);
  });
});

describe('the shelf as a spreadsheet', () => {
  beforeAll(async () => {
    const place = await t.addPlace({ name: 'Oak & iron cupboard' });
    const { id } = await t.add('Corvane <35>/2  "the good one"', {
      notes: 'first line\nsecond  line\n=1+1',
      acquiredOn: '2019-03-01',
      traits: { weatherSealed: true, yearMade: 1998, value: 1250.5, coating: 'multi' },
      particulars: {
        serial: '0099',
        tags: ['walks', 'old glass'],
        threadMm: 52,
        massG: 310.25,
        condition: 'as-new',
        warrantyUntil: '2031-03-01',
      },
    });
    await t.http.put(routes.itemPlace(id)).send({ placeId: place.id, since: null }).expect(200);
    await t.add('Six filters', { kind: 'filter', particulars: { count: 6, paid: 120 } });
    await t.add('Cap', { kind: 'accessory', particulars: { part: 'front-cap', threadMm: 52 } });
  });

  it.each([
    ['xlsx', routes.gearExportXlsx, /spreadsheetml/],
    ['ods', routes.gearExportOds, /opendocument/],
  ] as const)('%s comes in again and says nothing new of anything', async (form, route, type) => {
    const { body, headers } = await t.http
      .get(route)
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200);
    expect(headers['content-type']).toMatch(type);
    const p = await preview(body as Buffer);
    const { total } = (await t.http.get(routes.gear)).body as Shelf;
    expect(p.rows.flatMap((r) => [...Object.values(r.errors), ...Object.values(r.told)])).toEqual([]);
    expect(p).toMatchObject({ form, total, same: total, updates: 0, bad: 0 });
    // A number stays one for whoever opens it, and is never text.
    const zip = await yauzl.fromBufferPromise(body as Buffer, { lazyEntries: true });
    for await (const entry of zip.eachEntry()) {
      if (!/^(content|xl\/worksheets\/sheet1)\.xml$/.test(entry.fileName)) continue;
      const xml = (await buffer(await zip.openReadStreamPromise(entry))).toString();
      expect(xml).toContain('310.25');
      expect(xml).not.toMatch(/<f>|table:formula/);
    }
  });
});
