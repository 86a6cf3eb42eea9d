import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { TestApp } from './testApp.js';

/** A PDF as another library reads it: what it says of itself, the text of each page, and how many pictures it draws. */
export async function readPdf(bytes: Buffer) {
  const doc = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const { info } = (await doc.getMetadata()) as { info: { Title?: string; CreationDate?: string } };
  const pages: string[] = [];
  let pictures = 0;
  for (let n = 1; n <= doc.numPages; n++) {
    const page = await doc.getPage(n);
    const { items } = await page.getTextContent();
    pages.push(
      items
        .flatMap((item) => ('str' in item ? [item.str] : []))
        .filter((text) => text.trim() !== '')
        .join(' '),
    );
    pictures += (await page.getOperatorList()).fnArray.filter((op) => op === OPS.paintImageXObject).length;
  }
  return { title: info.Title, created: info.CreationDate, pages, pictures };
}

/** A PDF as the program answers it, read. */
export async function fetchPdf({ http }: Pick<TestApp, 'http'>, route: string): ReturnType<typeof readPdf> {
  const answer = await http
    .get(route)
    .buffer()
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    });
  const type = String(answer.headers['content-type']);
  if (type !== 'application/pdf') throw new Error(`${route} answered ${type}`);
  return readPdf(answer.body as Buffer);
}
