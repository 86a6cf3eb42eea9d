import type { Drawer } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { toNumber } from '../../ui/toNumber';

/** The choices of a plan live in the address, so that a reload or a link shows the same plan. */
export const CONDITION_WORDS = {
  wind: 'Wind',
  blowingSand: 'Blowing sand',
  rain: 'Heavy rain',
  freshWater: 'Fresh water with me',
} as const;

/** The air, where it decides whether fluid may be used out there. */
export const AIR_WORDS = { temperatureC: 'Air, °C', humidityPct: 'Humidity, %' } as const;
export type AirKey = keyof typeof AIR_WORDS;
export const AIR_KEYS = Object.keys(AIR_WORDS) as AirKey[];
const AIR_BOUNDS: Record<AirKey, readonly [number, number]> = { temperatureC: [-60, 70], humidityPct: [0, 100] };

/** A reading as it was typed: what it counts as, or what is wrong with it; neither where nothing was typed. */
export type AirReading = { value?: number; fault?: string };

/** Reads "-4,5" as well as "-4.5"; what cannot be is said, not passed over. */
export function airReading(text: string | null, key: AirKey): AirReading {
  if (text === null || text.trim() === '') return {};
  const value = toNumber(text);
  const [low, high] = AIR_BOUNDS[key];
  if (typeof value !== 'number') return { fault: 'Write a number, like 4.5.' };
  return value >= low && value <= high ? { value } : { fault: `Between ${low} and ${high}.` };
}

function airFrom(params: URLSearchParams): Partial<care.Conditions> {
  const told = AIR_KEYS.map((key) => [key, airReading(params.get(key), key).value] as const);
  return Object.fromEntries(told.filter(([, value]) => value !== undefined));
}

export const placeFrom = (params: URLSearchParams): care.Place => (params.get('place') === 'field' ? 'field' : 'home');

/** Which kit is along outdoors: the one that is asked for, else that of the outing under way, else the only one there is; null for whatever the kits hold. */
export function kitFrom(params: URLSearchParams, { supplies: things, along }: Pick<Drawer, 'supplies' | 'along'>): string | null {
  const kits = supplies.kitsOf(things);
  const asked = params.get('kit');
  if (asked !== null) return asked === '' ? null : asked;
  return along ?? (kits.length === 1 ? kits[0]! : null);
}

export function conditionsFrom(params: URLSearchParams): care.Conditions {
  if (placeFrom(params) === 'home') return {};
  const told = Object.keys(CONDITION_WORDS).map((key) => [key, params.has(key)] as const);
  return { ...(Object.fromEntries(told) as care.Conditions), ...airFrom(params) };
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
