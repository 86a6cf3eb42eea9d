import { readCsv } from './csvFile.js';
import { isOds, ODS_PARTS, readOds } from './odsFile.js';
import { type ListFile, tableOf } from './table.js';
import { readXlsx } from './xlsxFile.js';
import { isZip, partsOf } from './zipped.js';

export { writeCsv } from './csvFile.js';
export { writeOdsTable } from './odsFile.js';
export type { ListFile, ListForm, Told } from './table.js';
export { writeXlsxTable } from './xlsxFile.js';

const WORKBOOK = 'xl/workbook.xml';

/** A list of gear in whatever form it comes, known by its bytes; null where it is no table. */
export async function readList(bytes: Buffer): Promise<ListFile | null> {
  if (!isZip(bytes)) return readCsv(bytes);
  const packed = await partsOf(bytes, ODS_PARTS);
  if (!packed) return null;
  const form = isOds(packed.parts) ? 'ods' : packed.names.includes(WORKBOOK) ? 'xlsx' : null;
  if (form === null) return null;
  const lines = form === 'ods' ? readOds(packed.parts) : await readXlsx(bytes);
  const table = lines && tableOf(lines, []);
  return table && { form, encoding: 'UTF-8', delimiter: '', ...table };
}
