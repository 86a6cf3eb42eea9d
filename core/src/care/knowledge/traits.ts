import type { ItemKind } from '../kinds/registry.js';

export const COATINGS = ['multi', 'single', 'none'] as const;
export type Coating = (typeof COATINGS)[number];

export const SENSOR_FORMAT_IDS = ['full-frame', 'aps-c', 'four-thirds', 'medium-44x33', 'one-inch'] as const;
export type SensorFormatId = (typeof SENSOR_FORMAT_IDS)[number];

/** What a trait is for each kind that has it, as for one made today of which nothing more is known. */
type Of<Value> = Partial<Record<ItemKind, Value>>;
type Told = {
  name: string;
  /** What it changes. */
  why: string;
  /** True of the thing itself and not of its design: it outlives a change of kind. */
  outlivesKind: boolean;
};
type YesNo = Told & { input: 'yes-no'; of: Of<boolean> };
type Choice<C extends string> = Told & { input: 'choice'; choices: readonly C[]; of: Of<C> };
type Numeric = Told & { input: 'number'; min: number; max: number; unit: string; of: Of<number | null> };

/** How a trait is asked for and checked, what it changes, which kinds have it, and what it outlives. */
export type TraitFacts = YesNo | Choice<string> | Numeric;

const yesNo = (name: string, why: string, of: YesNo['of']): YesNo => ({ name, why, input: 'yes-no', outlivesKind: false, of });
const choice = <const C extends string>(name: string, why: string, choices: readonly C[], of: Of<NoInfer<C>>): Choice<C> => ({
  name,
  why,
  input: 'choice',
  choices,
  outlivesKind: false,
  of,
});
/** Numbers are written on the thing, or were paid for it: they are true whatever kind it is said to be. */
const number = (name: string, why: string, [min, max]: [number, number], unit: string, of: Numeric['of']): Numeric => ({
  name,
  why,
  input: 'number',
  min,
  max,
  unit,
  outlivesKind: true,
  of,
});

/**
 * What about a thing changes the advice: each trait is one record, in the order they are asked. Every trait is optional
 * in a request: a left-out one takes its kind's default. `checkTrait` says what a record still lacks.
 */
export const TRAITS = {
  yearMade: number(
    'Year made',
    'Sets what is usual for its time: coating, contacts, film or sensor, an open focus thread, a rubbery finish.',
    [1840, 2100],
    '',
    {
      lens: null,
      'mirrorless-body': null,
      'slr-body': null,
      compact: null,
      teleconverter: null,
      eyepiece: null,
      binocular: null,
      refractor: null,
      reflector: null,
      'film-camera': null,
      flash: null,
    },
  ),
  coating: choice('Coating', 'A single soft layer bears fewer strokes, no carbon tip and no solvent.', COATINGS, {
    lens: 'multi',
    filter: 'multi',
    phone: 'multi',
    teleconverter: 'multi',
    eyepiece: 'multi',
    binocular: 'multi',
    refractor: 'multi',
    port: 'none',
    'viewfinder-loupe': 'multi',
    'film-camera': 'single',
    drone: 'multi',
  }),
  frontMm: number('Front glass across', 'How many drops a damp wipe takes.', [3, 1000], 'mm', {
    lens: null,
    filter: null,
    binocular: null,
    refractor: null,
    port: null,
  }),
  focalMm: number(
    'Focal length (of a zoom the shortest)',
    'With the smallest aperture it tells whether a mark on the front can show.',
    [2, 2000],
    'mm',
    { lens: null },
  ),
  smallestFNumber: number('Smallest aperture you use', 'The smaller it is, the sooner a mark on the front shows.', [0.7, 64], 'f/', {
    lens: null,
  }),
  makerForbidsFluids: yesNo('Maker names its own cleaner', 'Then that fluid and no other.', {
    lens: false,
    filter: false,
    teleconverter: false,
    eyepiece: false,
    binocular: false,
    refractor: false,
    port: false,
  }),
  opticMaterial: choice('Optic made of', 'Acrylic crazes under alcohol, acetone and ammonia.', ['glass', 'acrylic'], {
    lens: 'glass',
    filter: 'glass',
    port: 'acrylic',
    'viewfinder-loupe': 'glass',
  }),
  weatherSealed: yesNo('Weather-sealed', 'Has a gasket at the mount to look after.', {
    lens: false,
    'mirrorless-body': true,
    'slr-body': false,
    compact: false,
    phone: true,
    teleconverter: false,
    binocular: true,
  }),
  zoomExtends: yesNo('Extending zoom', 'Has an inner barrel that carries dust inward.', { lens: false }),
  collapsible: yesNo('Tube pushes in for carrying', 'Collapsible: it has an inner barrel, and its focus thread lies open.', {
    lens: false,
    compact: true,
  }),
  helicoidExposed: yesNo('Open focus thread', 'A stiff focus can be oiled without opening the lens.', { lens: false }),
  electronicContacts: yesNo('Electronic contacts', 'Has contacts to keep clean.', {
    lens: true,
    'mirrorless-body': true,
    'slr-body': true,
    teleconverter: true,
    accessory: false,
  }),
  rubberisedCoating: yesNo('Rubberised finish', 'Turns sticky when it is shut away for months.', {
    lens: false,
    'mirrorless-body': true,
    'slr-body': true,
    compact: false,
    binocular: true,
    accessory: false,
    flash: false,
  }),
  paintedLettering: yesNo('Painted lettering', 'Solvent takes it off.', {
    lens: true,
    'mirrorless-body': true,
    'slr-body': true,
    compact: true,
    teleconverter: true,
    eyepiece: true,
    refractor: true,
    reflector: true,
    accessory: true,
    'film-camera': true,
    flash: true,
    drone: true,
  }),
  hoodFitted: yesNo('Hood', 'Has a hood with two sides and a mount.', { lens: true, refractor: true }),
  filterFitted: yesNo('Filter fitted', 'Two more faces in front of the lens.', { lens: false, drone: true }),
  filterStuck: yesNo('Filter stuck', 'Its back and the front glass are out of reach until it is off.', { lens: false }),
  radioactiveGlass: yesNo('Possibly radioactive glass', 'Never opened or ground.', { lens: false, teleconverter: false, eyepiece: false }),
  sensorFormat: choice('Sensor format', 'Decides the width of the swab and how it is drawn.', SENSOR_FORMAT_IDS, {
    'mirrorless-body': 'full-frame',
    'slr-body': 'full-frame',
  }),
  megapixels: number('Pixels of its sensor', 'Tells a test frame that a program has made smaller.', [0.3, 400], 'megapixels', {
    'mirrorless-body': null,
    'slr-body': null,
  }),
  sensorStabilised: yesNo('Stabilised sensor', 'It moves under the swab: it is held by leaving the power on, or by the maker’s mode.', {
    'mirrorless-body': true,
    'slr-body': false,
  }),
  sensorCleaningMode: yesNo(
    'Sensor-cleaning mode',
    'It holds the sensor still and the shutter open; without one, a long exposure, and out before it ends.',
    { 'mirrorless-body': true, 'slr-body': true },
  ),
  sensorConverted: yesNo(
    'Converted sensor',
    'Its own glass was taken off or changed: its glue and filter bear less. Air, and the converter’s own word.',
    { 'mirrorless-body': false, 'slr-body': false },
  ),
  viewfinder: yesNo('Viewfinder', 'Has a window and an eyecup.', { 'mirrorless-body': true, compact: false }),
  digital: yesNo('Digital', 'Has a sensor, a screen and a card; a film body has none of them.', {
    'mirrorless-body': true,
    'slr-body': true,
    compact: true,
  }),
  battery: yesNo('Runs on a battery', 'Has a bay and contacts to look into; cells come out before it is stored.', {
    'slr-body': true,
    'mirrorless-body': true,
    compact: true,
    'film-camera': true,
    accessory: false,
  }),
  leatherCovered: yesNo('Leather covering', 'Leather is never soaked, and feeds mould.', {
    'slr-body': false,
    'mirrorless-body': false,
    'film-camera': true,
  }),
  leatherCase: yesNo('Leather case', 'A leather case is never soaked; a plastic one is washed.', {
    filter: false,
    binocular: false,
    'viewfinder-loupe': false,
    accessory: false,
    'film-camera': false,
  }),
  bellows: yesNo('Bellows', 'Pinholes in the folds fog the film.', { 'film-camera': true }),
  twinLens: yesNo('Twin lens', 'A viewing lens, a mirror and a screen of its own above the taking lens.', { 'film-camera': false }),
  popupFlash: yesNo('Pop-up flash', 'Has a well that gathers dust. Its capacitor is why the body is never opened.', {
    'slr-body': false,
    compact: true,
  }),
  correctorFront: yesNo('Mirror and corrector', 'Its front is a thin glass plate; the mirrors behind it are not reached.', {
    refractor: false,
  }),
  domed: yesNo('Dome', 'A dome rather than a flat port.', { port: true }),
  value: number('Value', 'Weighed against the price of a service.', [0, 1_000_000], 'money', {
    lens: null,
    filter: null,
    'mirrorless-body': null,
    'slr-body': null,
    compact: null,
    teleconverter: null,
    eyepiece: null,
    binocular: null,
    refractor: null,
    reflector: null,
    port: null,
    'viewfinder-loupe': null,
    accessory: null,
    'film-camera': null,
    flash: null,
    drone: null,
  }),
  servicePrice: number('Service price', 'Weighed against the value.', [0, 100_000], 'money', {
    lens: null,
    'mirrorless-body': null,
    'slr-body': null,
    compact: null,
    teleconverter: null,
    binocular: null,
    refractor: null,
    reflector: null,
    port: null,
    'film-camera': null,
    flash: null,
    drone: null,
  }),
} as const satisfies Record<string, TraitFacts>;

export type TraitId = keyof typeof TRAITS;
export const TRAIT_IDS = Object.keys(TRAITS) as TraitId[];

type ValueOf<F> = F extends YesNo ? boolean : F extends Choice<infer C> ? C : number | null;
/** The traits of a thing, as far as they were said. */
export type Traits = { -readonly [T in TraitId]?: ValueOf<(typeof TRAITS)[T]> };

export const traitFacts = (id: TraitId): TraitFacts => TRAITS[id];

// Asked for every thing of every plan and page, so it is put together once.
const BY_KIND = new Map<ItemKind, Traits>();
for (const trait of TRAIT_IDS)
  for (const [kind, value] of Object.entries(traitFacts(trait).of) as [ItemKind, never][])
    BY_KIND.set(kind, { ...BY_KIND.get(kind), [trait]: value });

/** What each trait of a kind is where nobody said; empty for a kind that no trait names. */
export const defaultsOf = (kind: ItemKind): Traits => BY_KIND.get(kind) ?? {};
/** The traits that change advice for a kind, in the order they are asked. */
export const traitsOf = (kind: ItemKind): TraitId[] => Object.keys(defaultsOf(kind)) as TraitId[];

/** What a trait's record still lacks that types cannot see, in words for whoever adds one. Empty when it is whole. */
export function checkTrait(id: string, { name, why, of, ...facts }: TraitFacts): string[] {
  const values = Object.values(of);
  return [
    ...(name === '' || !/[.!?]$/.test(why) ? ['it wants a name, and a sentence that says what it changes'] : []),
    ...(values.length === 0 ? ['it names no kind that has it: nothing ever asks for it'] : []),
    ...(facts.input === 'choice' && values.some((v) => !facts.choices.includes(v as string))
      ? ['a kind has a value that is no choice']
      : []),
    ...(facts.input === 'number' && !(facts.min < facts.max) ? ['min must be below max'] : []),
  ].map((fault) => `trait ${id}: ${fault}`);
}
