import { afterEach, describe, expect, it } from 'vitest';
import { replaceOutside } from '../outside';
import { ApiError, http } from './http';
import { letIn } from './letIn';

let giveBack = () => {};
afterEach(() => giveBack());
const answering = (response: () => Promise<Response>) => void (giveBack = replaceOutside({ fetch: response }));

/** An answer whose body begins and then breaks off, as it does when a page is left or a server ends. */
function brokenOff(status: number, type: string): Response {
  const body = new ReadableStream<Uint8Array>({
    start: (controller) => controller.enqueue(new TextEncoder().encode('{"vers')),
    pull: (controller) => controller.error(new TypeError('network error')),
  });
  return new Response(body, { status, headers: { 'content-type': type } });
}
const failureOf = async (asked: Promise<unknown>): Promise<ApiError> => {
  const error: unknown = await asked.then(
    () => null,
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(ApiError);
  return error as ApiError;
};

describe('a call of the server', () => {
  it.each<[string, () => Promise<Response>]>([
    ['is not answered', () => Promise.reject(new TypeError('fetch failed'))],
    ['is answered by what breaks off', () => Promise.resolve(brokenOff(200, 'application/json'))],
    ['is refused by what breaks off', () => Promise.resolve(brokenOff(409, 'application/problem+json'))],
  ])('that %s may be done or not: it is asked again', async (_, response) => {
    answering(response);
    expect((await failureOf(http.put('/api/care/cleanings/c', {}))).isOffline).toBe(true);
  });

  it('that is answered by no JSON at all is a failure, and is not asked for ever', async () => {
    answering(() => Promise.resolve(new Response('<html>', { status: 200 })));
    const error = await failureOf(http.get('/api/today'));
    expect([error.isOffline, error.problem.code]).toEqual([false, 'http']);
  });

  it('that is refused says why', async () => {
    const problem = { type: 'about:blank', title: 'It is gone', status: 404, code: 'item-not-found', detail: '' };
    const headers = { 'content-type': 'application/problem+json' };
    answering(() => Promise.resolve(new Response(JSON.stringify(problem), { status: 404, headers })));
    expect((await failureOf(http.get('/api/gear/i'))).problem).toEqual(problem);
  });

  it('that is answered by nothing gives nothing', async () => {
    answering(() => Promise.resolve(new Response(null, { status: 204 })));
    expect(await http.delete('/api/gear/i')).toBeUndefined();
  });
});

describe('a browser that is not let in', () => {
  const notIn = () =>
    new Response(JSON.stringify({ code: 'not-in', status: 401 }), { status: 401, headers: { 'content-type': 'application/problem+json' } });
  afterEach(() => letIn.opened());

  it('says so to whoever wants to know, and is asked again once it is', async () => {
    const said: boolean[] = [];
    const leave = letIn.subscribe(() => said.push(letIn.get()));
    answering(() => Promise.resolve(notIn()));
    const error = await failureOf(http.get('/api/today'));
    expect([error.isForLater, error.isOffline]).toEqual([true, false]);
    await failureOf(http.get('/api/settings'));
    const again = letIn.next();
    letIn.opened();
    await again;
    expect(said).toEqual([false, true]);
    leave();
  });

  it('is not shut out by the refusal of what it asked before it came in', async () => {
    let refuse = (_: Response) => {};
    answering(() => new Promise((resolve) => (refuse = resolve)));
    const asked = failureOf(http.get('/api/today'));
    letIn.opened();
    refuse(notIn());
    await asked;
    expect(letIn.get()).toBe(true);
  });

  it('is not taken for one whose passphrase was wrong', async () => {
    answering(() =>
      Promise.resolve(
        new Response(JSON.stringify({ code: 'wrong-passphrase', status: 401 }), {
          status: 401,
          headers: { 'content-type': 'application/problem+json' },
        }),
      ),
    );
    expect((await failureOf(http.post('/api/access/sign-in', {}))).isForLater).toBe(false);
    expect(letIn.get()).toBe(true);
  });
});
