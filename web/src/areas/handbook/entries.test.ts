import { care } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { CHAPTERS } from './entries';
import { ask } from './search';

const titles = (text: string) => ask(CHAPTERS, text).hits.map((h) => h.entry.title);

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

  it('holds every situation of the book, answered by the planner', () => {
    const book = CHAPTERS.find((c) => c.id === 'situations')!.entries;
    expect(book.map((e) => e.id)).toEqual(care.SITUATIONS.map((s) => `situation-${s.id}`));
    for (const e of book) expect(e.lines.length, e.id).toBeGreaterThanOrEqual(2);
    expect(book.find((e) => e.id === 'situation-field-blowing-sand')!.lines.join(' ')).toMatch(/put it away/);
  });

  it('carries the cautions of what it answers, and the page that does it', () => {
    const [first] = ask(CHAPTERS, 'camera washed overboard').hits;
    expect(first!.entry.hazards).toContain('wet-electronics');
    const wait = ask(CHAPTERS, 'how long to wait before opening the bag').hits[0]!;
    expect(wait.entry.to).toBe('/warm-up');
  });

  it.each([
    ['thumbprint on the front element', 'situation-light-print'],
    ['sand flying', 'situation-field-blowing-sand'],
    ['mold on rubber grip', 'situation-mould-on-grip'],
    ['tacky grip', 'situation-sticky-grip-air'],
    ['threads behind front group', 'situation-fungus-inside-manual'],
    ['salt on contacts', 'situation-contacts-salt'],
    ['greesy mirror', 'situation-mirror-grease'],
  ])('is searched in one’s own words: “%s”', (words, id) => {
    const found = ask(CHAPTERS, words).hits.map((h) => h.entry.id);
    expect(found).toContain(id);
    expect(found.length).toBeLessThan(80);
  });

  it('finds what answers most of a question, in any order and case', () => {
    expect(new Set(titles('MIRROR silver'))).toEqual(new Set(titles('silver mirror')));
    expect(titles('canned air sensor')).toContain('No canned air inside a camera or on glass');
    expect(titles('xylophone quartet')).toEqual([]);
    expect(titles('')).toEqual([]);
  });
});
