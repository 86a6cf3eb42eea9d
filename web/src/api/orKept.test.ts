import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { replaceOutside } from '../outside';
import { forgetKept, household, keptWith } from '../testing/kept';
import { ApiError, http } from './http';
import { keepHere } from './kept';
import { orKept } from './orKept';
import { ownRole } from './ownRole';
import { reach } from './reach';

let giveBack = () => {};
// What an earlier page found silent is none of this one's.
beforeEach(() => reach.answered());
afterEach(async () => {
  giveBack();
  keepHere(null);
  ownRole.heardIn(new Headers());
  await forgetKept();
});

const ADDRESS = '/api/care/happenings';
const done = () =>
  orKept(
    () => http.post(ADDRESS, {}).then(() => 'there'),
    () => Promise.resolve('here'),
  );

async function withKept(answer: Parameters<typeof household>[0]) {
  ({ giveBack } = household(answer));
  keepHere(Promise.resolve(await keptWith()));
}

describe('what changes something', () => {
  it('is done at the household where nothing is kept, and fails where that is silent', async () => {
    ({ giveBack } = household(() => 'silence'));
    await expect(done()).rejects.toThrow('does not answer');
  });

  it('is done at the household while it answers, and its refusal is a refusal', async () => {
    await withKept(() => ({ body: {} }));
    expect(await done()).toBe('there');
    giveBack();
    await withKept(() => ({ problem: { status: 422, code: 'no', title: 'No' } }));
    await expect(done()).rejects.toThrow(ApiError);
  });

  it('is never kept for one who only reads: the household would not take it', async () => {
    await withKept(() => 'silence');
    ownRole.heardIn(new Headers({ 'keeper-role': 'reader' }));
    await expect(done()).rejects.toThrow('does not answer');
    ownRole.heardIn(new Headers({ 'keeper-role': 'keeper' }));
    expect(await done()).toBe('here');
  });

  it('is kept here while it is silent, known to be, or falls silent', async () => {
    await withKept(() => 'silence');
    expect(await done()).toBe('here');
    expect(reach.isAway).toBe(true);
    expect(await done()).toBe('here');
  });

  it('is kept here where the household hangs: after a while one asks whether it is there at all', async () => {
    const waits: (() => void)[] = [];
    await withKept(() => ({ body: {} }));
    giveBack = replaceOutside({
      fetch: (address) => (address === ADDRESS ? new Promise<never>(() => {}) : Promise.reject(new TypeError('timed out'))),
      wait: () => new Promise((resolve) => void waits.push(resolve)),
    });
    const asked = done();
    await expect.poll(() => waits.length).toBe(1);
    waits[0]!();
    expect(await asked).toBe('here');
  });

  it('that takes long at a household that is there is waited for', async () => {
    const waits: (() => void)[] = [];
    let answer!: (response: Response) => void;
    await withKept(() => ({ body: {} }));
    giveBack = replaceOutside({
      fetch: (address) => (address === ADDRESS ? new Promise((resolve) => void (answer = resolve)) : Promise.resolve(new Response('{}'))),
      wait: () => new Promise((resolve) => void waits.push(resolve)),
    });
    const asked = done();
    await expect.poll(() => waits.length).toBe(1);
    waits[0]!();
    await new Promise((resolve) => setTimeout(resolve));
    answer(new Response('{}'));
    expect(await asked).toBe('there');
  });
});
