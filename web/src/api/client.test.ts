import { describe, expect, it } from 'vitest';
import { failsAll } from './client';
import { ApiError } from './http';

const answered = (status: number) =>
  new ApiError({ type: 'about:blank', title: '', status, code: status === 0 ? 'offline' : 'any', detail: '' });

describe('what can be shown no more', () => {
  it.each([404, 409, 500, 503, 0])('is what never came, answered by %i', (status) =>
    expect(failsAll({ isError: true, data: undefined, error: answered(status) })).toBe(true),
  );

  it.each([
    [404, true],
    [500, false],
    [503, false],
    [0, false],
  ])('of what is there, answered by %i when asked again: %s', (status, gone) =>
    expect(failsAll({ isError: true, data: 'something', error: answered(status) })).toBe(gone),
  );
});
