import { care } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { CHAPTERS, search } from './entries';

const titles = (text: string) => search(CHAPTERS, text).flatMap((c) => c.entries.map((e) => e.title));

describe('the handbook', () => {
  it('holds every method, soil, rule, hazard and school, each once and with its basis', () => {
    const entries = CHAPTERS.flatMap((c) => c.entries);
    const ids = entries.map((e) => e.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of care.METHOD_IDS) expect(ids).toContain(`method-${id}`);
    for (const id of care.SOIL_IDS) expect(ids).toContain(`soil-${id}`);
    for (const { id } of care.RULES) expect(ids).toContain(`rule-${id}`);
    for (const id of care.SCHOOL_IDS) expect(ids).toContain(`school-${id}`);
    for (const e of entries) expect(e.basis.length, e.id).toBeGreaterThan(5);
    for (const e of entries) expect(e.lines.join(' '), e.id).not.toMatch(/[{}]/);
  });

  it('finds entries that hold every word, in any order and case', () => {
    expect(titles('MIRROR silver')).toEqual(titles('silver mirror'));
    expect(titles('canned air sensor')).toContain('No canned air inside a camera or on glass');
    expect(titles('no such thing at all')).toEqual([]);
    expect(titles('').length).toBe(CHAPTERS.flatMap((c) => c.entries).length);
  });
});
