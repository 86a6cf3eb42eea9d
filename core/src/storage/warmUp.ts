import { dewPointC } from '../air/index.js';
import { type Basis, ourChoice } from '../care/knowledge/index.js';

export const WRAPPINGS = {
  bare: { name: 'bare', h: 9 },
  'plastic-bag': { name: 'in a closed plastic bag', h: 5 },
  'padded-bag': { name: 'in its padded bag', h: 3.2 },
} as const satisfies Record<string, { name: string; h: number }>;
export type Wrapping = keyof typeof WRAPPINGS;

/** Usual sizes, for those who do not weigh a lens first. */
export const TYPICAL_THINGS = {
  'small-lens': { name: 'a small lens', massG: 200, lengthMm: 45, diameterMm: 60 },
  'mid-lens': { name: 'a middling zoom', massG: 650, lengthMm: 110, diameterMm: 80 },
  'long-lens': { name: 'a long lens', massG: 1500, lengthMm: 200, diameterMm: 90 },
  body: { name: 'a body', massG: 700, lengthMm: 80, diameterMm: 120 },
  binocular: { name: 'binoculars', massG: 600, lengthMm: 120, diameterMm: 90 },
  telescope: { name: 'a small telescope', massG: 3000, lengthMm: 450, diameterMm: 95 },
} as const;

export type TypicalThing = keyof typeof TYPICAL_THINGS;

export type WarmUpQuestion = {
  startC: number;
  roomC: number;
  roomHumidityPct: number;
  massG: number;
  lengthMm: number;
  diameterMm: number;
  wrapping: Wrapping;
};
export type WarmUp = {
  /** Until its surface is a kelvin above the dew point; 0 when it never fogs, Infinity when it never clears. */
  minutes: number;
  /** What to wait in practice: half as long again. */
  allowanceMinutes: number;
  willFog: boolean;
  dewPointC: number;
  tauMinutes: number;
  /** Above 0.1 the inside lags behind the surface, and the reckoning is too quick. */
  biot: number;
};

/** Heat capacity of glass and light alloy together, J/(kg K); conductivity of glass, W/(m K) (our choice). */
const HEAT_CAPACITY = 850;
const CONDUCTIVITY = 1.1;
const MARGIN_K = 1;
const ALLOWANCE = 1.5;
export const LUMPED_LIMIT = 0.1;
export const WARM_UP_BASIS: Basis = ourChoice(
  'Lumped cooling (Incropera, chapter 5) with a heat capacity of 850 J/(kg·K) and 9, 5 or 3.2 W/(m²·K) bare, in plastic or padded.',
);

/** The time constant of a lump, seconds: mass times heat capacity over heat transfer times area. */
export const lumpedTauS = (massKg: number, capacity: number, h: number, areaM2: number): number => (massKg * capacity) / (h * areaM2);

/** How long a bare thing of this size takes to come two thirds of the way to what is around it, minutes. */
export const bareTauMinutes = (thing: TypicalThing): number => tauMinutesOf(TYPICAL_THINGS[thing], 'bare');

type Lump = { massG: number; lengthMm: number; diameterMm: number };
/** The time constant of a thing in its wrapping, minutes. */
export const tauMinutesOf = (thing: Lump, wrapping: Wrapping): number =>
  lumpedTauS(thing.massG / 1000, HEAT_CAPACITY, WRAPPINGS[wrapping].h, areaOf(thing)) / 60;
/** The surface of a thing as a cylinder, m². */
const areaOf = ({ lengthMm, diameterMm }: Lump): number => {
  const [length, radius] = [lengthMm / 1000, diameterMm / 2000];
  return 2 * Math.PI * radius * (length + radius);
};

/** Seconds until a lump that starts at `startC` in a room of `roomC` has come to `goalC`. */
export const lumpedTimeS = (tauS: number, startC: number, roomC: number, goalC: number): number =>
  tauS * Math.log((roomC - startC) / (roomC - goalC));

/**
 * How long a thing brought into warm air must stay wrapped until it no longer fogs. Out of a cooled room into a
 * warm street it is the same sum.
 *
 * @throws RangeError when a mass or a size is not above 0.
 */
export function warmUpMinutes({ startC, roomC, roomHumidityPct, massG, lengthMm, diameterMm, wrapping }: WarmUpQuestion): WarmUp {
  if (!(massG > 0 && lengthMm > 0 && diameterMm > 0)) throw new RangeError('mass, length and diameter must be above 0');
  const thing = { massG, lengthMm, diameterMm };
  const tauMinutes = tauMinutesOf(thing, wrapping);
  const volumeM3 = Math.PI * (diameterMm / 2000) ** 2 * (lengthMm / 1000);
  const dew = dewPointC(roomC, roomHumidityPct);
  const goal = dew + MARGIN_K;
  const willFog = startC < goal;
  const minutes = !willFog ? 0 : goal >= roomC ? Infinity : lumpedTimeS(tauMinutes * 60, startC, roomC, goal) / 60;
  return {
    minutes,
    allowanceMinutes: ALLOWANCE * minutes,
    willFog,
    dewPointC: dew,
    tauMinutes,
    biot: (WRAPPINGS[wrapping].h * (volumeM3 / areaOf(thing))) / CONDUCTIVITY,
  };
}
