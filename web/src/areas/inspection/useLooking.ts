import type { ItemPage, LookDoc } from '@bright-keeper/contract';
import { care, inspection } from '@bright-keeper/core';
import { useMemo } from 'react';
import { useSavedDocument } from '../../api/useSavedDocument';
import { useSettings } from '../settings';
import { cacheLook, saveLook } from './queries';
import { answerFor, goneOn, lookReducer, standingIn, verdictsOf, type LookAction, type LookDraft } from './state';

const draftOf = (look: LookDoc): LookDraft => ({ at: look.at, answers: look.answers });

/** A look as one stands in it: the surface, what was answered there, the verdicts so far, and how one goes on. */
export function useLooking(look: LookDoc, item: ItemPage) {
  const schools = useSettings().data?.schools;
  const save = useMemo(() => saveLook(look.id), [look.id]);
  const doc = useSavedDocument({ name: look.id, loaded: look, draftOf, save, onSaved: cacheLook });
  const { draft, change } = doc;
  const steps = useMemo(() => inspection.protocolFor(item.kind, item.traits), [item.kind, item.traits]);
  const states = useMemo(() => verdictsOf(draft, item, schools), [draft, item, schools]);
  const stand = standingIn(steps, draft.at);
  const act = (action: LookAction) => change(lookReducer(draft, action));
  return {
    doc,
    draft,
    steps,
    states,
    ...stand,
    answer: answerFor(draft, stand.step.surface),
    verdict: states.find((s) => s.surface === stand.step.surface),
    act,
    go: (to: care.Surface) => act({ type: 'go', to }),
    goOn: () => change(goneOn(draft, stand)),
  };
}
