import type { LookAnswer } from '@bright-keeper/contract';
import { care, inspection } from '@bright-keeper/core';

/** What the look screen remembers: where one stands and what was seen so far. */
export type LookDraft = { at: care.Surface | null; answers: LookAnswer[] };

export type LookAction =
  | { type: 'go'; to: care.Surface }
  | { type: 'nothing-here'; surface: care.Surface }
  | { type: 'see'; surface: care.Surface; soil: care.Soil; severity: care.Severity }
  /** How far across the largest one of each kind is, mm; null: not measured after all. */
  | { type: 'size'; surface: care.Surface; sizeMm: number | null }
  | { type: 'note'; surface: care.Surface; note: string };

export const answerFor = (draft: LookDraft, surface: care.Surface): LookAnswer | undefined =>
  draft.answers.find((a) => a.surface === surface);

function withAnswer(draft: LookDraft, surface: care.Surface, change: (answer: LookAnswer) => LookAnswer): LookDraft {
  const before = answerFor(draft, surface);
  // Whoever says anything of a surface has looked there: it is no longer only expected.
  const { noted: _, ...after } = change(before ?? { surface, findings: [], note: '' });
  const answers = before ? draft.answers.map((a) => (a === before ? after : a)) : [...draft.answers, after];
  return { ...draft, answers };
}

/** Nobody looked there after all. */
export const withoutAnswer = (draft: LookDraft, surface: care.Surface): LookDraft => ({
  ...draft,
  answers: draft.answers.filter((a) => a.surface !== surface),
});

/** Severity 0 takes the soil away again. */
function withSoil(answer: LookAnswer, soil: care.Soil, severity: care.Severity): LookAnswer {
  const others = answer.findings.filter((f) => f.soil !== soil);
  const before = answer.findings.find((f) => f.soil === soil);
  return { ...answer, findings: severity === 0 ? others : [...others, { ...before, soil, severity }] };
}

/** The size of what can be measured on this surface. */
const withSize = (answer: LookAnswer, sizeMm: number | null): LookAnswer => ({
  ...answer,
  findings: answer.findings.map(({ soil, severity }) => ({
    soil,
    severity,
    ...(sizeMm !== null && care.isMeasured(answer.surface, soil) ? { sizeMm } : {}),
  })),
});

/** One action of the person at the lamp. */
export function lookReducer(draft: LookDraft, action: LookAction): LookDraft {
  switch (action.type) {
    case 'go':
      return { ...draft, at: action.to };
    case 'nothing-here':
      return withAnswer(draft, action.surface, (a) => ({ ...a, findings: [] }));
    case 'see':
      return withAnswer(draft, action.surface, (a) => withSoil(a, action.soil, action.severity));
    case 'size':
      return withAnswer(draft, action.surface, (a) => withSize(a, action.sizeMm));
    case 'note':
      return withAnswer(draft, action.surface, (a) => ({ ...a, note: action.note }));
    default:
      return action satisfies never;
  }
}

/** Where one stands in a look: the step, and what comes before and after it. */
export type Standing = { index: number; step: inspection.LookStep; next?: inspection.LookStep; previous?: inspection.LookStep };

/** The step of the surface one is at; the first where there is none, or one that this thing has no longer. */
export function standingIn(steps: readonly inspection.LookStep[], at: care.Surface | null): Standing {
  const index = Math.max(
    0,
    steps.findIndex((s) => s.surface === at),
  );
  const [previous, next] = [steps[index - 1], steps[index + 1]];
  return { index, step: steps[index]!, ...(next ? { next } : {}), ...(previous ? { previous } : {}) };
}

/** Says "nothing here" unless something was tapped, "it is there" of what was expected, and goes on to the next surface. */
export function goneOn(draft: LookDraft, { step, next }: Standing): LookDraft {
  const answer = answerFor(draft, step.surface);
  const confirmed = answer?.noted ? withAnswer(draft, step.surface, (a) => a) : draft;
  const seen = answer ? confirmed : lookReducer(draft, { type: 'nothing-here', surface: step.surface });
  return next ? lookReducer(seen, { type: 'go', to: next.surface }) : seen;
}

/** What each surface that was answered comes to, by the keeper’s schools. */
export const verdictsOf = (draft: LookDraft, thing: { kind: care.ItemKind; traits: care.Traits }, schools?: care.Schools) =>
  draft.answers.map(({ surface, findings }) => ({
    surface,
    findings,
    ...inspection.assessSurface(
      thing,
      findings.map((f) => ({ ...f, surface })),
      schools,
    ),
  }));
