import { care } from '@bright-keeper/core';

/** The choices of a plan live in the address, so that a reload or a link shows the same plan. */
export const CONDITION_WORDS = { wind: 'Wind', blowingSand: 'Blowing sand', rain: 'Rain or spray' } as const;

export const placeFrom = (params: URLSearchParams): care.Place => (params.get('place') === 'field' ? 'field' : 'home');

export function conditionsFrom(params: URLSearchParams): care.Conditions {
  if (placeFrom(params) === 'home') return {};
  return { wind: params.has('wind'), blowingSand: params.has('blowingSand'), rain: params.has('rain') };
}

/** The user's schools, with what was chosen for this plan alone laid over them. */
export function schoolsFrom(params: URLSearchParams, mine: care.Schools): care.Schools {
  const schools: Record<string, string> = { ...mine };
  for (const id of care.SCHOOL_IDS) {
    const choice = params.get(`school.${id}`);
    if (choice && care.schoolChoices(id).includes(choice)) schools[id] = choice;
  }
  return schools as care.Schools;
}

/** The school whose choices are set side by side, if any. */
export const comparedFrom = (params: URLSearchParams): care.SchoolId | null =>
  care.SCHOOL_IDS.find((id) => id === params.get('compare')) ?? null;

export function withChoice(params: URLSearchParams, key: string, value: string | null): URLSearchParams {
  const next = new URLSearchParams(params);
  if (value === null) next.delete(key);
  else next.set(key, value);
  return next;
}
