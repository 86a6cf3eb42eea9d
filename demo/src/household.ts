import type { DeviceInput, PlaceInput } from '@bright-keeper/contract';
import type { SensorSpec } from '@bright-keeper/devices';

/** Days before the day of loading at which the log of the household begins. */
export const LOG_DAYS = 425;

type DemoPlace = PlaceInput & { key: string; standsIn: string | null; things: [name: string, daysAgo: number][] };

const place = (
  key: string,
  name: string,
  more: Partial<PlaceInput> & Pick<PlaceInput, 'kind' | 'volumeL'>,
  things: DemoPlace['things'],
): DemoPlace => ({
  key,
  name,
  airChangesPerDay: null,
  openingsPerWeek: 2,
  lining: 'none',
  lowPct: 35,
  highPct: 60,
  standsInId: null,
  note: '',
  standsIn: key === 'shelf' ? null : 'shelf',
  things,
  ...more,
});

/** The six places of the office over the boathouse, and what lies in each since when. */
export const PLACES: DemoPlace[] = [
  place('shelf', 'Open shelf', { kind: 'shelf', volumeL: 400, openingsPerWeek: 0, note: 'In the front room, away from the window.' }, [
    ['Skerrow D7', 300],
    ['Skerrow R35 (1958)', 320],
    ['Corvane 35/2', 380],
    ['Field telescope 80/480', 240],
    ['Dome port (acrylic)', 180],
    ['Flat port (glass)', 180],
    ['Corvane 28/2', 2],
  ]),
  place(
    'cupboard',
    'Oak cupboard',
    { kind: 'cupboard', volumeL: 300, openingsPerWeek: 5, lining: 'wood', note: 'Against the outer wall, to the north.' },
    [
      ['Ostrane 58/2 (1957)', 35],
      ['Ostrane 135/3.5 (1962)', 230],
      ['Ostrane 200/4 (1971)', 190],
      ['Fennick 50/1.4 (1968)', 210],
      ['Fennick 35/2.8 collapsible (1953)', 200],
      ['Corvane 50/1.8', 360],
      ['Binoculars 8×32', 190],
      ['Pocket Wherry', 240],
    ],
  ),
  place(
    'gel',
    'Gasket box',
    { kind: 'sealed-box', volumeL: 50, airChangesPerDay: 0.5, highPct: 42, lowPct: 25, note: 'Indicator gel in a tin.' },
    [
      ['Corvane 85/1.8', 300],
      ['Corvane 100/2.8 close-up', 190],
      ['Tidewell 16-35/4', 250],
    ],
  ),
  place(
    'rice',
    'Rice box',
    { kind: 'sealed-box', volumeL: 35, airChangesPerDay: 1.5, openingsPerWeek: 3, note: 'A jar of rice. It was free.' },
    [
      ['Clear 52 mm', 390],
      ['Polariser 67 mm', 250],
      ['Yellow 46 mm (acrylic)', 60],
      ['Grey 6 stops 67 mm', 80],
      ['Eyepiece 25 mm', 230],
      ['Eyepiece 8 mm', 230],
    ],
  ),
  place('cabinet', 'Dry cabinet', { kind: 'dry-cabinet', volumeL: 80, openingsPerWeek: 5, lowPct: 35, highPct: 50 }, [
    ['Skerrow M1', 370],
    ['Skerrow M2', 380],
    ['Tidewell 24-70/4', 310],
    ['Tidewell 70-200/4', 300],
  ]),
  place('bag', 'Travel bag', { kind: 'soft-bag', volumeL: 25, openingsPerWeek: 1, lining: 'felt' }, [
    ['Corvane 24/2.8', 23],
    ['Clear 67 mm', 23],
  ]),
];

export type DemoDevice = Omit<DeviceInput, 'placeId'> & {
  placeKey: string | null;
  sensor: Omit<SensorSpec, 'madeMs' | 'story'>;
  /** How often it is in the log. */
  loggedEveryMin: number;
  /** How full its battery is, %, where it has one and tells. */
  batteryPct?: number;
};

const sensor = (spot: SensorSpec['spot'], seed: number, offsetPct = 0, driftPctPerYear = 0.8) => ({
  spot,
  seed,
  offsetPct,
  driftPctPerYear,
});

/** Two live hygrometers, one read by hand, one whose log is imported, and the weather outside. */
export const DEVICES: DemoDevice[] = [
  {
    name: 'Shelf probe',
    source: 'push',
    outdoor: false,
    placeKey: 'shelf',
    everyMinutes: 30,
    note: 'Simulated; pushes by itself.',
    intake: null,
    sensor: sensor('room', 101, 1.5, 1.6),
    loggedEveryMin: 30,
    batteryPct: 84,
  },
  {
    name: 'Cupboard probe',
    source: 'push',
    outdoor: false,
    placeKey: 'cupboard',
    everyMinutes: 30,
    note: 'Simulated; nobody has tested it with salt yet.',
    intake: null,
    sensor: sensor('cupboard', 102, 4),
    loggedEveryMin: 30,
    batteryPct: 41,
  },
  {
    name: 'Logger in the cabinet',
    source: 'csv',
    outdoor: false,
    placeKey: 'cabinet',
    everyMinutes: 30,
    note: 'Read out as a file now and then.',
    intake: null,
    sensor: sensor('dry-cabinet', 103),
    loggedEveryMin: 30,
  },
  {
    name: 'Dial in the rice box',
    source: 'hand',
    outdoor: false,
    placeKey: 'rice',
    everyMinutes: 10_080,
    note: 'A small dial, read when somebody thinks of it.',
    intake: null,
    sensor: sensor('room', 104, -3),
    loggedEveryMin: 10_080,
  },
  {
    name: 'Weather on the quay',
    source: 'push',
    outdoor: true,
    placeKey: null,
    everyMinutes: 60,
    note: 'Simulated station of the Saltmarch Isles.',
    intake: null,
    sensor: sensor('outdoors', 105, 0, 0),
    loggedEveryMin: 60,
  },
];

/** Days ago, from and to. */
export const WET_FORTNIGHT = [60, 46] as const;
export const POWER_CUT = [150, 146] as const;
export const LOG_GAP = { device: 'Logger in the cabinet', days: [95, 86] as const };
/** In so many days the gel of the gasket box is spent. */
export const GEL_SPENT_IN_DAYS = 14;
