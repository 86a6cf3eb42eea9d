import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

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
