import type { LogPreview } from '@bright-keeper/contract';
import { describe, expect, it } from 'vitest';
import { leadsOn, logImportReducer, NOTHING_CHOSEN } from './logImportState';

const file = (name: string) => new File(['time;rh'], name);
const preview = { rows: [], format: {} } as unknown as LogPreview;

describe('importing a log', () => {
  it('reads another file anew, and forgets how the last one was read', () => {
    const first = [{ type: 'chosen', file: file('a.csv') } as const, { type: 'read', preview } as const].reduce(
      logImportReducer,
      NOTHING_CHOSEN,
    );
    expect(first.preview).toBe(preview);
    const second = logImportReducer(first, { type: 'chosen', file: file('b.csv') });
    expect([second.file?.name, second.preview]).toEqual(['b.csv', null]);
  });

  it('keeps the last reading on screen while a corrected one is on its way', () => {
    const read = [{ type: 'chosen', file: file('a.csv') } as const, { type: 'read', preview } as const].reduce(
      logImportReducer,
      NOTHING_CHOSEN,
    );
    const other = { ...preview, total: 9 } as unknown as LogPreview;
    expect(logImportReducer(read, { type: 'read', preview: other })).toEqual({ file: read.file, preview: other, asked: null });
  });

  it('takes no notice of a reading when no file is chosen', () => {
    expect(logImportReducer(NOTHING_CHOSEN, { type: 'read', preview })).toBe(NOTHING_CHOSEN);
  });

  it.each([
    [null, 'check'],
    ['checked', 'import'],
    ['imported', 'check'],
  ] as const)('after %s the next thing is to %s', (done, next) => expect(leadsOn(done)).toBe(next));
});
