import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { decode, decoded } from './decode.js';
import { guessDelimiter } from './delimiter.js';
import { guarded, unguarded } from './formula.js';
import { csvRows, CsvRows, LONGEST_RECORD, MOST_COLUMNS } from './rows.js';
import { BYTE_ORDER_MARK, csvLines } from './write.js';

const cellsOf = (text: string, delimiter = ',') => csvRows(text, delimiter).map((row) => row.cells ?? row.fault);

describe('records of a CSV file', () => {
  it.each([
    // The examples of RFC 4180, section 2, with what it says of each.
    [
      '1. each record on its own line',
      'aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '2. the last may have no line end',
      'aaa,bbb,ccc\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['4. spaces are part of a cell', 'aaa, bbb ,ccc', [['aaa', ' bbb ', 'ccc']]],
    [
      '5. cells in quotation marks',
      '"aaa","bbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '6. line breaks in them',
      '"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'b\nbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['7. quotation marks in them', '"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]],
  ])('%s', (_, text, rows) => {
    expect(cellsOf(text)).toEqual(rows);
  });

  it('end in any way, and blank lines are passed over', () => {
    expect(cellsOf('a,b\rc,d\n\n , \r\ne,f')).toEqual([
      ['a', 'b'],
      ['c', 'd'],
      ['e', 'f'],
    ]);
  });

  it('set one line aside where a quotation mark is not closed, with its number, and go on after it', () => {
    const text = `at,t\n1,2\n"3,4\n${Array.from({ length: 100 }, (_, i) => `${i},5`).join('\n')}\n`;
    const rows = csvRows(text, ',');
    expect(rows.filter((row) => row.fault)).toEqual([{ line: 3, cells: null, fault: 'open-quote', text: '"3,4' }]);
    expect(rows.filter((row) => row.cells)).toHaveLength(102);
    expect(rows.at(-1)).toMatchObject({ line: 103, cells: ['99', '5'] });
    // At the end of the file as well.
    expect(csvRows('a,b\n"c,d\ne,f\n', ',').map(({ line, fault }) => [line, fault])).toEqual([
      [1, null],
      [2, 'open-quote'],
      [3, null],
    ]);
  });

  it('take a quotation mark inside a cell as the letter it is: inches', () => {
    expect(cellsOf('Tube 5",lens\nTube 6",lens\n')).toEqual([
      ['Tube 5"', 'lens'],
      ['Tube 6"', 'lens'],
    ]);
  });

  it('are refused where they are endless or far too wide, before they take memory', () => {
    const rows = csvRows(`a,b\n${'x'.repeat(LONGEST_RECORD * 3)}\n${','.repeat(MOST_COLUMNS)}x\nc,d\n`, ',');
    expect(rows.map(({ line, fault }) => [line, fault])).toEqual([
      [1, null],
      [2, 'too-long'],
      [3, 'too-wide'],
      [4, null],
    ]);
  });

  it('come out the same however the file is cut into pieces', () => {
    const text = 'a,"b ""1""\r\nc",d\r\n\r\ne,f,g\rh,"i\n';
    const whole = csvRows(text, ',');
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 40 }), (sizes) => {
        const reader = new CsvRows(',');
        const rows = [];
        let at = 0;
        for (const size of [...sizes, text.length]) {
          rows.push(...reader.push(text.slice(at, at + size)));
          at += size;
        }
        rows.push(...reader.end());
        expect(rows).toEqual(whole);
      }),
    );
  });

  it('agree with a reader that is widely used, on whatever it writes', () => {
    const cell = fc.stringMatching(/^[a-z0-9",;\n' =]{0,12}$/);
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, fc.constant('x')), { minLength: 1, maxLength: 8 }), (table) => {
        expect(cellsOf(Papa.unparse(table, { newline: '\r\n' }))).toEqual(table);
      }),
    );
  });
});

describe('text of a file', () => {
  const TEXT = 'at;Temperatur °C;Feuchte %\n01.03.2026;21,5;48\n';
  it.each([
    ['UTF-8', Buffer.from(TEXT)],
    ['UTF-8', Buffer.from(BYTE_ORDER_MARK + TEXT)],
    ['UTF-16', Buffer.from(BYTE_ORDER_MARK + TEXT, 'utf16le')],
    ['UTF-16', Buffer.from(BYTE_ORDER_MARK + TEXT, 'utf16le').swap16()],
    ['UTF-16', Buffer.from(TEXT, 'utf16le')],
    ['Windows-1252', Buffer.from(TEXT, 'latin1')],
  ])('is read as %s, whole and in pieces', async (encoding, bytes) => {
    expect(decode(bytes)).toEqual({ text: TEXT, encoding });
    for (const size of [64, 33, bytes.length]) {
      async function* pieces() {
        for (let at = 0; at < bytes.length; at += size) yield Promise.resolve(bytes.subarray(at, at + size));
      }
      let text = '';
      for await (const part of decoded(pieces())) text += part;
      expect(text).toBe(TEXT);
    }
  });

  it('that is cut in the middle of a letter is still UTF-8', () => {
    const bytes = Buffer.from('Grad °C und 🌡');
    expect(decode(bytes.subarray(0, bytes.length - 2), true)).toEqual({ text: 'Grad °C und ', encoding: 'UTF-8' });
  });
});

describe('the delimiter', () => {
  it.each([
    [';', 'a;b;c\n1,5;2,5;3\n'],
    ['\t', 'a\tb\n1\t2\n'],
    ['|', 'a|b\n1|2\n'],
    [',', 'a,b\n1,2\n'],
    [',', 'only one column\nx\n'],
  ])('is %j', (delimiter, text) => {
    expect(guessDelimiter(text)).toBe(delimiter);
  });
});

describe('a cell that a spreadsheet would run', () => {
  it.each([
    ['=1', "'=1"],
    ["'=1", "''=1"],
    ['-20', "'-20"],
    ['a;=cmd', "a;'=cmd"],
    ['plain', 'plain'],
    ["it's", "it's"],
  ])('%s goes out as %s', (text, out) => {
    expect(guarded(text)).toBe(out);
    expect(unguarded(out)).toBe(text);
  });

  it('never begins like a formula, wherever a spreadsheet cuts, and comes back as it was', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[=+\-@'";, \ta1]{0,12}$/), (text) => {
        expect(unguarded(guarded(text))).toBe(text);
        for (const cut of [';', '\t']) for (const cell of guarded(text).split(cut)) expect(cell.trimStart()).not.toMatch(/^[=+\-@]/);
        const line = csvLines([[text]]);
        expect(unguarded(Papa.parse<string[]>(line).data[0]![0]!)).toBe(text);
      }),
    );
  });
});
