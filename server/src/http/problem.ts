import { PROBLEM_TYPE, type ErrorEntry, type Problem } from '@bright-keeper/contract';
import type { Response } from 'express';

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

/** Answers with a refusal where no filter stands behind: in front of the routes. */
export const sendProblem = (response: Response, { problem: body }: ProblemError): void =>
  void response.status(body.status).type(PROBLEM_TYPE).send(JSON.stringify(body));
