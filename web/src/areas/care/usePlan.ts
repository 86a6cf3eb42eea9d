import { care } from '@bright-keeper/core';
import { useMemo } from 'react';
import { useChoices, withChoice } from '../../ui/choices';
import { requestFrom, selectedIn, surfacesOf, type PlanOf } from './planView';

/** The plan that the address asks for, remade at every change of it, and how the address is changed. */
export function usePlan(of: PlanOf) {
  const [params, setParams] = useChoices();
  const request = requestFrom(params, of);
  // The request is small; its text tells reliably when it has changed.
  const text = JSON.stringify(request);
  const { plan, changes } = useMemo(() => {
    const asked = JSON.parse(text) as care.PlanRequest;
    return { plan: care.planCleaning(asked), changes: care.schoolChanges(asked) };
  }, [text]);
  const surfaces = surfacesOf(plan);
  return {
    params,
    request,
    plan,
    changes,
    surfaces,
    selected: selectedIn(plan, surfaces, params.get('surface')),
    set: (key: string, value: string | null) => setParams(withChoice(params, key, value), { replace: true }),
  };
}
