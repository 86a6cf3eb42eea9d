import type { OutingInput } from '@bright-keeper/contract';
import { BELT_POUCH, BOAT_BOX } from './drawer.js';

export type DemoOuting = Omit<OutingInput, 'from' | 'to' | 'itemIds'> & {
  /** Days before the day of loading; negative for what is to come. */
  fromDaysAgo: number;
  toDaysAgo: number;
  things: readonly string[];
};

const counted = { frames: null, lensChanges: null, hours: null, note: '' } as const;
const WALK = ['Skerrow M2', 'Corvane 35/2', 'Corvane 85/1.8'] as const;

const SEASONS = ['Winter', 'Spring', 'Summer', 'Autumn'] as const;
/** A name in the season of its day: islands in the north. December to February are winter. */
export const inSeason = (name: string, day: string): string =>
  name.replace('{Season}', SEASONS[Math.floor((Number(day.slice(5, 7)) % 12) / 3)]!);

/** Nine past outings, one under way, and three to come. */
export const OUTINGS: readonly DemoOuting[] = [
  {
    ...counted,
    name: 'Breakwater in a westerly',
    place: 'shore',
    fromDaysAgo: 330,
    toDaysAgo: 330,
    met: ['salt'],
    frames: 240,
    things: [...WALK, 'Clear 52 mm'],
  },
  {
    ...counted,
    name: 'Slate quarry',
    place: 'desert',
    fromDaysAgo: 290,
    toDaysAgo: 289,
    met: ['dust'],
    frames: 410,
    lensChanges: 6,
    things: ['Skerrow M1', 'Tidewell 24-70/4', 'Tidewell 16-35/4'],
  },
  { ...counted, name: 'Harbour fair', place: 'town', fromDaysAgo: 250, toDaysAgo: 250, met: [], frames: 520, things: WALK },
  {
    ...counted,
    name: 'Seals from the boat',
    place: 'boat',
    fromDaysAgo: 215,
    toDaysAgo: 214,
    met: ['salt', 'damp'],
    frames: 380,
    things: ['Skerrow M1', 'Tidewell 70-200/4'],
  },
  {
    ...counted,
    name: '{Season} rain on the moor',
    place: 'mountain',
    fromDaysAgo: 160,
    toDaysAgo: 158,
    met: ['rain', 'damp'],
    frames: 300,
    lensChanges: 4,
    things: ['Skerrow M2', 'Tidewell 24-70/4', 'Corvane 24/2.8'],
  },
  {
    ...counted,
    name: '{Season} sky from the dunes',
    place: 'night-sky',
    fromDaysAgo: 110,
    toDaysAgo: 110,
    met: ['damp'],
    hours: 5,
    things: ['Skerrow M1', 'Corvane 24/2.8', 'Field telescope 80/480'],
  },
  {
    ...counted,
    name: 'Copying the old albums',
    place: 'studio',
    fromDaysAgo: 70,
    toDaysAgo: 68,
    met: [],
    frames: 900,
    things: ['Skerrow M2', 'Corvane 100/2.8 close-up'],
  },
  {
    ...counted,
    name: 'Lighthouse in the storm',
    place: 'shore',
    fromDaysAgo: 36,
    toDaysAgo: 36,
    met: ['salt', 'rain'],
    frames: 180,
    things: ['Skerrow M1', 'Tidewell 16-35/4'],
  },
  {
    ...counted,
    name: 'Ferry in the fog',
    place: 'boat',
    fromDaysAgo: 1,
    toDaysAgo: 1,
    met: ['salt', 'damp'],
    frames: 150,
    things: ['Skerrow M2', 'Corvane 50/1.8'],
  },
  {
    ...counted,
    name: 'Round the north coast',
    place: 'mountain',
    also: ['shore'],
    weather: ['wind'],
    kit: BELT_POUCH,
    fromDaysAgo: 1,
    toDaysAgo: -2,
    met: [],
    things: ['Skerrow R35 (1958)', 'Corvane 28/2'],
  },
  {
    ...counted,
    name: 'Boat race',
    place: 'boat',
    weather: ['wind', 'rain'],
    kit: BOAT_BOX,
    fromDaysAgo: -2,
    toDaysAgo: -2,
    met: [],
    things: ['Skerrow M1', 'Tidewell 70-200/4'],
  },
  {
    ...counted,
    name: 'Bird island',
    place: 'shore',
    fromDaysAgo: -20,
    toDaysAgo: -22,
    met: [],
    things: ['Skerrow M1', 'Tidewell 70-200/4', 'Binoculars 8×32'],
  },
  {
    ...counted,
    name: 'Meteor night',
    place: 'night-sky',
    weather: ['cold', 'damp-night'],
    fromDaysAgo: -45,
    toDaysAgo: -46,
    met: [],
    things: ['Skerrow M2', 'Corvane 24/2.8', 'Field telescope 80/480'],
  },
];
