import type { schedule } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { wantsWords } from './words';

const airing = (id: string, name: string) =>
  ({
    code: 'air-out',
    subject: { kind: 'thing', id, name, itemKind: 'lens' },
    facts: { says: 'air', cause: 'too-closed', itemId: id },
  }) as unknown as schedule.Duty;

describe('what is wanted in a place', () => {
  it('says once what two things in one bag want, and names both', () => {
    expect(wantsWords([airing('a', 'Rime 50'), airing('b', 'Yellow 46')])).toBe('Rime 50, Yellow 46: it wants air');
    expect(wantsWords([])).toBe('');
  });
});
