import { csvRows } from './rows.js';

export const DELIMITERS = [';', '\t', '|', ','] as const;
export type Delimiter = (typeof DELIMITERS)[number];
/** Enough of a file to guess by. */
const SAMPLE_CHARACTERS = 50_000;
const SAMPLE_ROWS = 40;

/** The delimiter that cuts the most records into the same number of cells, more cells first. */
export function guessDelimiter(text: string): Delimiter {
  const sample = text.slice(0, SAMPLE_CHARACTERS);
  const score = (delimiter: Delimiter): number => {
    const widths = csvRows(sample, delimiter)
      .flatMap((row) => (row.cells ? [row.cells.length] : []))
      .slice(0, SAMPLE_ROWS);
    const width = widths[0] ?? 1;
    return width < 2 ? 0 : (widths.filter((w) => w === width).length / widths.length) * 100 + width;
  };
  const scores = new Map(DELIMITERS.map((d) => [d, score(d)]));
  const best = [...DELIMITERS].sort((a, b) => scores.get(b)! - scores.get(a)!)[0]!;
  return scores.get(best) === 0 ? ',' : best;
}
