import 'fake-indexeddb/auto';
import type { ItemPage, Problem, SurfaceState } from '@bright-keeper/contract';
import { routes } from '@bright-keeper/contract';
import { QueryClient } from '@tanstack/react-query';
import { deleteDB } from 'idb';
import { letIn } from '../api/letIn';
import { reach } from '../api/reach';
import { Kept } from '../kept';
import { STORE } from '../kept/store';
import { replaceOutside } from '../outside';

export const NOW = new Date('2026-05-01T12:00:00Z');
const hex = (n: number) => String(n).padStart(12, '0');
/** Ids as the household writes them. */
export const idOf = (n: number): string => `00000000-0000-4000-8000-${hex(n)}`;

/** A lens as its page tells it: never looked at, unless something else is said. */
export const pageOf = (id: string, more: Partial<ItemPage> = {}): ItemPage => ({
  id,
  name: `Lens ${Number(id.slice(-4))}`,
  kind: 'lens',
  traits: {},
  notes: '',
  acquiredOn: null,
  particulars: {},
  belongsTo: null,
  together: { to: null, things: [] },
  sameSerial: [],
  fit: { mounts: [], threads: [] },
  version: 1,
  status: 'in-use',
  archivedAt: null,
  gone: null,
  face: null,
  files: [],
  createdAt: '2026-01-01T00:00:00.000Z',
  updatedAt: '2026-01-01T00:00:00.000Z',
  surfaces: [],
  verdict: null,
  nextDue: null,
  due: [],
  away: null,
  contacts: {},
  gentleWords: {},
  place: null,
  neighbours: [],
  noted: [],
  openTeardownId: null,
  openLookId: null,
  openCleaningId: null,
  ...more,
});

export const fingerprint = (surface: SurfaceState['surface']): SurfaceState => ({
  surface,
  findings: [{ soil: 'fingerprint', severity: 3 }],
  verdict: 'clean',
  because: { reason: 'found' } as unknown as SurfaceState['because'],
  knownSince: '2026-04-01T00:00:00.000Z',
});

export type Call = { method: string; path: string; body: unknown };
/** What a household answers to a call: a value, a refusal, or nothing at all. */
export type Answered = { body: unknown } | { problem: Partial<Problem> & { status: number; code: string } } | 'silence' | 'answer-lost';

/** A household that answers as it is told, and a clock one sets. */
export function household(answer: (call: Call) => Answered, clock = { now: NOW }) {
  const calls: Call[] = [];
  const fetch = ((input: string, init?: RequestInit) => {
    const sent = typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : init?.body;
    const call = { method: init?.method ?? 'GET', path: input, body: sent };
    const answered = answer(call);
    if (answered !== 'silence') calls.push(call);
    if (answered === 'silence' || answered === 'answer-lost') return Promise.reject(new TypeError('fetch failed'));
    if ('body' in answered) return Promise.resolve(new Response(JSON.stringify(answered.body), { status: 200 }));
    const problem = { type: 'about:blank', title: answered.problem.code, detail: '', ...answered.problem };
    const headers = { 'content-type': 'application/problem+json' };
    return Promise.resolve(new Response(JSON.stringify(problem), { status: problem.status, headers }));
  }) as typeof globalThis.fetch;
  const giveBack = replaceOutside({
    fetch,
    now: () => clock.now,
    channel: () => ({ tell: () => {}, hear: () => {} }),
    oneAtATime: (_, work) => work(),
    wait: () => new Promise(() => {}),
  });
  return { calls, clock, giveBack };
}

let opened: Kept | null = null;
/** What a browser keeps that has these things; opened anew, it is what was left there. */
export async function keptWith(pages: readonly ItemPage[] = [], queries = new QueryClient()): Promise<Kept> {
  opened?.close();
  opened = await Kept.open(queries);
  for (const page of pages) await opened.answers.remember(routes.item(page.id), page);
  return opened;
}

export async function forgetKept(): Promise<void> {
  opened?.close();
  opened = null;
  reach.answered();
  letIn.opened();
  await deleteDB(STORE);
}
