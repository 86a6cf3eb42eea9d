import { commonPractice, type Basis } from './basis.js';

/**
 * The nature of a soil decides the first move: what is loose is blown away, what dissolves is dissolved,
 * what lies inside is not reached from outside, and damage is not dirt at all.
 */
export type SoilNature =
  'loose' | 'film' | 'spot' | 'soluble' | 'bonded' | 'passing' | 'inside' | 'growth' | 'tacky' | 'corrosion' | 'damage';

/** How a soil is drawn on the light path and in the pattern pictures. */
export type SoilPattern =
  'specks' | 'grains' | 'fibres' | 'whorl' | 'drops' | 'veil' | 'arcs' | 'crystals' | 'blob' | 'threads' | 'scratch' | 'patch';

export type SoilFacts = {
  name: string;
  nature: SoilNature;
  pattern: SoilPattern;
  /** What gives it away under the lamp. */
  tell: string;
  /** The severity from which it is worth a touch; below it the gentle answer is to leave it. */
  actFrom: 1 | 2 | 3;
  /** Why it is worth a touch from there on, and why less of it may stay. */
  why: string;
  whyLeave: string;
  basis: Basis;
};

const soil = (
  nature: SoilNature,
  pattern: SoilPattern,
  name: string,
  tell: string,
  actFrom: 1 | 2 | 3,
  why: string,
  whyLeave = why,
): SoilFacts => ({
  name,
  nature,
  pattern,
  tell,
  actFrom,
  why,
  whyLeave,
  basis: commonPractice,
});

const TRACE = 'A trace does not show in a picture, and every touch is wear.';
const WEAKENS = 'It lowers contrast into the light and feeds fungus.';

export const SOILS = {
  dust: soil(
    'loose',
    'specks',
    'dust',
    'Bright points in a slanted beam that lie still.',
    2,
    'Dust shows in strong light, and the next wipe would drag it.',
    TRACE,
  ),
  grit: soil(
    'loose',
    'grains',
    'grit or sand',
    'Hard grains that glint and cast a shadow.',
    1,
    'A single hard grain can scratch a coating when it is dragged.',
  ),
  lint: soil(
    'loose',
    'fibres',
    'lint',
    'Curled threads, often left by a cloth.',
    2,
    'Fibres carry dust on to the glass and show against the light.',
    'A fibre or two does not show in a picture.',
  ),
  pollen: soil(
    'loose',
    'specks',
    'pollen',
    'Yellow points of even size that smear when they are rubbed.',
    2,
    'Pollen is oily: left, it sticks; rubbed dry, it smears.',
    TRACE,
  ),
  salt: soil(
    'soluble',
    'crystals',
    'dried salt',
    'White crust or dull rings that stay when you blow.',
    1,
    'Salt draws water and eats metal and coatings for as long as it lies there.',
  ),
  fingerprint: soil('film', 'whorl', 'fingerprint', 'Ridges that flash when you tilt the glass.', 2, WEAKENS, TRACE),
  'skin-oil': soil('film', 'veil', 'skin oil', 'A greasy bloom with no ridges, from nose, cheek or lashes.', 2, WEAKENS, TRACE),
  grease: soil('film', 'veil', 'grease film', 'A grey veil that turns coloured at a slant: kitchen, smoke, oil.', 2, WEAKENS, TRACE),
  smear: soil(
    'film',
    'arcs',
    'smear',
    'Arcs that follow the strokes of an earlier wipe.',
    2,
    'It flares when light comes from the side.',
    TRACE,
  ),
  'water-spot': soil(
    'spot',
    'drops',
    'water spot',
    'A pale ring where a drop dried.',
    2,
    'Minerals bite into the coating if the ring stays for months.',
    TRACE,
  ),
  splash: soil(
    'spot',
    'drops',
    'dried splash',
    'Mud or rain marks with a gritty heart.',
    2,
    'It holds grains that the next wipe would drag.',
    TRACE,
  ),
  adhesive: soil(
    'bonded',
    'blob',
    'sap or glue',
    'A clear or amber blob that does not move.',
    1,
    'It hardens with time and gathers grains.',
  ),
  fog: soil(
    'passing',
    'veil',
    'fog',
    'A veil that came with a change of air and shrinks as you watch.',
    1,
    'Fog clears by itself; wiping fog moves dirt.',
  ),
  'internal-dust': soil(
    'inside',
    'specks',
    'dust inside',
    'Points that stay put while the front glass turns or shifts against them.',
    3,
    'A little dust inside a lens is normal and harmless.',
  ),
  haze: soil(
    'inside',
    'veil',
    'haze inside',
    'An even veil when a torch shines through from behind.',
    1,
    'Haze lies between the elements: nothing from outside reaches it.',
  ),
  fungus: soil(
    'growth',
    'threads',
    'fungus inside',
    'Threads or branching spots when a torch shines through from behind.',
    1,
    'Fungus grows, etches coatings for ever, and its spores reach the neighbours.',
  ),
  'fungus-outside': soil(
    'growth',
    'threads',
    'fungus on the outside',
    'Threads or branching spots on a face you can reach.',
    1,
    'Fungus grows, etches coatings for ever, and its spores reach the neighbours.',
  ),
  oil: soil(
    'inside',
    'blob',
    'oil on the blades',
    'Wet shine on the blades, or blades that hang.',
    1,
    'Oil on the blades slows them and creeps on to glass.',
  ),
  'dried-grease': soil(
    'inside',
    'patch',
    'dried grease',
    'The focus turns stiffly or in jerks.',
    1,
    'Old grease has dried; force wears the threads.',
  ),
  'sticky-coating': soil(
    'tacky',
    'patch',
    'sticky coating',
    'The finish tacks to the finger and holds dust.',
    2,
    'It comes of months without air; airing often halts it.',
  ),
  corrosion: soil('corrosion', 'patch', 'corrosion', 'Green or white bloom on metal.', 1, 'It spreads, and what leaked may be caustic.'),
  'fine-scratch': soil(
    'damage',
    'scratch',
    'fine scratch',
    'A hairline that shows from one angle only.',
    1,
    'Not dirt: no wiping takes it off, and it hardly ever shows in a picture.',
  ),
  'deep-scratch': soil(
    'damage',
    'scratch',
    'deep scratch',
    'A line that shows from every angle and catches light.',
    1,
    'Not dirt: no wiping takes it off.',
  ),
  'coating-damage': soil(
    'damage',
    'patch',
    'coating damage',
    'An island with an edge where the tint changes.',
    1,
    'Not dirt: more wiping takes more coating with it.',
  ),
  separation: soil(
    'damage',
    'patch',
    'separation',
    'Rainbow crescents creeping in from the rim of a cemented pair.',
    1,
    'Not dirt: the cement between two elements lets go. A workshop can recement, at a price.',
  ),
} as const satisfies Record<string, SoilFacts>;

export type Soil = keyof typeof SOILS;
export const SOIL_IDS = Object.keys(SOILS) as Soil[];
export const soilFacts = (soilId: Soil): SoilFacts => SOILS[soilId];

/** 0 none, 1 trace (seen only under a strong light), 2 light, 3 obvious, 4 heavy. */
export type Severity = 0 | 1 | 2 | 3 | 4;
export const SEVERITY_NAMES = ['none', 'trace', 'light', 'obvious', 'heavy'] as const;
