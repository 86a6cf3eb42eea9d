import type { ErrorEntry, Problem } from '@bright-keeper/contract';

/** Thrown by services for what a person can cause; the filter turns it into a problem document. */
export class ProblemError extends Error {
  readonly problem: Problem;
  constructor(table: Record<string, ErrorEntry>, code: string, more: Partial<Pick<Problem, 'fields' | 'current' | 'detail'>> = {}) {
    const entry = table[code]!;
    super(entry.title);
    this.problem = {
      type: `urn:bright-keeper:problem:${code}`,
      title: entry.title,
      status: entry.status,
      detail: entry.remedy,
      code,
      ...more,
    };
  }
}

/** Keeps the code a known one of its table. */
export const problem = <T extends Record<string, ErrorEntry>>(
  table: T,
  code: keyof T & string,
  more?: ConstructorParameters<typeof ProblemError>[2],
) => new ProblemError(table, code, more);
