import { describe, expect, it } from 'vitest';
import { type Finding, ITEM_KINDS, surfacesOf } from '../care/index.js';
import { assess, assessSurface, mostTelling, protocolFor } from './index.js';

const lens = { kind: 'lens', traits: {} } as const;
const onFront = (soil: Finding['soil'], severity: Finding['severity']): Finding => ({ surface: 'front-glass', soil, severity });

describe('the look', () => {
  it.each(ITEM_KINDS)('visits every surface of a %s once, in the order light meets them', (kind) => {
    expect(protocolFor(kind).map((s) => s.surface)).toEqual(surfacesOf(kind));
  });

  it('begins with the glass and ends with the caps and the shell', () => {
    const order = protocolFor('lens').map((s) => s.surface);
    expect(order[0]).toBe('front-glass');
    expect(order.indexOf('rear-glass')).toBeLessThan(order.indexOf('barrel'));
  });

  it('looks for fungus through the lens with a torch from behind (common practice)', () => {
    const inner = protocolFor('lens').find((s) => s.surface === 'inner-glass')!;
    expect(inner.lamp).toMatch(/torch from behind/);
    expect(inner.mayShow).toContain('fungus');
  });

  it('asks for a tacky finish among the first where rubber is pressed with a fingertip (common practice)', () => {
    for (const kind of ITEM_KINDS)
      for (const step of protocolFor(kind))
        if (/fingertip on it/.test(step.angle + step.handling)) expect(step.mayShow.slice(0, 4), step.surface).toContain('sticky-coating');
  });

  it('names a lamp, an angle and at least one thing to look for at every surface', () => {
    for (const kind of ITEM_KINDS)
      for (const step of protocolFor(kind)) {
        expect(step.lamp && step.angle && step.handling, step.surface).toBeTruthy();
        expect(step.mayShow.length).toBeGreaterThan(0);
        expect(new Set(step.mayShow).size, step.surface).toBe(step.mayShow.length);
      }
  });
});

describe('a verdict', () => {
  it('leaves a surface on which nothing was found', () => {
    expect(assessSurface(lens, [])).toMatchObject({ verdict: 'leave' });
  });

  it.each([
    ['dust', 1, 'leave'],
    ['dust', 2, 'clean'],
    ['salt', 1, 'clean'],
    ['fingerprint', 1, 'leave'],
    ['fingerprint', 2, 'clean'],
    ['fine-scratch', 4, 'leave'],
    ['deep-scratch', 3, 'hand-over'],
    ['fungus-outside', 1, 'isolate'],
    ['fog', 4, 'wait'],
  ] as const)('on %s of severity %i says %s', (soil, severity, verdict) => {
    expect(assessSurface(lens, [onFront(soil, severity)]).verdict).toBe(verdict);
  });

  it('is the gravest of what was found', () => {
    expect(assessSurface(lens, [onFront('dust', 4), onFront('fungus-outside', 1)]).verdict).toBe('isolate');
  });

  it('covers every surface of the thing', () => {
    expect(
      assess(lens, [onFront('dust', 2)])
        .filter((v) => v.verdict !== 'leave')
        .map((v) => v.surface),
    ).toEqual(['front-glass']);
    expect(assess(lens, []).length).toBe(surfacesOf('lens').length);
  });

  it('draws the worst finding, dirt before damage where they tie', () => {
    expect(mostTelling([onFront('fine-scratch', 2), onFront('dust', 2)])?.soil).toBe('dust');
    expect(mostTelling([onFront('fine-scratch', 3), onFront('dust', 2)])?.soil).toBe('fine-scratch');
    expect(mostTelling([])).toBeNull();
    // What was looked for and not found is no finding; of two alike the one told first is drawn.
    expect(mostTelling([onFront('dust', 0)])).toBeNull();
    expect(mostTelling([onFront('lint', 2), onFront('dust', 2)])?.soil).toBe('lint');
  });

  it('says why something found is left, and not that nothing was found', () => {
    const grip = assessSurface({ kind: 'slr-body', traits: {} }, [{ surface: 'grip-rubber', soil: 'sticky-coating', severity: 1 }]);
    expect(grip.verdict).toBe('leave');
    expect(grip.because).toEqual({ reason: 'sticky-is-aired' });
    expect(assessSurface({ kind: 'lens', traits: {} }, []).because).toEqual({ reason: 'nothing-found' });
  });
});
