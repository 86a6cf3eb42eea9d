import { guessMapping } from '../headings.js';

/** In which form a list came. */
export type ListForm = 'csv' | 'xlsx' | 'ods';

/** A list as it was read: one row for each line below its headings. */
export type ListFile = {
  form: ListForm;
  /** Of CSV: how its letters are written, and what parts its cells. */
  encoding: string;
  delimiter: string;
  columns: string[];
  rows: { line: number; cells: Record<string, string> }[];
  notices: string[];
};
/** What is written into a cell: a number stays one. */
export type Told = string | number;
/** A line of a list, before anybody knows what it is. */
export type Line = { line: number; cells: readonly string[] };

/** Above its headings a list may have a title, a date, headings over several columns: so many lines are looked through. */
const LOOKED_THROUGH = 12;
const isBlank = ({ cells }: Line): boolean => cells.every((cell) => cell === '');

/** Headings may be empty or stand twice; each column gets a name of its own. */
function nameColumns(headings: readonly string[]): string[] {
  const taken = new Set<string>();
  return headings.map((heading, i) => {
    const base = heading.replace(/\s+/g, ' ').trim() || `column ${i + 1}`;
    let name = base;
    for (let n = 2; taken.has(name); n += 1) name = `${base} (${n})`;
    taken.add(name);
    return name;
  });
}

/** One word alone may stand anywhere: a line of things has a lens in it, too. */
const MEANS_ENOUGH = 2;
/** Which line holds the headings: of the first ones that whose words mean most to us; the very first where none means more. */
function headingsOf(lines: readonly Line[]): number {
  const meant = lines.slice(0, LOOKED_THROUGH).map(({ cells }) => Object.keys(guessMapping(nameColumns(cells))).length);
  const most = Math.max(...meant);
  return most >= MEANS_ENOUGH ? meant.indexOf(most) : 0;
}

/** What a line of sums is called in lists. */
const SUMS = /^(grand |sub)?totals?\b|^sums?\b|^(zwischen|gesamt)?summe\b|^gesamt\b|^somme\b|^total(es)?\b|^suma\b/i;
const HAS_LETTERS = /\p{L}{4,}/u;
/** A line of sums: it is called so, and beside that has nothing but numbers. */
function isOfSums({ cells }: Line): boolean {
  const told = cells.filter((cell) => cell !== '');
  const [first, ...rest] = told;
  return first !== undefined && SUMS.test(first) && first.length < 30 && rest.length > 0 && !rest.some((cell) => HAS_LETTERS.test(cell));
}

/** Lines as a table: what stands above the headings, blank lines and sums are no rows of it. Null where nothing is left to be headings. */
export function tableOf(all: readonly Line[], told: readonly string[]): Pick<ListFile, 'columns' | 'rows' | 'notices'> | null {
  const lines = all.filter((line) => !isBlank(line));
  const at = headingsOf(lines);
  const headings = lines[at];
  if (!headings) return null;
  const columns = nameColumns(headings.cells);
  const below = lines.slice(at + 1);
  const sums = below.filter(isOfSums);
  const rows = below.filter((line) => !isOfSums(line));
  const tooLong = rows.filter(({ cells }) => cells.slice(columns.length).some((cell) => cell !== '')).length;
  return {
    columns,
    notices: [
      ...told,
      ...(at > 0 ? [`The headings stand in line ${headings.line}; what stands above them was left out.`] : []),
      ...sums.map(({ line }) => `Line ${line} is one of sums; it was left out.`),
      ...(tooLong > 0 ? [`${tooLong} rows have more cells than the heading line; the extra cells are left out.`] : []),
    ],
    rows: rows.map(({ line, cells }) => ({ line, cells: Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? ''])) })),
  };
}
