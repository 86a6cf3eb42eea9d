import type { accessErrors, Problem } from '@bright-keeper/contract';
import { outside } from '../outside';
import { keptHere, mayKeep } from './kept';
import { letIn } from './letIn';
import { ownRole } from './ownRole';
import { reach } from './reach';

/** A refusal of the server, or its silence, in words a person can act on. */
export class ApiError extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(problem.title);
    this.problem = problem;
  }
  get isOffline(): boolean {
    return this.problem.code === 'offline';
  }
  /** Whether the same may be taken once the server answers, or lets this browser in again. */
  get isForLater(): boolean {
    return this.isOffline || this.problem.code === NOT_IN;
  }
}
const NOT_IN = 'not-in' satisfies keyof typeof accessErrors;

/** Why something was not done, in a sentence or two. */
export const refusalWords = (error: unknown): string =>
  error instanceof ApiError ? `${error.problem.title}. ${error.problem.detail}` : 'Something went wrong; try again.';

/** The newer row that a refusal as stale brings along; null for any other failure. */
export const newerIn = <Row>(error: unknown): Row | null =>
  error instanceof ApiError && error.problem.code === 'stale' ? (error.problem.current as Row) : null;

const OFFLINE: Problem = {
  type: 'about:blank',
  title: 'Bright Keeper does not answer',
  status: 0,
  code: 'offline',
  detail: 'It seems to be stopped, or this device is away from its network. What you typed is still here.',
};

const noProblem = (status: number): Problem => ({
  type: 'about:blank',
  title: 'Something went wrong',
  status,
  code: 'http',
  detail: `The server answered ${status}.`,
});

/** What an answer holds. One that breaks off on its way tells nothing: what it answered may be done or not. */
async function heldIn<T>(response: Response): Promise<T> {
  try {
    return (await response.json()) as T;
  } catch (error) {
    throw new ApiError(error instanceof SyntaxError ? noProblem(response.status) : OFFLINE);
  }
}

/** From here on it is the household's own fault, or of a proxy in front of one that is away. */
export const FIRST_SERVER_FAULT = 500;

async function send(path: string, init: RequestInit): Promise<Response> {
  const { turn } = letIn;
  let response: Response;
  try {
    response = await outside.fetch(path, init);
  } catch {
    reach.silent();
    throw new ApiError(OFFLINE);
  }
  if (response.status < FIRST_SERVER_FAULT) reach.answered();
  if (response.ok) {
    letIn.hasBeenIn = true;
    ownRole.heardIn(response.headers);
    return response;
  }
  const isProblem = response.headers.get('content-type')?.includes('problem+json');
  const problem = isProblem ? await heldIn<Problem>(response) : noProblem(response.status);
  if (problem.code === NOT_IN) letIn.shut(turn);
  throw new ApiError(problem);
}

async function json<T>(method: string, path: string, body?: unknown): Promise<T> {
  const sent = body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
  const response = await send(path, { method, ...sent });
  return response.status === 204 ? (undefined as T) : heldIn<T>(response);
}

/** The API as the areas call it; every failure is an ApiError. */
export const http = {
  /** Where this browser keeps what was answered, that answers while the household is out of reach. */
  get: async <T>(path: string): Promise<T> => {
    const ask = () => json<T>('GET', path);
    const kept = mayKeep() ? await keptHere() : null;
    return kept ? kept.answers.get(path, ask) : ask();
  },
  post: <T>(path: string, body: unknown) => json<T>('POST', path, body),
  put: <T>(path: string, body: unknown) => json<T>('PUT', path, body),
  /** A file as it is, streamed by the browser and never read into the page. */
  postFile: async <T>(path: string, file: Blob, type: string): Promise<T> =>
    heldIn<T>(await send(path, { method: 'POST', body: file, headers: { 'content-type': type } })),
  /** Likewise where it is put in the place of another. */
  putFile: async (path: string, file: Blob, type: string): Promise<void> => {
    await send(path, { method: 'PUT', body: file, headers: { 'content-type': type } });
  },
  delete: (path: string) => json<void>('DELETE', path),
};

/** A query string of the values that are there. */
export function queryString(values: Record<string, string | number | boolean | null | undefined>): string {
  const params = new URLSearchParams();
  for (const [key, value] of Object.entries(values))
    if (value !== undefined && value !== null && value !== '') params.set(key, String(value));
  const text = params.toString();
  return text ? `?${text}` : '';
}
