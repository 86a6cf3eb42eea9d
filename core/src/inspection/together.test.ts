import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Soil } from '../care/index.js';
import { saysTheSame, seenTogether, type Testimony } from './together.js';

const seen = (surface: Testimony['surface'], soils: Partial<Record<Soil, 1 | 2 | 3 | 4>> = {}, note = ''): Testimony => ({
  surface,
  findings: Object.entries(soils).map(([soil, severity]) => ({ soil: soil as Soil, severity })),
  note,
});

describe('a look that was gone on with in two places', () => {
  it('is one where each looked at surfaces of their own', () => {
    const base = [seen('front-glass', { dust: 1 })];
    const mine = [...base, seen('rear-glass', { fingerprint: 2 })];
    const theirs = [...base, seen('barrel')];
    expect(seenTogether(base, mine, theirs)).toEqual({ answers: [base[0], theirs[1], mine[1]], differing: [] });
  });

  it('takes a change that only one of them made, whichever', () => {
    const base = [seen('front-glass', { dust: 1 })];
    const more = [seen('front-glass', { dust: 3 })];
    expect(seenTogether(base, more, base).answers).toEqual(more);
    expect(seenTogether(base, base, more).answers).toEqual(more);
  });

  it('asks where they say different things of a surface, and shows this place’s', () => {
    const nothing = [seen('front-glass')];
    const dust = [seen('front-glass', { dust: 2 })];
    expect(seenTogether([], nothing, dust)).toEqual({ answers: nothing, differing: ['front-glass'] });
    expect(seenTogether([], [seen('front-glass', {}, 'a nick')], nothing).differing).toEqual(['front-glass']);
  });

  it('knows the same testimony in any order', () => {
    expect(
      saysTheSame(
        [seen('barrel', { dust: 1, pollen: 2 }), seen('rear-glass')],
        [seen('rear-glass'), seen('barrel', { pollen: 2, dust: 1 })],
      ),
    ).toBe(true);
    expect(saysTheSame([seen('barrel', { dust: 1 })], [seen('barrel', { dust: 2 })])).toBe(false);
    expect(saysTheSame([seen('barrel')], [])).toBe(false);
  });

  const surfaces = ['front-glass', 'rear-glass', 'barrel'] as const;
  const testimony = fc.constantFrom<Partial<Record<Soil, 1 | 2>> | null>(null, {}, { dust: 1 }, { dust: 2 }, { fingerprint: 1 });
  const look = fc
    .tuple(testimony, testimony, testimony)
    .map((soils) => soils.flatMap((s, i) => (s === null ? [] : [seen(surfaces[i]!, s)])));

  it('loses nothing: what either changed is in it, or is asked about; and it does not matter where it is put together', () => {
    fc.assert(
      fc.property(look, look, look, (base, mine, theirs) => {
        const { answers, differing } = seenTogether(base, mine, theirs);
        const mirrored = seenTogether(base, theirs, mine);
        const settled = (all: Testimony[]) => all.filter(({ surface }) => !differing.includes(surface));
        expect([...mirrored.differing].sort()).toEqual([...differing].sort());
        expect(saysTheSame(settled(mirrored.answers), settled(answers))).toBe(true);
        for (const side of [mine, theirs])
          for (const one of side) {
            const was = base.filter((b) => b.surface === one.surface);
            if (saysTheSame([one], was) || differing.includes(one.surface)) continue;
            expect(
              saysTheSame(
                [one],
                answers.filter((a) => a.surface === one.surface),
              ),
            ).toBe(true);
          }
      }),
    );
  });
});
