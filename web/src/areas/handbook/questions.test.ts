import { describe, expect, it } from 'vitest';
import { CHAPTERS } from './entries';
import { QUESTIONS } from './questions';
import { ask } from './search';

const answered = QUESTIONS.filter(([, ...answers]) => answers.length > 0);
const places = answered.map(([question, ...answers]) => {
  const ids = ask(CHAPTERS, question).hits.map((h) => h.entry.id);
  return { question, place: ids.findIndex((id) => answers.includes(id)), first: ids.slice(0, 3), fits: ask(CHAPTERS, question).fits };
});
const missed = (upTo: number) => places.filter((p) => p.place < 0 || p.place >= upTo).map((p) => `${p.question} → ${p.first.join(', ')}`);

describe('questions in a keeper’s own words', () => {
  it('are at least 150', () => expect(answered.length).toBeGreaterThanOrEqual(150));
  it('are answered rightly by the first hit, nine in ten', () => {
    expect(missed(1).length / answered.length, missed(1).join('\n')).toBeLessThanOrEqual(0.1);
  });
  it('are answered rightly within the first three, 97 in a hundred', () => {
    expect(missed(3).length / answered.length, missed(3).join('\n')).toBeLessThanOrEqual(0.03);
  });
  it('are each told to be answered', () => expect(places.filter((p) => !p.fits).map((p) => p.question)).toEqual([]));
  it.each(['how to sharpen a chisel', 'xylophone quartet', 'best restaurant in town'])('“%s” is told to have no answer here', (question) =>
    expect(ask(CHAPTERS, question).fits).toBe(false),
  );
  it('names only entries there are', () => {
    const ids = new Set(CHAPTERS.flatMap((c) => c.entries.map((e) => e.id)));
    for (const [question, ...answers] of answered)
      expect(
        answers.some((a) => ids.has(a)),
        question,
      ).toBe(true);
  });
});
