import { care } from '@bright-keeper/core';

/** The choices of a plan live in the address, so that a reload or a link shows the same plan. */
export const CONDITION_WORDS = {
  wind: 'Wind',
  blowingSand: 'Blowing sand',
  rain: 'Heavy rain',
  freshWater: 'Fresh water with me',
} as const;

/** The air, where it decides whether fluid may be used out there. */
export const AIR_WORDS = { temperatureC: 'Air, °C', humidityPct: 'Humidity, %' } as const;
const AIR_BOUNDS = { temperatureC: [-60, 70], humidityPct: [0, 100] } as const;

/** A reading from the address; undefined where none, or none that can be, stands there. */
function airFrom(params: URLSearchParams, key: keyof typeof AIR_WORDS): Partial<care.Conditions> {
  const text = params.get(key);
  const value = Number(text);
  const [low, high] = AIR_BOUNDS[key];
  return text !== null && text.trim() !== '' && value >= low && value <= high ? { [key]: value } : {};
}

export const placeFrom = (params: URLSearchParams): care.Place => (params.get('place') === 'field' ? 'field' : 'home');

export function conditionsFrom(params: URLSearchParams): care.Conditions {
  if (placeFrom(params) === 'home') return {};
  const told = Object.keys(CONDITION_WORDS).map((key) => [key, params.has(key)] as const);
  return { ...(Object.fromEntries(told) as care.Conditions), ...airFrom(params, 'temperatureC'), ...airFrom(params, 'humidityPct') };
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
