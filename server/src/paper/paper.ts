import { createRequire } from 'node:module';

type Document = PDFKit.PDFDocument;
type Font = { hasGlyphForCodePoint: (codePoint: number) => boolean };
type Weight = 'plain' | 'bold';

/** One face has the letters of most languages that are written from left to right; where it has none, this stands. */
const { resolve } = createRequire(import.meta.url);
const FONTS: Record<Weight, string> = {
  plain: resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
  bold: resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf'),
};
const NO_LETTER = '\u25a1';
const NO_LETTER_NOTE = `${NO_LETTER} stands for a letter that this file has not: the page prints it from the browser.`;

/** Of a page of A4 (ISO 216), in points of 1/72 inch. */
const MARGIN = 48;
const [SMALL, TEXT, HEADING, TITLE] = [8, 9.5, 12, 18];
const GAP = 4;
const [INK, SOFT, LINE] = ['#1b1b1b', '#555555', '#bbbbbb'];
const PICTURE = { side: 170, gap: 10 };
/** After how many lines others may have the server's thread. */
const LINES_A_BREATH = 25;
const breath = () => new Promise<void>((resolve) => setImmediate(resolve));

/** A column of a table: its heading, its share of the width, and whether it holds numbers. */
export type Column = { head: string; share: number; isNumber?: boolean };
const FACTS: readonly Column[] = [
  { head: '', share: 1 },
  { head: '', share: 3 },
];
type Line = { cells: readonly string[]; isBold?: boolean };

/** Something printed, as a PDF (ISO 32000): told from top to bottom, on as many pages as it takes. */
export class Paper {
  private lacksLetters = false;
  private readonly letters: Font;

  private constructor(private readonly doc: Document) {
    // The library keeps its face to itself, and would draw an empty box for what the face has not.
    this.letters = (doc as unknown as { _font: { font: Font } })._font.font;
  }

  /** @param at when it is made, which is kept in the file. */
  static async begin(title: string, at: Date): Promise<Paper> {
    // It comes with the first file that is asked for: most starts see none.
    const { default: PDFDocument } = await import('pdfkit');
    const doc = new PDFDocument({
      size: 'A4',
      margin: MARGIN,
      bufferPages: true,
      lang: 'en',
      displayTitle: true,
      font: FONTS.plain,
      info: { Title: title, CreationDate: at, ModDate: at },
    });
    const paper = new Paper(doc);
    paper.say(title, { size: TITLE, weight: 'bold' });
    return paper;
  }

  /** A line of text, or as many as it takes. */
  text(words: string): void {
    this.say(words, { size: TEXT });
  }

  note(words: string): void {
    this.say(words, { size: SMALL, colour: SOFT });
  }

  heading(words: string): void {
    this.doc.moveDown(0.6);
    this.keepTogether(HEADING * 4);
    this.say(words, { size: HEADING, weight: 'bold' });
  }

  /** What follows begins on a page of its own. */
  page(): void {
    this.doc.addPage();
  }

  /** Names and what is told of each, side by side. */
  facts(facts: readonly (readonly [string, string])[]): void {
    for (const fact of facts) this.line(FACTS, { cells: fact }, [SOFT, INK]);
  }

  /** A table; its headings stand again on every page. */
  async table(columns: readonly Column[], lines: readonly Line[]): Promise<void> {
    const heads = () => this.line(columns, { cells: columns.map(({ head }) => head), isBold: true });
    heads();
    for (const [i, line] of lines.entries()) {
      if (i % LINES_A_BREATH === LINES_A_BREATH - 1) await breath();
      if (this.doc.y + this.heightOf(columns, line) > this.bottom) {
        this.doc.addPage();
        heads();
      }
      this.rule();
      this.line(columns, line);
    }
  }

  /** Pictures side by side, each with a word below; of one that cannot be drawn its frame. */
  async pictures(pictures: readonly { jpeg: Buffer | null; words: string }[]): Promise<void> {
    const { side, gap } = PICTURE;
    const perRow = Math.max(1, Math.floor((this.width + gap) / (side + gap)));
    for (let from = 0; from < pictures.length; from += perRow) {
      this.doc.moveDown(0.5);
      this.keepTogether(side + 3 * SMALL);
      const top = this.doc.y;
      for (const [i, { jpeg, words }] of pictures.slice(from, from + perRow).entries()) {
        const x = MARGIN + i * (side + gap);
        if (jpeg) this.doc.image(jpeg, x, top, { fit: [side, side], align: 'center', valign: 'center' });
        else this.doc.rect(x, top, side, side).lineWidth(0.5).strokeColor(LINE).stroke();
        this.doc
          .font(FONTS.plain)
          .fontSize(SMALL)
          .fillColor(SOFT)
          .text(this.known(words), x, top + side + 2, { width: side, height: 2 * SMALL, ellipsis: true });
      }
      this.doc.x = MARGIN;
      this.doc.y = top + side + 3 * SMALL;
      await breath();
    }
  }

  /** @returns the file, each page with its number. */
  async end(): Promise<Buffer> {
    if (this.lacksLetters) this.note(NO_LETTER_NOTE);
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = start; i < start + count; i++) {
      this.doc.switchToPage(i);
      // The number stands in the margin, where a text begins a page of its own otherwise.
      this.doc.page.margins.bottom = 0;
      this.doc
        .font(FONTS.plain)
        .fontSize(SMALL)
        .fillColor(SOFT)
        .text(`${i + 1} of ${count}`, MARGIN, this.doc.page.height - MARGIN + GAP, { width: this.width, align: 'right', lineBreak: false });
    }
    const parts: Buffer[] = [];
    const whole = new Promise<Buffer>((resolve, reject) => {
      this.doc.on('data', (part: Buffer) => parts.push(part));
      this.doc.on('end', () => resolve(Buffer.concat(parts)));
      this.doc.on('error', reject);
    });
    this.doc.end();
    return whole;
  }

  private get width(): number {
    return this.doc.page.width - 2 * MARGIN;
  }

  private get bottom(): number {
    return this.doc.page.height - MARGIN;
  }

  private say(words: string, { size, weight = 'plain', colour = INK }: { size: number; weight?: Weight; colour?: string }): void {
    this.doc
      .font(FONTS[weight])
      .fontSize(size)
      .fillColor(colour)
      .text(this.known(words), MARGIN, this.doc.y, { width: this.width, paragraphGap: GAP });
  }

  private keepTogether(height: number): void {
    if (this.doc.y + height > this.bottom) this.doc.addPage();
  }

  private rule(): void {
    this.doc
      .moveTo(MARGIN, this.doc.y)
      .lineTo(MARGIN + this.width, this.doc.y)
      .lineWidth(0.5)
      .strokeColor(LINE)
      .stroke();
  }

  private heightOf(columns: readonly Column[], { cells, isBold = false }: Line): number {
    const shares = sharesOf(columns, this.width);
    this.doc.font(FONTS[isBold ? 'bold' : 'plain']).fontSize(TEXT);
    const heights = cells.map((words, i) => this.doc.heightOfString(this.known(words) || ' ', { width: shares[i]!.width - 2 * GAP }));
    return Math.max(...heights) + GAP;
  }

  private line(columns: readonly Column[], line: Line, colours: readonly string[] = []): void {
    const height = this.heightOf(columns, line);
    // A note of many pages is taller than a page: it begins where it stands and goes on by itself.
    if (height < this.bottom - MARGIN) this.keepTogether(height);
    const top = this.doc.y + GAP / 2;
    let page = this.doc.page;
    let end = top;
    for (const [i, { x, width: own }] of sharesOf(columns, this.width).entries()) {
      this.doc
        .font(FONTS[line.isBold ? 'bold' : 'plain'])
        .fontSize(TEXT)
        .fillColor(colours[i] ?? INK)
        .text(this.known(line.cells[i] ?? ''), MARGIN + x + GAP, top, {
          width: own - 2 * GAP,
          align: columns[i]!.isNumber ? 'right' : 'left',
        });
      end = this.doc.page === page ? Math.max(end, this.doc.y) : this.doc.y;
      page = this.doc.page;
    }
    this.doc.x = MARGIN;
    this.doc.y = end + GAP / 2;
  }

  /** What this face has no letter for is marked, and said at the end. */
  private known(words: string): string {
    let known = '';
    for (const letter of words.normalize('NFC')) {
      const has = letter === '\n' || this.letters.hasGlyphForCodePoint(letter.codePointAt(0)!);
      if (!has) this.lacksLetters = true;
      known += has ? letter : NO_LETTER;
    }
    return known;
  }
}

/** Where each column begins, and how wide it is. */
function sharesOf(columns: readonly Column[], width: number): { x: number; width: number }[] {
  const all = columns.reduce((sum, { share }) => sum + share, 0);
  let x = 0;
  return columns.map(({ share }) => {
    const own = { x, width: (width * share) / all };
    x += own.width;
    return own;
  });
}
