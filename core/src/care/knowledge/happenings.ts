import { commonPractice, type Basis } from './basis.js';
import type { HazardId } from './hazards.js';
import type { Severity, Soil } from '../soils/index.js';

/** Something that happens outdoors: what to do on the spot, and what waits for the bench. */
export type HappeningFacts = {
  name: string;
  /** What it leaves, for the look at home, and where: on the front glass alone, on all the outside, or inside. Null where it leaves nothing. */
  leaves: { soil: Soil; severity: Severity; on: 'front' | 'outside' | 'inside' } | null;
  now: readonly string[];
  never: string | null;
  /** What waits; empty when nothing does. */
  atHome: readonly string[];
  /** How many days it may wait. */
  homeWithinDays: number;
  hazards: readonly HazardId[];
  /** What people say for it when they search. */
  words: readonly string[];
  basis: Basis;
};

export const HAPPENINGS = {
  sand: {
    name: 'Sand or grit',
    leaves: { soil: 'grit', severity: 2, on: 'outside' },
    now: [
      'Stop turning zoom and focus: a grain in the ring scores it.',
      'Cap on, put it away. While sand is in the air nothing is opened, brushed or wiped.',
      'In the car or in the lee, facing down: blow, then the sand brush on the shell only, away from the glass. Blow again.',
    ],
    never: 'No wipe of any kind while a grain is left.',
    atHome: ['Seams, rings and mount with brush and air; then the glass, grains first.'],
    homeWithinDays: 0,
    hazards: [],
    words: ['sandstorm', 'beach', 'desert', 'dust storm', 'blowing sand'],
    basis: commonPractice,
  },
  spray: {
    name: 'Salt spray',
    leaves: { soil: 'salt', severity: 2, on: 'outside' },
    now: [
      'While they are wet, dab drops off with a dry cloth: do not rub them over the glass.',
      'Dried, it wants fresh water and nothing else: if you brought some, a cloth damp with it over shell and filter, then dry. If not, it waits.',
      'Cap on between frames; a filter that took the spray comes off over a dry cloth.',
    ],
    never: 'No dry wipe, no sealed wipe and no alcohol over a crust that has dried: they drag the crystals.',
    atHome: ['Fresh water on a cloth over the shell, filter and hood; mount and contacts looked at; aired open before it is put away.'],
    homeWithinDays: 0,
    hazards: [],
    words: ['sea spray', 'waves', 'ocean', 'seaside', 'boat', 'splashed by the sea'],
    basis: commonPractice,
  },
  rain: {
    name: 'Rain',
    leaves: { soil: 'splash', severity: 2, on: 'outside' },
    now: [
      'Cap and cover it, put it away; switch off.',
      'No lens change, no battery or card door until the outside is dry.',
      'In shelter, dry the shell from top to bottom; then lift drops off the front with the corner of a cloth.',
    ],
    never: 'Nothing wet goes into a closed bag for the night.',
    atHome: [
      'Dry outside first; then everything out of the bag, battery out, doors and caps open, aired until dry. Then look for marks where drops dried.',
    ],
    homeWithinDays: 0,
    hazards: [],
    words: ['downpour', 'got rained on', 'soaked outside', 'thunderstorm', 'drizzle', 'waterfall'],
    basis: commonPractice,
  },
  fog: {
    name: 'It fogged over',
    leaves: null,
    now: [
      'Leave it alone: fog clears by itself.',
      'Coming in from the cold: back into the closed bag until it is as warm as the room.',
      'Out of a cooled room: let it stand in the warm air, caps on.',
      'A fogged finder: a dry cotton swab lifts it, when you cannot wait.',
    ],
    never: 'Wiping fog moves dirt about on wet glass.',
    atHome: ['If a veil stays after an hour at room temperature, torch through it: haze or water inside.'],
    homeWithinDays: 2,
    hazards: [],
    words: ['fogged up', 'condensation', 'mist', 'steamed up', 'came in from the cold'],
    basis: commonPractice,
  },
  print: {
    name: 'A finger on the glass',
    leaves: { soil: 'fingerprint', severity: 2, on: 'front' },
    now: [
      'Take a test picture into the light: if it does not show, leave it.',
      'If it spoils the picture: blow, brush, then one sealed wet wipe, centre outward, and a dry corner. With only a cleaning pen: blow, then its dry tip.',
    ],
    never: 'No shirt tail and no handkerchief: wood fibre and grit.',
    atHome: ['A damp wipe at the bench if anything of it is left: skin oil feeds fungus.'],
    homeWithinDays: 2,
    hazards: [],
    words: ['touched the glass', 'finger on the lens', 'thumb', 'nose print', 'child touched'],
    basis: commonPractice,
  },
  'stuck-filter': {
    name: 'A filter is stuck',
    leaves: null,
    now: [
      'Flat of the hand on the rim, even pressure, turn. Pinching bends it oval.',
      'A wide rubber band round the rim for grip.',
      'If it does not come: shoot with it on.',
      'Only where it must come off here: pliers on the filter’s rim, tape over the glass; the filter is given up.',
    ],
    never: 'No pliers on the lens itself.',
    atHome: ['Rubber cup or filter wrench at the bench.'],
    homeWithinDays: 7,
    hazards: [],
    words: ['filter jammed', 'filter won’t come off', 'cannot unscrew filter', 'filter seized'],
    basis: commonPractice,
  },
  'lens-change': {
    name: 'I must change the lens',
    leaves: null,
    now: [
      'Into the car, indoors, or back to the wind with the bag as a roof.',
      'Switch off: a live sensor draws dust.',
      'The next lens ready, its rear cap loosened.',
      'Mount facing down, off, on, click: the next lens is uncapped last. Quick.',
      'Rear cap on the lens that came off before it goes into the bag.',
    ],
    never: 'Not in blowing sand or rain: finish with the lens that is on.',
    atHome: ['A sensor frame if the air was dusty.'],
    homeWithinDays: 7,
    hazards: [],
    words: ['change lens', 'swap lens', 'switch lenses', 'changing lenses outdoors'],
    basis: commonPractice,
  },
  'in-the-water': {
    name: 'It fell into fresh water',
    leaves: { soil: 'fresh-water', severity: 3, on: 'inside' },
    now: [
      'Out, and shaken once with openings down. Switch nothing on to try.',
      'Switch off, cells and card out, lens off where one can; open what opens without a tool.',
      'Dry the outside; then into moving air, openings down. Not into a closed bag.',
    ],
    never: 'No heat, no hair dryer, and rice is no cure.',
    atHome: [
      'Open in dry moving air for days. A torch through it afterwards, and once more in four weeks. A workshop, where it was on or stays odd.',
    ],
    homeWithinDays: 0,
    hazards: ['wet-electronics'],
    words: ['dropped in water', 'fell in the river', 'lake', 'pool', 'toilet', 'flooded', 'soaked', 'submerged', 'drowned', 'wet camera'],
    basis: commonPractice,
  },
  'in-the-sea': {
    name: 'Sea water got in',
    leaves: { soil: 'sea-water', severity: 3, on: 'inside' },
    now: [
      'Out. Switch nothing on to try; cells and card out.',
      'Rinse outside and battery bay with fresh water; what is open stays open, openings down.',
      'Call the workshop: some want it kept wet in fresh water until it is there, some want it dried. Their word decides.',
    ],
    never: 'Salt eats on while it dries: this does not wait for the end of the trip.',
    atHome: ['To a workshop at once. A flooded housing: its ring and its groove, before it is trusted again.'],
    homeWithinDays: 0,
    hazards: ['wet-electronics'],
    words: [
      'washed overboard',
      'overboard',
      'dropped in the sea',
      'fell in the sea',
      'flooded housing',
      'salt water inside',
      'wave over',
      'kayak',
      'surf',
    ],
    basis: commonPractice,
  },
} as const satisfies Record<string, HappeningFacts>;

export type HappeningId = keyof typeof HAPPENINGS;
export const HAPPENING_IDS = Object.keys(HAPPENINGS) as HappeningId[];
export const happeningFacts = (id: HappeningId): HappeningFacts => HAPPENINGS[id];
