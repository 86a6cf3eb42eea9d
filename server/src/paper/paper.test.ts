import { describe, expect, it } from 'vitest';
import sharp from 'sharp';
import { readPdf } from '../testing/readPdf.js';
import { Paper } from './paper.js';

const AT = new Date('2026-03-10T10:00:00Z');
const COLUMNS = [
  { head: 'Thing', share: 3 },
  { head: 'Paid', share: 1, isNumber: true },
];

/** Read back by a library of other makers (pdf.js). */
describe('a paper', () => {
  it('says what it is, when it was made, and what was written, in order', async () => {
    const paper = await Paper.begin('Inventory', AT);
    paper.text('As of a day.');
    paper.heading('Cabinet');
    paper.facts([['Serial number', 'A-1']]);
    const { title, created, pages } = await readPdf(await paper.end());
    expect([title, created, pages.length]).toEqual(['Inventory', 'D:20260310100000Z', 1]);
    expect(pages[0]).toMatch(/^Inventory As of a day\. Cabinet Serial number A-1 1 of 1$/);
  });

  it('goes on as long as a table does, with its headings on every page and no line lost', async () => {
    const paper = await Paper.begin('Long', AT);
    const lines = Array.from({ length: 400 }, (_, i) => ({ cells: [`Thing no. ${i}.`, `${i} EUR`] }));
    await paper.table(COLUMNS, lines);
    const { pages } = await readPdf(await paper.end());
    expect(pages.length).toBeGreaterThan(5);
    for (const [i, text] of pages.entries()) {
      expect(text).toContain('Thing Paid');
      expect(text).toContain(`${i + 1} of ${pages.length}`);
    }
    const told = pages.join(' ');
    expect(lines.filter(({ cells }) => !told.includes(`${cells[0]} ${cells[1]}`))).toEqual([]);
  });

  it('prints letters of other scripts, and says where it has none', async () => {
    const plain = await Paper.begin('Létters', AT);
    plain.text('Ångström, Łódź, Ωμέγα, Зенит – “ƒ/2”');
    const read = (await readPdf(await plain.end())).pages[0]!;
    expect(read).toContain('Ångström, Łódź, Ωμέγα, Зенит – “ƒ/2”');
    expect(read).not.toContain('stands for a letter');
    const other = await Paper.begin('Others', AT);
    other.text('レンズ and a star');
    expect((await readPdf(await other.end())).pages[0]).toContain('□□□ and a star □ stands for a letter');
  });

  it('takes a note that is longer than a page, and what comes after it', async () => {
    const paper = await Paper.begin('Notes', AT);
    paper.facts([
      ['Notes', Array.from({ length: 300 }, (_, i) => `Line ${i}.`).join('\n')],
      ['Kind', 'Lens'],
    ]);
    const { pages } = await readPdf(await paper.end());
    const told = pages.join(' ');
    expect(pages.length).toBeGreaterThan(3);
    expect(told).toContain('Line 0.');
    expect(told).toContain('Line 299.');
    expect(pages.at(-1)).toMatch(/Line 299\..*Kind Lens/);
  });

  it('shows pictures, each with its word, on as many pages as they take', async () => {
    const jpeg = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#888' } })
      .jpeg()
      .toBuffer();
    const paper = await Paper.begin('Pictures', AT);
    await paper.pictures(Array.from({ length: 20 }, (_, i) => ({ jpeg, words: `Picture: ${i}.jpg` })));
    await paper.pictures([{ jpeg: null, words: 'Picture: broken.jpg (cannot be drawn)' }]);
    const { pages, pictures } = await readPdf(await paper.end());
    expect(pages.length).toBeGreaterThan(1);
    expect(pictures).toBe(20);
    expect(pages.join(' ')).toContain('Picture: 19.jpg');
    expect(pages.at(-1)).toContain('broken.jpg (cannot be drawn)');
  });
});
