import type { Problem } from '@bright-keeper/contract';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import type { ComponentType } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { queryClient } from '../api/client';
import { replaceOutside, type Outside } from '../outside';

/** What the stand-in server answers to one call: a value, or a function of what was sent. Nothing is an empty answer. */
type Answer = unknown;
export type Handler = Answer;
/** A refusal as the real server sends it. */
export class Refusal {
  constructor(readonly problem: Partial<Problem> & { status: number; code: string }) {}
}
/** The server does not answer at all. */
export const SILENCE = Symbol('silence');

export type Call = { method: string; path: string; body: unknown };

const respond = (answer: Answer): Response => {
  if (answer instanceof Refusal) {
    const problem: Problem = { type: 'about:blank', title: answer.problem.code, detail: '', ...answer.problem };
    return new Response(JSON.stringify(problem), { status: problem.status, headers: { 'content-type': 'application/problem+json' } });
  }
  return answer === undefined
    ? new Response(null, { status: 204 })
    : new Response(JSON.stringify(answer), { status: 200, headers: { 'content-type': 'application/json' } });
};

const NEVER = new Promise<never>(() => {});

/** A server made of a table: `GET /api/today` and what it answers. A call that stands nowhere fails the test by name. */
export function standInServer(table: Record<string, Handler>): { fetch: typeof fetch; calls: Call[]; end: () => void } {
  const calls: Call[] = [];
  let ended = false;
  /** A document goes on being saved when its page is gone: nothing of it may reach the page of the next test. */
  const unlessEnded = <T,>(value: T): T | Promise<never> => (ended ? NEVER : value);
  const gated = (response: Response): Response => {
    const [json, blob] = [response.json.bind(response), response.blob.bind(response)];
    return Object.assign(response, { json: () => json().then(unlessEnded), blob: () => blob().then(unlessEnded) });
  };
  const answered: typeof fetch = (input, init) => {
    const method = init?.method ?? 'GET';
    const path = (typeof input === 'string' ? input : input instanceof URL ? input.href : input.url).split('?')[0]!;
    const body: unknown = typeof init?.body === 'string' ? JSON.parse(init.body) : undefined;
    calls.push({ method, path, body });
    const key = `${method} ${path}`;
    if (!(key in table)) return Promise.reject(new Error(`the stand-in server knows no ${key}`));
    const handler = table[key];
    const answer: Answer = typeof handler === 'function' ? (handler as (sent: unknown) => Answer)(body) : handler;
    return answer === SILENCE ? Promise.reject(new TypeError('fetch failed')) : Promise.resolve(gated(respond(answer))).then(unlessEnded);
  };
  return { fetch: answered, calls, end: () => void (ended = true) };
}

/** A document that the stand-in server keeps as the real one does, a version on at each save, but for what it is told to do first. */
export function keptDocument<Doc extends { version: number }>(start: Doc, faults: unknown[] = []) {
  let kept = start;
  return {
    get: (): Doc => kept,
    put: (body: unknown): Answer => {
      const fault = faults.shift();
      if (fault !== undefined) return fault;
      kept = { ...kept, ...(body as object), version: kept.version + 1 };
      return kept;
    },
  };
}

type Shown = { calls: Call[]; address: () => string; written: () => Call[] };

/** Shows a page as the router does, at an address, over a stand-in server. Ended by `endPage`. */
export function showPage(
  Page: ComponentType,
  pattern: string,
  address: string,
  table: Record<string, Handler>,
  more: Partial<Outside> = {},
): Shown {
  const server = standInServer(table);
  queryClient.clear();
  const giveBack = replaceOutside({ fetch: server.fetch, ...more });
  restore = () => {
    server.end();
    giveBack();
  };
  const router = createMemoryRouter(
    [
      { path: pattern, Component: Page },
      { path: '*', element: <p>somewhere else</p> },
    ],
    { initialEntries: [address] },
  );
  render(
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return {
    calls: server.calls,
    address: () => router.state.location.pathname + router.state.location.search,
    written: () => server.calls.filter((c) => c.method !== 'GET'),
  };
}

let restore = () => {};
/** Takes the page away and gives the browser back; after each test. */
export function endPage(): void {
  restore();
  cleanup();
  queryClient.clear();
  // What a page had not saved yet is remembered for the next: of another test that is none.
  localStorage.clear();
}
