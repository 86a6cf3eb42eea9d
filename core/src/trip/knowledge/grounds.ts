import type { FieldNeedId } from './needs.js';

/** What the weather of an outing may bring; several at once. */
export const WEATHERS = ['wind', 'rain', 'cold', 'damp-night'] as const;
export type Weather = (typeof WEATHERS)[number];

/** How likely something is needed on one day there, 0 to 1 (our choice); only in some weather, where that is said. */
export type Risk = { need: FieldNeedId; aDay: number; in?: Weather };
export type GroundFacts = { name: string; risks: readonly Risk[] };

/** What may be needed wherever one goes with more than one lens. */
const ANYWHERE: readonly Risk[] = [
  { need: 'loose-dust', aDay: 0.3 },
  { need: 'print-on-glass', aDay: 0.2 },
  { need: 'cap-lost', aDay: 0.04 },
  { need: 'filter-stuck', aDay: 0.03 },
  { need: 'plate-loose', aDay: 0.05 },
  { need: 'cell-empty', aDay: 0.15 },
  { need: 'small-parts', aDay: 0.05 },
];
const OUTDOORS: readonly Risk[] = [
  ...ANYWHERE,
  { need: 'sensor-speck', aDay: 0.05 },
  { need: 'front-struck', aDay: 0.01 },
  { need: 'rain-on-it', aDay: 0.6, in: 'rain' },
  { need: 'wet-hands', aDay: 0.4, in: 'rain' },
  { need: 'damp-in-the-bag', aDay: 0.4, in: 'rain' },
  { need: 'cell-cold', aDay: 0.3, in: 'cold' },
  { need: 'cold-to-warm', aDay: 0.5, in: 'cold' },
  { need: 'sensor-speck', aDay: 0.15, in: 'wind' },
  { need: 'dew', aDay: 0.5, in: 'damp-night' },
];

/** Kinds of ground an outing goes to, each one record: what is likely to be needed there, by weather. */
export const GROUNDS = {
  town: { name: 'Town', risks: OUTDOORS },
  shore: {
    name: 'Shore',
    risks: [
      ...OUTDOORS,
      { need: 'sand-on-it', aDay: 0.4 },
      { need: 'sand-on-it', aDay: 0.5, in: 'wind' },
      { need: 'front-struck', aDay: 0.05, in: 'wind' },
      { need: 'salt-spray', aDay: 0.3 },
      { need: 'salt-spray', aDay: 0.5, in: 'wind' },
      { need: 'salt-to-rinse', aDay: 0.15 },
      { need: 'wet-hands', aDay: 0.3 },
    ],
  },
  boat: {
    name: 'Boat',
    risks: [
      ...OUTDOORS,
      { need: 'salt-spray', aDay: 0.7 },
      { need: 'salt-to-rinse', aDay: 0.5 },
      { need: 'wet-hands', aDay: 0.7 },
      { need: 'damp-in-the-bag', aDay: 0.4 },
    ],
  },
  desert: {
    name: 'Dust and sand',
    risks: [
      ...OUTDOORS,
      { need: 'sand-on-it', aDay: 0.6 },
      { need: 'sand-on-it', aDay: 0.6, in: 'wind' },
      { need: 'front-struck', aDay: 0.08, in: 'wind' },
      { need: 'loose-dust', aDay: 0.6 },
      { need: 'sensor-speck', aDay: 0.15 },
    ],
  },
  forest: {
    name: 'Forest',
    risks: [...OUTDOORS, { need: 'damp-in-the-bag', aDay: 0.3 }, { need: 'cold-to-warm', aDay: 0.1 }, { need: 'front-struck', aDay: 0.02 }],
  },
  mountain: {
    name: 'Mountain or moor',
    risks: [...OUTDOORS, { need: 'rain-on-it', aDay: 0.15 }, { need: 'front-struck', aDay: 0.02 }, { need: 'plate-loose', aDay: 0.05 }],
  },
  snow: {
    name: 'Snow',
    risks: [
      ...OUTDOORS,
      { need: 'cell-cold', aDay: 0.5 },
      { need: 'cold-to-warm', aDay: 0.9 },
      { need: 'wet-hands', aDay: 0.5 },
      { need: 'damp-in-the-bag', aDay: 0.3 },
    ],
  },
  'night-sky': {
    name: 'Night sky',
    risks: [
      ...OUTDOORS,
      { need: 'dew', aDay: 0.4 },
      { need: 'dark', aDay: 1 },
      { need: 'cell-empty', aDay: 0.2 },
      { need: 'cold-to-warm', aDay: 0.3 },
    ],
  },
  studio: { name: 'Studio', risks: ANYWHERE },
  other: { name: 'Elsewhere', risks: OUTDOORS },
} as const satisfies Record<string, GroundFacts>;
export type GroundId = keyof typeof GROUNDS;
export const GROUND_IDS = Object.keys(GROUNDS) as GroundId[];
export const groundFacts = (id: GroundId): GroundFacts => GROUNDS[id];

/** What a ground's record still lacks that types cannot see, for whoever adds one. Empty when it is whole. */
export function checkGround(id: string, { name, risks }: GroundFacts): string[] {
  return [
    ...(name === '' ? ['it wants a name'] : []),
    ...(risks.length === 0 ? ['it says nothing of what may be needed there'] : []),
    ...risks.filter(({ aDay }) => !(aDay > 0 && aDay <= 1)).map(({ need }) => `${need}: how likely on one day, above 0 and up to 1`),
  ].map((fault) => `ground ${id}: ${fault}`);
}
