import { dewPointC } from '../air/index.js';

/**
 * How hard it blows, by what it moves (Beaufort’s scale over land, WMO-No. 8, Table 5.1: force 0–1, 2–3, 4–5, 6 and more;
 * from force 4 on it raises dust and loose paper).
 */
export const WIND_SIGNS = ['still', 'leaves-rustle', 'raises-dust', 'branches-move'] as const;
export type WindSign = (typeof WIND_SIGNS)[number];
/** What is in the air besides, several at once. */
export const IN_THE_AIR = ['blowing-sand', 'heavy-rain', 'spray', 'light-rain', 'dew'] as const;
export type InTheAir = (typeof IN_THE_AIR)[number];

/** From which speed on a wind is called so, m/s: the lower ends of force 2, 4 and 6. */
const FROM_MS: readonly (readonly [WindSign, number])[] = [
  ['branches-move', 10.8],
  ['raises-dust', 5.5],
  ['leaves-rustle', 1.6],
];
/** What a wind of so many m/s is called. @throws RangeError below 0. */
export function windSign(windMs: number): WindSign {
  if (!(windMs >= 0)) throw new RangeError('windMs must be 0 or more');
  return FROM_MS.find(([, from]) => windMs >= from)?.[0] ?? 'still';
}

/** This hour, what there is to hide in, and what is in the hands. */
export type HourOutside = {
  wind: WindSign;
  inTheAir: readonly InTheAir[];
  temperatureC?: number;
  humidityPct?: number;
  /** How cold the camera is, where it comes from the cold. */
  gearC?: number;
  /** A car or a room is near. */
  shelter: boolean;
  /** A rain cover or a large clean bag is at hand. */
  cover: boolean;
  /** It takes film: there is nothing to switch off, and no sensor. */
  film: boolean;
};

export const LENS_CHANGE_ANSWERS = ['go-ahead', 'under-cover', 'shelter', 'wait'] as const;
export type LensChangeAnswer = (typeof LENS_CHANGE_ANSWERS)[number];
/** What speaks against it. */
export type LensChangeBecause = InTheAir | Exclude<WindSign, 'still' | 'leaves-rustle'> | 'fogs';

/** What may stand open at a step: the body, the lens that came off, the one that goes on. */
export const MAY_STAND_OPEN = ['body', 'off', 'on'] as const;
export type StandsOpen = (typeof MAY_STAND_OPEN)[number];
export type LensChangeStepId =
  | 'ready'
  | 'into-shelter'
  | 'into-cover'
  | 'back-to-wind'
  | 'no-breath'
  | 'switch-off'
  | 'mount-down'
  | 'off'
  | 'uncap-and-on'
  | 'cap'
  | 'frame-tonight';
export type LensChangeStep = { id: LensChangeStepId; open: readonly StandsOpen[] };
export type LensChangeAdvice = {
  answer: LensChangeAnswer;
  /** What speaks against going ahead; empty where nothing does. */
  because: LensChangeBecause[];
  /** In the order in which hands do them; none while it waits. */
  steps: LensChangeStep[];
};

/** In this nothing is opened outdoors: sand and water get in under any cover, and salt eats where it does. */
const NOTHING_OPENS: readonly LensChangeBecause[] = ['blowing-sand', 'heavy-rain', 'spray', 'branches-move'];

/** Does the air dew on what is in the hands? Then it stays shut, whatever there is to hide in. */
const fogs = ({ temperatureC, humidityPct, gearC }: HourOutside): boolean =>
  temperatureC !== undefined && humidityPct !== undefined && gearC !== undefined && gearC <= dewPointC(temperatureC, humidityPct);

function answerTo(because: readonly LensChangeBecause[], { shelter, cover }: HourOutside): LensChangeAnswer {
  if (because.includes('fogs')) return 'wait';
  if (shelter) return 'shelter';
  if (because.some((b) => NOTHING_OPENS.includes(b))) return 'wait';
  if (because.length > 0) return cover ? 'under-cover' : 'wait';
  return 'go-ahead';
}

const WHERE: Record<Exclude<LensChangeAnswer, 'wait'>, LensChangeStepId> = {
  'go-ahead': 'back-to-wind',
  'under-cover': 'into-cover',
  shelter: 'into-shelter',
};

function stepsOf(answer: LensChangeAnswer, because: readonly LensChangeBecause[], { film, temperatureC }: HourOutside): LensChangeStep[] {
  if (answer === 'wait') return [];
  const closed = (id: LensChangeStepId): LensChangeStep => ({ id, open: [] });
  return [
    closed('ready'),
    closed(WHERE[answer]),
    ...(temperatureC !== undefined && temperatureC <= 0 && answer !== 'shelter' ? [closed('no-breath')] : []),
    ...(film ? [] : [closed('switch-off')]),
    closed('mount-down'),
    { id: 'off', open: ['body', 'off'] },
    { id: 'uncap-and-on', open: ['body', 'off', 'on'] },
    { id: 'cap', open: ['off'] },
    ...(film || because.length === 0 ? [] : [closed('frame-tonight')]),
  ];
}

/**
 * May a lens be changed now? Wait, go into shelter, under a cover, or go ahead: with the steps, and what stands open at each
 * (rules 17, 18, 23 and 27 of the trade: common practice).
 */
export function lensChangeNow(hour: HourOutside): LensChangeAdvice {
  const blows = hour.wind === 'raises-dust' || hour.wind === 'branches-move' ? [hour.wind] : [];
  const because: LensChangeBecause[] = [...(fogs(hour) ? ['fogs' as const] : []), ...IN_THE_AIR.filter((a) => hour.inTheAir.includes(a)), ...blows]; // prettier-ignore
  const answer = answerTo(because, hour);
  return { answer, because, steps: stepsOf(answer, because, hour) };
}
