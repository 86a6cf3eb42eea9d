import { type Basis, commonPractice, ourChoice } from '../../care/knowledge/index.js';

/** A kind of place things are kept in, with what is usual for it until it is measured or said. */
export type PlaceFacts = {
  name: string;
  volumeL: number;
  /** Complete changes of its air with that of the room, a day; null where the air is the room's own. */
  airChangesPerDay: number | null;
  openingsPerWeek: number;
  /** Does air move through it by itself? What is shut in without air turns sticky and keeps its damp. */
  aired: boolean;
  /** Meant for travel: things in it for long is a warning by itself. */
  forTravel: boolean;
  /** What is won, and what it costs. */
  tradeOff: string;
  basis: Basis;
};

const usual = ourChoice('A usual size and seal until the log or the keeper says otherwise.');

export const PLACES = {
  shelf: {
    name: 'open shelf',
    volumeL: 200,
    airChangesPerDay: null,
    openingsPerWeek: 0,
    aired: true,
    forTravel: false,
    tradeOff: 'Air keeps coatings from turning sticky and nothing stays damp by itself; but dust settles, and the room’s damp is its own.',
    basis: usual,
  },
  cupboard: {
    name: 'cupboard',
    volumeL: 300,
    airChangesPerDay: 12,
    openingsPerWeek: 5,
    aired: true,
    forTravel: false,
    tradeOff: 'Dust stays out and wood evens the days; but it follows the room’s season and a cold outer wall makes it damper.',
    basis: usual,
  },
  'sealed-box': {
    name: 'sealed box',
    volumeL: 50,
    airChangesPerDay: 0.5,
    openingsPerWeek: 2,
    aired: false,
    forTravel: false,
    tradeOff: 'With gel it is dry at no running cost; but damp that goes in stays in, and rubber and coatings want an airing now and then.',
    basis: usual,
  },
  'dry-cabinet': {
    name: 'dry cabinet',
    volumeL: 80,
    airChangesPerDay: 2,
    openingsPerWeek: 5,
    aired: true,
    forTravel: false,
    tradeOff: 'It holds a set-point by itself; but it costs current, and in a power cut it is a box with a fair seal.',
    basis: usual,
  },
  'soft-bag': {
    name: 'soft bag',
    volumeL: 25,
    airChangesPerDay: 6,
    openingsPerWeek: 1,
    aired: false,
    forTravel: true,
    tradeOff: 'Made for the road: its padding holds damp against the gear, and no air moves. Out of it when you are home.',
    basis: commonPractice,
  },
  'hard-case': {
    name: 'hard case',
    volumeL: 35,
    airChangesPerDay: 0.3,
    openingsPerWeek: 1,
    aired: false,
    forTravel: true,
    tradeOff: 'Water stays out, and just as well in: whatever was damp when it was shut stays damp.',
    basis: commonPractice,
  },
} as const satisfies Record<string, PlaceFacts>;

export type PlaceKind = keyof typeof PLACES;
export const PLACE_KINDS = Object.keys(PLACES) as PlaceKind[];
export const placeFacts = (kind: PlaceKind): PlaceFacts => PLACES[kind];

/** What a place is lined with holds moisture and gives it back: grams of water per % RH and litre of volume (our choice, orders of magnitude). */
export const LININGS = {
  none: { name: 'nothing that holds moisture', bufferGPerPctL: 0 },
  foam: { name: 'foam', bufferGPerPctL: 0.0005 },
  felt: { name: 'felt or cloth', bufferGPerPctL: 0.002 },
  wood: { name: 'bare wood', bufferGPerPctL: 0.004 },
  leather: { name: 'leather', bufferGPerPctL: 0.003 },
} as const satisfies Record<string, { name: string; bufferGPerPctL: number }>;
export type Lining = keyof typeof LININGS;
export const LINING_IDS = Object.keys(LININGS) as Lining[];
