import type { LookAnswer } from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';

/** What the look screen remembers: where one stands and what was seen so far. */
export type LookDraft = { at: care.Surface | null; answers: LookAnswer[] };

export type LookAction =
  | { type: 'go'; to: care.Surface }
  | { type: 'nothing-here'; surface: care.Surface }
  | { type: 'see'; surface: care.Surface; soil: care.Soil; severity: care.Severity }
  | { type: 'note'; surface: care.Surface; note: string };

export const answerFor = (draft: LookDraft, surface: care.Surface): LookAnswer | undefined =>
  draft.answers.find((a) => a.surface === surface);

function withAnswer(draft: LookDraft, surface: care.Surface, change: (answer: LookAnswer) => LookAnswer): LookDraft {
  const before = answerFor(draft, surface);
  const after = change(before ?? { surface, findings: [], note: '' });
  const answers = before ? draft.answers.map((a) => (a === before ? after : a)) : [...draft.answers, after];
  return { ...draft, answers };
}

/** Severity 0 takes the soil away again. */
function withSoil(answer: LookAnswer, soil: care.Soil, severity: care.Severity): LookAnswer {
  const others = answer.findings.filter((f) => f.soil !== soil);
  return { ...answer, findings: severity === 0 ? others : [...others, { soil, severity }] };
}

/** One action of the person at the lamp. */
export function lookReducer(draft: LookDraft, action: LookAction): LookDraft {
  switch (action.type) {
    case 'go':
      return { ...draft, at: action.to };
    case 'nothing-here':
      return withAnswer(draft, action.surface, (a) => ({ ...a, findings: [] }));
    case 'see':
      return withAnswer(draft, action.surface, (a) => withSoil(a, action.soil, action.severity));
    case 'note':
      return withAnswer(draft, action.surface, (a) => ({ ...a, note: action.note }));
    default:
      return action satisfies never;
  }
}
