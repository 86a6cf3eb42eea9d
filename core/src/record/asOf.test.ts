import { describe, expect, it } from 'vitest';
import type { Particulars } from '../gear/index.js';
import type { FieldsBefore } from '../schedule/index.js';
import { asOfDay, type Dated } from './asOf.js';

const NOW: Dated = { name: 'Ostrane 58/2', particulars: { insuredFor: 900, serial: 'A-1' }, acquiredOn: '2025-01-05', gone: null };
const edit = (day: string, changed: string[], was: Particulars = {}, before: FieldsBefore = {}) => ({
  at: `${day}T10:00:00.000Z`,
  day,
  data: { kind: 'edited' as const, changed, was, before },
});
const EDITS = [
  edit('2026-01-10', ['insuredFor'], { insuredFor: 700 }),
  edit('2025-06-01', ['insuredFor', 'name'], { insuredFor: 500 }, { name: 'Old 58' }),
  edit('2025-03-01', ['insuredFor', 'serial']),
];

describe('a thing as of a day', () => {
  it.each([
    ['2026-02-01', 'Ostrane 58/2', { insuredFor: 900, serial: 'A-1' }],
    ['2026-01-10', 'Ostrane 58/2', { insuredFor: 900, serial: 'A-1' }],
    ['2026-01-09', 'Ostrane 58/2', { insuredFor: 700, serial: 'A-1' }],
    ['2025-05-31', 'Old 58', { insuredFor: 500, serial: 'A-1' }],
    // What was first written down in March was not known in February.
    ['2025-02-01', 'Old 58', {}],
  ])('%s: what stood there then', (day, name, particulars) => {
    expect(asOfDay(NOW, '2025-02-01', EDITS, day)).toMatchObject({ name, particulars });
  });

  it('is none before it came; and from the day it was written down where nobody said when it came', () => {
    expect(asOfDay(NOW, '2025-02-01', EDITS, '2025-01-04')).toBeNull();
    expect(asOfDay(NOW, '2025-02-01', EDITS, '2025-01-05')).not.toBeNull();
    const untold = { ...NOW, acquiredOn: null };
    expect(asOfDay(untold, '2025-02-01', [], '2025-01-31')).toBeNull();
    expect(asOfDay(untold, '2025-02-01', [], '2025-02-01')).not.toBeNull();
  });

  it('is gone from the day it went, and not before', () => {
    const sold = { ...NOW, gone: { why: 'sold' as const, on: '2026-01-20', for: 400 } };
    expect(asOfDay(sold, '2025-02-01', [], '2026-01-19')!.gone).toBeNull();
    expect(asOfDay(sold, '2025-02-01', [], '2026-01-20')!.gone).toEqual(sold.gone);
  });

  it('is the same in whatever order its edits are told', () => {
    for (const order of [EDITS, [...EDITS].reverse(), [EDITS[1]!, EDITS[2]!, EDITS[0]!]])
      expect(asOfDay(NOW, '2025-02-01', order, '2025-02-15')).toEqual(asOfDay(NOW, '2025-02-01', EDITS, '2025-02-15'));
  });
});
