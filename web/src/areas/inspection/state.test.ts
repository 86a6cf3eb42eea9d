import { describe, expect, it } from 'vitest';
import { lookReducer, type LookAction, type LookDraft } from './state';

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
