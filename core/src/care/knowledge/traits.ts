/** What about a thing changes the advice. Every trait is optional in a request: a left-out one takes its kind's default. */
export type Traits = {
  yearMade?: number | null;
  /** The layers on its glass: many and hard, one soft one, or none. */
  coating?: Coating;
  /** How far across its front glass is, mm; null where nobody measured. */
  frontMm?: number | null;
  /** Of a zoom the shortest, mm; null where nobody said. */
  focalMm?: number | null;
  /** The largest f-number that is used with it; null where nobody said. */
  smallestFNumber?: number | null;
  /** Of its sensor, millions of pixels; null where nobody said. */
  megapixels?: number | null;
  /** The maker names a cleaner for this coating and forbids others. */
  makerForbidsFluids?: boolean;
  opticMaterial?: 'glass' | 'acrylic';
  weatherSealed?: boolean;
  zoomExtends?: boolean;
  collapsible?: boolean;
  /** A manual focus thread that lies open when extended. */
  helicoidExposed?: boolean;
  electronicContacts?: boolean;
  rubberisedCoating?: boolean;
  paintedLettering?: boolean;
  hoodFitted?: boolean;
  filterFitted?: boolean;
  filterStuck?: boolean;
  radioactiveGlass?: boolean;
  sensorFormat?: SensorFormatId;
  sensorStabilised?: boolean;
  sensorCleaningMode?: boolean;
  viewfinder?: boolean;
  /** Has a sensor; left off for a film body. */
  digital?: boolean;
  popupFlash?: boolean;
  /** A telescope of mirrors behind a glass front corrector. */
  correctorFront?: boolean;
  /** A dome rather than a flat port. */
  domed?: boolean;
  value?: number | null;
  servicePrice?: number | null;
};
export type TraitId = keyof Traits;

export const COATINGS = ['multi', 'single', 'none'] as const;
export type Coating = (typeof COATINGS)[number];

export const SENSOR_FORMAT_IDS = ['full-frame', 'aps-c', 'four-thirds', 'medium-44x33', 'one-inch'] as const;
export type SensorFormatId = (typeof SENSOR_FORMAT_IDS)[number];

/** How a trait is asked for and checked. `why` says what it changes. */
export type TraitFacts =
  | { name: string; why: string; input: 'yes-no' }
  | { name: string; why: string; input: 'choice'; choices: readonly string[] }
  | { name: string; why: string; input: 'number'; min: number; max: number; unit: string };

const yesNo = (name: string, why: string): TraitFacts => ({ name, why, input: 'yes-no' });

export const TRAITS = {
  yearMade: {
    name: 'Year made',
    why: 'Sets what is usual for its time: coating, contacts, film or sensor, an open focus thread, a rubbery finish.',
    input: 'number',
    min: 1840,
    max: 2100,
    unit: '',
  },
  coating: {
    name: 'Coating',
    why: 'A single soft layer bears fewer strokes, no carbon tip and no solvent.',
    input: 'choice',
    choices: COATINGS,
  },
  frontMm: { name: 'Front glass across', why: 'How many drops a damp wipe takes.', input: 'number', min: 3, max: 1000, unit: 'mm' },
  focalMm: {
    name: 'Focal length (of a zoom the shortest)',
    why: 'With the smallest aperture it tells whether a mark on the front can show.',
    input: 'number',
    min: 2,
    max: 2000,
    unit: 'mm',
  },
  smallestFNumber: {
    name: 'Smallest aperture you use',
    why: 'The smaller it is, the sooner a mark on the front shows.',
    input: 'number',
    min: 0.7,
    max: 64,
    unit: 'f/',
  },
  makerForbidsFluids: yesNo('Maker names its own cleaner', 'Then that fluid and no other.'),
  opticMaterial: {
    name: 'Optic made of',
    why: 'Acrylic crazes under alcohol, acetone and ammonia.',
    input: 'choice',
    choices: ['glass', 'acrylic'],
  },
  weatherSealed: yesNo('Weather-sealed', 'Has a gasket at the mount to look after.'),
  zoomExtends: yesNo('Extending zoom', 'Has an inner barrel that carries dust inward.'),
  collapsible: yesNo('Tube pushes in for carrying', 'Collapsible: it has an inner barrel, and its focus thread lies open.'),
  helicoidExposed: yesNo('Open focus thread', 'A stiff focus can be oiled without opening the lens.'),
  electronicContacts: yesNo('Electronic contacts', 'Has contacts to keep clean.'),
  rubberisedCoating: yesNo('Rubberised finish', 'Turns sticky when it is shut away for months.'),
  paintedLettering: yesNo('Painted lettering', 'Solvent takes it off.'),
  hoodFitted: yesNo('Hood', 'Has a hood with two sides and a mount.'),
  filterFitted: yesNo('Filter fitted', 'Two more faces in front of the lens.'),
  filterStuck: yesNo('Filter stuck', 'Its back and the front glass are out of reach until it is off.'),
  radioactiveGlass: yesNo('Possibly radioactive glass', 'Never opened or ground.'),
  sensorFormat: {
    name: 'Sensor format',
    why: 'Decides the width of the swab and how it is drawn.',
    input: 'choice',
    choices: SENSOR_FORMAT_IDS,
  },
  megapixels: {
    name: 'Pixels of its sensor',
    why: 'Tells a test frame that a program has made smaller.',
    input: 'number',
    min: 0.3,
    max: 400,
    unit: 'megapixels',
  },
  sensorStabilised: yesNo('Stabilised sensor', 'It moves under the swab: it is held by leaving the power on, or by the maker’s mode.'),
  sensorCleaningMode: yesNo(
    'Sensor-cleaning mode',
    'It holds the sensor still and the shutter open; without one, a long exposure, and out before it ends.',
  ),
  viewfinder: yesNo('Viewfinder', 'Has a window and an eyecup.'),
  digital: yesNo('Digital', 'Has a sensor, a screen and a card; a film body has none of them.'),
  popupFlash: yesNo('Pop-up flash', 'Has a well that gathers dust. Its capacitor is why the body is never opened.'),
  correctorFront: yesNo('Mirror and corrector', 'Its front is a thin glass plate; the mirrors behind it are not reached.'),
  domed: yesNo('Dome', 'A dome rather than a flat port.'),
  value: { name: 'Value', why: 'Weighed against the price of a service.', input: 'number', min: 0, max: 1_000_000, unit: 'money' },
  servicePrice: { name: 'Service price', why: 'Weighed against the value.', input: 'number', min: 0, max: 100_000, unit: 'money' },
} as const satisfies Record<TraitId, TraitFacts>;
export const TRAIT_IDS = Object.keys(TRAITS) as TraitId[];
