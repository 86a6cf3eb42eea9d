import { afterAll, afterEach, describe, expect, it, vi } from 'vitest';
import { replaceOutside } from '../outside';

const remembered = new Map<string, string>();
const giveBack = replaceOutside({
  recall: (key) => remembered.get(key) ?? null,
  remember: (key, value) => void (value === null ? remembered.delete(key) : remembered.set(key, value)),
});
/** As a page begins anew. */
const begun = async () => {
  vi.resetModules();
  return (await import('./ownRole')).ownRole;
};
const told = (role?: string) => new Headers(role === undefined ? {} : { 'keeper-role': role });

describe('what one may do', () => {
  afterEach(() => remembered.clear());

  it('is unknown until the household says so, and nothing is said to one alone', async () => {
    const own = await begun();
    expect(own.get()).toBeNull();
    const heard = vi.fn();
    const leave = own.subscribe(heard);
    own.heardIn(told());
    expect(heard).not.toHaveBeenCalled();
    own.heardIn(told('reader'));
    own.heardIn(told('reader'));
    expect([own.get(), heard.mock.calls.length]).toEqual(['reader', 1]);
    leave();
    own.heardIn(told('keeper'));
    expect([own.get(), heard.mock.calls.length]).toEqual(['keeper', 1]);
  });

  it('is remembered for when the household is out of reach, and forgotten once one is alone again', async () => {
    (await begun()).heardIn(told('reader'));
    const later = await begun();
    expect(later.get()).toBe('reader');
    later.heardIn(told());
    expect((await begun()).get()).toBeNull();
  });

  it('is none that there is not', async () => {
    remembered.set('own-role', 'emperor');
    const own = await begun();
    expect(own.get()).toBeNull();
    own.heardIn(told('emperor'));
    expect(own.get()).toBeNull();
  });
});

afterAll(() => giveBack());
