/** An error a person can cause: a code for programs, a sentence and a remedy for people. */
export type ErrorEntry = { status: 400 | 401 | 403 | 404 | 409 | 413 | 415 | 422 | 429 | 503 | 507; title: string; remedy: string };
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
  'not-local': {
    status: 403,
    title: 'Not from here',
    remedy: 'Open Bright Keeper on the machine it runs on, by the address it printed.',
  },
  'as-a-form': {
    status: 415,
    title: 'That was sent as a web form sends it',
    remedy: 'Send JSON as application/json, and a file by its own type: text/csv, application/zip, image/jpeg.',
  },
  'not-found': { status: 404, title: 'There is nothing here', remedy: 'Check the address, or go back to the shelf.' },
  'too-large': { status: 413, title: 'That is too much at once', remedy: 'Send at most 16 MB.' },
  unkeepable: {
    status: 400,
    title: 'That cannot be kept as it is',
    remedy: 'A number or a date is too large, or a text holds a sign that is none. Correct it; nothing was saved.',
  },
  'in-the-future': { status: 422, title: 'That is still to come', remedy: 'Correct the time; nothing was saved.' },
  'cut-off': { status: 400, title: 'The request broke off', remedy: 'Send it again.' },
  'already-there': { status: 409, title: 'That is there already', remedy: 'Look at what is there, or choose another name.' },
  busy: { status: 409, title: 'Somebody else was changing the same', remedy: 'Nothing was saved. Try once more.' },
  'too-often': { status: 429, title: 'Too many requests', remedy: 'Wait a minute, then try again.' },
  'database-away': {
    status: 503,
    title: 'The database is away for a moment',
    remedy: 'Whether this was saved is not certain. Wait a few seconds, look, and try again.',
  },
  'database-lost': {
    status: 503,
    title: 'The database was away',
    remedy: 'Nothing of this was saved. Wait a few seconds and try again.',
  },
  'data-taken': {
    status: 503,
    title: 'The data is not where it was',
    remedy:
      'Its folder was removed, moved or replaced while the program ran: nothing is kept from now on. Stop the program, put the folder back, and start it again.',
  },
  'database-read-only': {
    status: 503,
    title: 'The database takes no changes at the moment',
    remedy: 'Nothing of this was saved; what is kept can be read. Try again when the database is open to changes again.',
  },
  'disk-full': {
    status: 507,
    title: 'The disk is nearly full',
    remedy: 'Nothing new is taken until there is room again; what is kept stays readable. Make room on the disk, then try once more.',
  },
  stale: { status: 409, title: 'This was changed elsewhere in the meantime', remedy: 'Look at the newer version and save again.' },
});
