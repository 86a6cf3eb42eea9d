import { care, inspection } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { goneOn, lookReducer, standingIn, verdictsOf, type LookAction, type LookDraft } from './state';

const after = (...actions: LookAction[]): LookDraft => actions.reduce(lookReducer, { at: null, answers: [] });

describe('at the lamp', () => {
  it('remembers what was seen on each surface, and how much', () => {
    const draft = after(
      { type: 'see', surface: 'front-glass', soil: 'dust', severity: 2 },
      { type: 'see', surface: 'front-glass', soil: 'dust', severity: 4 },
      { type: 'see', surface: 'rear-glass', soil: 'lint', severity: 1 },
    );
    expect(draft.answers).toEqual([
      { surface: 'front-glass', findings: [{ soil: 'dust', severity: 4 }], note: '' },
      { surface: 'rear-glass', findings: [{ soil: 'lint', severity: 1 }], note: '' },
    ]);
  });

  it('takes a soil away again but still counts the surface as looked at', () => {
    expect(
      after({ type: 'see', surface: 'barrel', soil: 'dust', severity: 2 }, { type: 'see', surface: 'barrel', soil: 'dust', severity: 0 })
        .answers,
    ).toEqual([{ surface: 'barrel', findings: [], note: '' }]);
  });

  it('keeps the note when nothing is found', () => {
    expect(after({ type: 'note', surface: 'barrel', note: 'worn' }, { type: 'nothing-here', surface: 'barrel' }).answers[0]).toEqual({
      surface: 'barrel',
      findings: [],
      note: 'worn',
    });
  });

  it('goes where it is sent', () => expect(after({ type: 'go', to: 'rear-glass' }).at).toBe('rear-glass'));
});

describe('where one stands in a look', () => {
  const steps = inspection.protocolFor('lens', {});

  it.each([
    [null, 0],
    [steps[2]!.surface, 2],
    ['sensor-cover', 0],
  ] as const)('at %s it is step %i', (at, index) => expect(standingIn(steps, at).index).toBe(index));

  it('has nothing before the first surface and nothing after the last', () => {
    expect(standingIn(steps, steps[0]!.surface).previous).toBeUndefined();
    expect(standingIn(steps, steps.at(-1)!.surface).next).toBeUndefined();
    expect(standingIn(steps, steps[1]!.surface).previous?.surface).toBe(steps[0]!.surface);
  });

  it('goes on with "nothing here" where nothing was tapped, and keeps what was', () => {
    const [first, second] = steps.map((s) => s.surface) as [care.Surface, care.Surface];
    const empty = goneOn({ at: first, answers: [] }, standingIn(steps, first));
    expect(empty).toEqual({ at: second, answers: [{ surface: first, findings: [], note: '' }] });
    const seen = after({ type: 'go', to: first }, { type: 'see', surface: first, soil: 'dust', severity: 2 });
    expect(goneOn(seen, standingIn(steps, first)).answers).toEqual(seen.answers);
  });

  it('stays at the last surface when it is answered', () => {
    const last = steps.at(-1)!.surface;
    expect(goneOn({ at: last, answers: [] }, standingIn(steps, last)).at).toBe(last);
  });

  it('tells the verdict of each surface by the keeper’s own schools', () => {
    const trace = after({ type: 'see', surface: 'front-glass', soil: 'dust', severity: 1 });
    const thing = { kind: 'lens', traits: {} } as const;
    expect(verdictsOf(trace, thing)[0]).toMatchObject({ surface: 'front-glass', verdict: 'leave' });
    expect(verdictsOf(trace, thing, { ...care.DEFAULT_SCHOOLS, habit: 'after-every-outing' })[0]).toMatchObject({ verdict: 'clean' });
  });
});
