/** An error a person can cause: a code for programs, a sentence and a remedy for people. */
export type ErrorEntry = { status: 400 | 401 | 404 | 409 | 413 | 415 | 422; title: string; remedy: string };
export const errorTable = <T extends Record<string, ErrorEntry>>(table: T): T => table;

/** An RFC 9457 problem document, as every 4xx and 5xx answer carries it. */
export type Problem = {
  type: string;
  title: string;
  status: number;
  detail: string;
  code: string;
  /** Messages by field path (`traits.yearMade`), for the form to show beside each field. */
  fields?: Record<string, string>;
  /** The newer row, when an edit was stale. */
  current?: unknown;
};

export const PROBLEM_TYPE = 'application/problem+json';

export const commonErrors = errorTable({
  'bad-input': { status: 400, title: 'Some fields need another look', remedy: 'Correct the fields named below; nothing was saved.' },
  'bad-json': { status: 400, title: 'The request is not valid JSON', remedy: 'Send one JSON object.' },
  'not-found': { status: 404, title: 'There is nothing here', remedy: 'Check the address, or go back to the shelf.' },
  'too-large': { status: 413, title: 'That is too much at once', remedy: 'Send at most 16 MB.' },
  stale: { status: 409, title: 'This was changed elsewhere in the meantime', remedy: 'Look at the newer version and save again.' },
});
