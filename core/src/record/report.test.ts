import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ThingLogData } from '../schedule/index.js';
import { type ConditionReport, isCare, openingsOf, signedText } from './report.js';

describe('what is signed', () => {
  const text = (value: unknown) => signedText(value as ConditionReport);

  it('is written as RFC 8785 has it: the samples of its section 3.2.3 and of its appendix B', () => {
    expect(text({ numbers: [JSON.parse('333333333.33333329'), 1e30, 4.5, 2e-3, 1e-27], literals: [null, true, false] })).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27]}',
    );
    expect(text({ '\u20ac': 'Euro Sign', '\r': 'Carriage Return', '1': 'One', '\u0080': 'Control\u007f', '\ud83d\ude00': 'Smiley' })).toBe(
      '{"\\r":"Carriage Return","1":"One","\u0080":"Control\u007f","\u20ac":"Euro Sign","\ud83d\ude00":"Smiley"}',
    );
    expect([0, -0, 9007199254740992, 295147905179352830000, 1e21, 1e23, 5e-324].map(text)).toEqual([
      '0',
      '0',
      '9007199254740992',
      '295147905179352830000',
      '1e+21',
      '1e+23',
      '5e-324',
    ]);
  });

  it('is the same for the same, in whatever order its keys came, and another one for another', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string({ maxLength: 5 }), fc.jsonValue({ maxDepth: 2 }), { maxKeys: 6 }), (value) => {
        const turned = Object.fromEntries(Object.entries(value).reverse());
        expect(text(turned)).toBe(text(value));
        expect(text({ ...value, more: 1 })).not.toBe(text({ ...value, more: 2 }));
      }),
      { seed: 8785 },
    );
  });
});

describe('who had it open', () => {
  const at = (day: number): string => `2026-03-${String(day).padStart(2, '0')}T10:00:00.000Z`;
  const entry = (day: number, data: ThingLogData) => ({ at: at(day), data });
  const away = (day: number, why: 'service' | 'loan', to?: string) => entry(day, { kind: 'away', why, until: null, ...(to && { to }) });
  const back = (day: number) => entry(day, { kind: 'back' });

  it('is the keeper, or a workshop until it is back; a loan opened nothing', () => {
    const opened = entry(9, { kind: 'opened', depth: 'front-group', stages: 3 });
    expect(openingsOf([away(1, 'loan', 'Mara'), back(2), away(3, 'service', 'Brass & Son'), back(5), opened, away(11, 'service')])).toEqual(
      [
        { at: at(3), by: 'workshop', to: 'Brass & Son', backAt: at(5) },
        { at: at(9), by: 'keeper', data: opened.data },
        { at: at(11), by: 'workshop', to: null, backAt: null },
      ],
    );
  });

  it('does not take the end of a later loan for the end of a service nobody ended', () => {
    expect(openingsOf([away(1, 'service'), away(3, 'loan'), back(4)])).toEqual([{ at: at(1), by: 'workshop', to: null, backAt: null }]);
  });

  it('is no part of its care, and whom it was lent to is nobody else’s', () => {
    expect([
      isCare({ kind: 'away', why: 'loan', until: null }),
      isCare({ kind: 'moved', placeName: 'Bag' }),
      isCare({ kind: 'frame', frameId: 'x', fNumber: 16, specks: 1 }),
    ]).toEqual([false, false, true]);
  });
});
