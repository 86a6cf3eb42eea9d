import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { care, inspection } from '../index.js';

const LENS: care.Traits = { focalMm: 50, smallestFNumber: 11 };
const verdict = (finding: care.Finding, traits: care.Traits = LENS, schools?: Partial<care.Schools>) =>
  inspection.assessSurface({ kind: 'lens', traits }, [finding], schools);
const dust = (more: Partial<care.Finding> = {}): care.Finding => ({ surface: 'front-glass', soil: 'dust', severity: 2, ...more });

describe('a speck or a blemish on the front', () => {
  // At 50 mm and f/11 a beam is 4.5 mm wide; what takes less than 2 % of it is narrower than 0.64 mm (science.md).
  it.each([
    [0.2, 'leave'],
    [0.6, 'leave'],
    [0.7, 'clean'],
    [2, 'clean'],
  ] as const)('of %d mm is worth touching only if it can show', (sizeMm, expected) => {
    expect(verdict(dust({ sizeMm })).verdict).toBe(expected);
  });

  it('says what it was judged by', () => {
    expect(verdict(dust({ sizeMm: 0.5 })).because).toEqual({
      reason: 'never-shows',
      soil: 'dust',
      sizeMm: 0.5,
      focalMm: 50,
      fNumber: 11,
    });
  });

  it('shows sooner at a smaller aperture and a shorter focal length', () => {
    expect(verdict(dust({ sizeMm: 0.5 }), { ...LENS, smallestFNumber: 22 }).verdict).toBe('clean');
    expect(verdict(dust({ sizeMm: 0.5 }), { ...LENS, focalMm: 24 }).verdict).toBe('clean');
    expect(verdict(dust({ sizeMm: 2 }), { ...LENS, focalMm: 300 }).verdict).toBe('leave');
  });

  it('of damage is handed over where it shows, with the aperture from which on, and left where it never does', () => {
    const scratch = (sizeMm?: number) =>
      verdict({ surface: 'front-glass', soil: 'deep-scratch', severity: 3, ...(sizeMm ? { sizeMm } : {}) });
    expect(scratch(0.2)).toMatchObject({ verdict: 'leave', because: { reason: 'never-shows' } });
    expect(scratch(1)).toMatchObject({ verdict: 'hand-over', because: { reason: 'damage', showsFrom: 8 } });
    expect(scratch()).toEqual({
      verdict: 'hand-over',
      because: { reason: 'damage', soil: 'deep-scratch', surface: 'front-glass', grave: true },
    });
  });

  it('is cleaned all the same by who cleans after every outing, and where it is a veil of them', () => {
    expect(verdict(dust({ sizeMm: 0.2 }), LENS, { habit: 'after-every-outing' }).verdict).toBe('clean');
    expect(verdict(dust({ sizeMm: 0.2, severity: 3 })).verdict).toBe('clean');
  });

  it('is judged by its amount alone where lens or size was not told', () => {
    for (const traits of [{}, { focalMm: 50 }, { smallestFNumber: 11 }])
      expect(verdict(dust({ sizeMm: 0.2 }), traits)).toEqual(verdict(dust(), traits));
  });

  it('has a plan that leaves it alone, for the same reason', () => {
    const plan = care.planCleaning({ item: { kind: 'lens', traits: LENS }, findings: [dust({ sizeMm: 0.5 })], place: 'home' });
    expect(plan.steps).toEqual([]);
    expect(plan.leaveAlone).toMatchObject([{ surface: 'front-glass', reason: 'never-shows' }]);
  });

  it('and nothing else: the size of what is a film, grows, or lies elsewhere changes no verdict', () => {
    const surfaces = care.surfacesOf('lens', LENS);
    fc.assert(
      fc.property(
        fc.constantFrom(...surfaces),
        fc.constantFrom(...care.SOIL_IDS),
        fc.constantFrom(1, 2, 3, 4),
        fc.double({ min: 0.02, max: 20, noNaN: true }),
        (surface, soil, severity, sizeMm) => {
          const finding = { surface, soil, severity } as care.Finding;
          if (!care.isMeasured(surface, soil)) expect(verdict({ ...finding, sizeMm })).toEqual(verdict(finding));
        },
      ),
    );
  });
});
