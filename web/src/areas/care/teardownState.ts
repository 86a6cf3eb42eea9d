import type { care } from '@bright-keeper/core';

/** What the record of an opened thing remembers. */
export type TeardownDraft = { phase: care.TeardownPhase; stages: care.TeardownStage[] };
export type TeardownAction =
  | { type: 'add'; stage: care.TeardownStage }
  | { type: 'edit'; id: string; change: Partial<care.TeardownStage> }
  | { type: 'remove'; id: string }
  | { type: 'phase'; phase: care.TeardownPhase };

export const newStage = (id: string): care.TeardownStage => ({
  id,
  what: '',
  parts: '',
  screws: '',
  turns: null,
  mark: '',
  hasPhoto: false,
  closed: false,
});

export function teardownReducer(draft: TeardownDraft, action: TeardownAction): TeardownDraft {
  switch (action.type) {
    case 'add':
      return { ...draft, stages: [...draft.stages, action.stage] };
    case 'edit':
      return { ...draft, stages: draft.stages.map((s) => (s.id === action.id ? { ...s, ...action.change } : s)) };
    case 'remove':
      return { ...draft, stages: draft.stages.filter((s) => s.id !== action.id) };
    case 'phase':
      return { ...draft, phase: action.phase };
    default:
      return action satisfies never;
  }
}
