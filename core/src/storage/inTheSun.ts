import { type Basis, ourChoice } from '../care/knowledge/index.js';
import { tauMinutesOf, TYPICAL_THINGS, type TypicalThing } from './warmUp.js';

/** Sun from a clear sky and through thin cloud, W/m² (our choice, order of magnitude). */
export const SUNS = { clear: { name: 'Clear sky', wattsM2: 900 }, hazy: { name: 'Through thin cloud', wattsM2: 450 } } as const;
export type Sun = keyof typeof SUNS;
/** What takes up the sun (our choice): of a bag a share of its surface is lit. A car is warmer than the air by what is known of parked ones. */
export const SHELTERS = {
  'black-bag': { name: 'A black bag', takesUp: 0.9 },
  'light-bag': { name: 'A light bag, or a white cloth over it', takesUp: 0.35 },
  shade: { name: 'In the shade', takesUp: 0 },
} as const;
export type Shelter = keyof typeof SHELTERS;
const SUNLIT_SHARE = 0.3;
/** A parked car in the sun after an hour, K above the air (common practice: 20 to 30). */
export const CAR_ABOVE_K: Record<Sun, number> = { clear: 25, hazy: 15 };

export const IN_THE_SUN_BASIS: Basis = ourChoice(
  'An order of magnitude: 900 W/m² on three tenths of a bag, given off at 10 W/(m²·K) and 4 more for each m/s of wind; what lies in it follows like a lump in a padded bag. A parked car: 20 to 30 K above the air after an hour (common practice). From when on something gives way is from memory; what its maker says stands above it.',
);

/** What a bag comes to in the sun, °C. @throws RangeError for wind below 0. */
export function bagInSunC(airC: number, shelter: Shelter, sun: Sun, windMs: number): number {
  if (!(windMs >= 0)) throw new RangeError('windMs must not be below 0');
  return airC + (SHELTERS[shelter].takesUp * SUNS[sun].wattsM2 * SUNLIT_SHARE) / (10 + 4 * windMs);
}

/** What a thing has come to that lies in a padded bag of this temperature for so long, °C. */
export const afterHoursC = (startC: number, bagC: number, hours: number, thing: TypicalThing): number =>
  bagC + (startC - bagC) * Math.exp((-60 * hours) / tauMinutesOf(TYPICAL_THINGS[thing], 'padded-bag'));

/** From which temperature on something gives way, °C; orders of magnitude, what the maker says stands above them. */
export const GIVES_WAY = [
  { fromC: 40, what: 'Grease of old helicoids thins and creeps towards the blades.' },
  { fromC: 45, what: 'Cells age fast, and many may not be charged when they are warmer; their maker names the most.' },
  { fromC: 50, what: 'Old cement between two glasses may soften, and glue under leatherette and grips lets go.' },
  {
    fromC: 60,
    what: 'Beyond what makers of lithium cells allow: out of the bag into the shade, and not charged. One that swells or smells is left outdoors, away from what burns.',
  },
] as const;
