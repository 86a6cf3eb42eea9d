import { commonPractice, type Basis } from './basis.js';

/** A way to clean, with the contact level that gives it its rung on the ladder. */
export type MethodFacts = {
  name: string;
  level: 0 | 1 | 2 | 3 | 4 | 5 | 6 | 7;
  /** Does it touch the surface? Air does not. */
  contact: boolean;
  /** Does it wipe: is a loose grain dragged if one is left? */
  wipes: boolean;
  /** How it is done, as one hand would tell another. */
  how: string;
  minutes: number;
  basis: Basis;
  /** What people say for it when they search. */
  words: readonly string[];
};

/** What people say for some of them, by name. */
const CALLED: Record<string, readonly string[]> = {
  Blow: ['air first', 'puff', 'blower'],
  'Canned air': ['compressed air', 'air duster', 'can of air'],
  'Soft brush': ['brush on glass', 'lens brush', 'brush the lens'],
  'Dry wipe': ['wipe dry', 'polish with a cloth', 'rub', 'wipe the lens'],
  'Carbon tip': ['lens pen', 'cleaning pen'],
  Breath: ['breathing on the lens', 'huff', 'breathe'],
  'Damp wipe': ['fluid on the lens', 'drops directly on the lens', 'how to wipe', 'cleaning solution', 'circular motion'],
  'Sensor swab': ['clean the sensor', 'swab the sensor', 'wet cleaning', 'sensor cleaning', 'swab size', 'swab width'],
  'Open one group': ['open the lens', 'disassemble', 'take apart', 'dismantle', 'unscrew the front'],
  'Hand over': ['repair', 'technician', 'professional cleaning'],
  'Feed the leather': ['leather care', 'leather conditioner', 'leather covering'],
  Lubricate: ['oil the focus', 'grease', 'stiff focus'],
};

const method = (
  level: MethodFacts['level'],
  name: string,
  minutes: number,
  touch: 'none' | 'touches' | 'wipes',
  how: string,
): MethodFacts => ({
  name,
  level,
  minutes,
  how,
  contact: touch !== 'none',
  wipes: touch === 'wipes',
  basis: commonPractice,
  words: CALLED[name] ?? [],
});

export const METHODS = {
  leave: method(0, 'Leave it', 0, 'none', 'Good enough for the picture: note it, do not touch it.'),
  blow: method(1, 'Blow', 0.5, 'none', 'Bulb blower, the surface facing down so that dust falls out. The nozzle never touches.'),
  'canned-air': method(1, 'Canned air', 0.5, 'none', 'Upright, not shaken, short bursts from a distance. Never inside a body.'),
  'soft-brush': method(
    2,
    'Soft brush',
    1,
    'touches',
    'A soft brush kept for glass only: flick without pressure, centre outward, edge and rim too.',
  ),
  'stiff-brush': method(
    2,
    'Stiff brush',
    1,
    'touches',
    'Hard bristles for shell, dials and ribs. Never on glass. Brush away from the glass and the mount.',
  ),
  'rim-brush': method(2, 'Rim brush', 1, 'touches', 'Bristles round the edge only; the glass itself is not brushed.'),
  'dry-wipe': method(3, 'Dry wipe', 1, 'wipes', 'Small circles from the centre outward, no pressure, a fresh patch for each pass.'),
  'carbon-tip': method(
    3,
    'Carbon tip',
    1,
    'wipes',
    'The dry pad laid flat, tiny circles, hardly any weight: a finisher for the last smear. Twist the cap to recoat the pad.',
  ),
  fingertip: method(
    2,
    'Fingertips',
    1,
    'touches',
    'Off its groove where it comes off. Run it between two clean bare fingertips, all the way round: a hair or a grain is felt before it is seen, and lifted off.',
  ),
  pick: method(
    3,
    'Pick off',
    15,
    'touches',
    'Old foam is lifted off in pieces with a wooden pick, the body held so that crumbs fall away from mirror and curtain. No brush, no air: both drive crumbs inside.',
  ),
  'dry-swab': method(3, 'Dry swab', 1, 'wipes', 'A dry cotton swab, a fresh end for each pass, hardly any weight.'),
  chamois: method(3, 'Chamois', 1, 'wipes', 'A finisher for the oily smear a damp pass leaves.'),
  breath: method(3, 'Breath', 1, 'wipes', 'Fog the glass with your breath and lift it with microfibre before it clears.'),
  'damp-wipe': method(4, 'Damp wipe', 2, 'wipes', 'Centre outward in circles, hardly any weight, then a dry corner picks up what is left.'),
  'wet-wipe': method(
    4,
    'Sealed wet wipe',
    1,
    'wipes',
    'A sealed single-use wipe, centre outward, then a dry corner. One wipe for one face.',
  ),
  'damp-swab': method(4, 'Damp swab', 1.5, 'wipes', 'Cotton swab barely damp: touch off the excess first. The dry end picks up.'),
  dab: method(4, 'Dab', 2, 'touches', 'Damp, laid on and lifted straight off, no stroke, never dry. A fresh piece for the next dab.'),
  'damp-pad': method(
    4,
    'Damp pad',
    1.5,
    'wipes',
    'A lint-free pad barely damp with water, once round the ring, then a dry one. No cloth, no cotton: both leave hairs.',
  ),
  'fresh-water': method(
    4,
    'Fresh water',
    2,
    'wipes',
    'A cloth damp with fresh water: lay it on, let the salt dissolve, lift it off, then dry. Salt dissolves in water and not in alcohol.',
  ),
  'solvent-wipe': method(5, 'Solvent wipe', 2, 'wipes', 'A few drops on tissue or cloth, one light pass, then dry.'),
  'sensor-swab': method(
    5,
    'Sensor swab',
    6,
    'wipes',
    'A new swab, one or two drops a side, wait for it to soak in. At about 45 degrees, pressed until it just bends: one smooth stroke from edge to edge, no scrubbing; turned over, the same for the second stroke. Never use it again.',
  ),
  'contact-eraser': method(
    5,
    'Contact eraser',
    1.5,
    'wipes',
    'A soft eraser over the contacts, a few light strokes, the opening facing down so that crumbs fall out.',
  ),
  'adhesive-remover': method(
    5,
    'Coating remover',
    20,
    'wipes',
    'Pharmacy plaster-glue remover on paper towel, rub, repeat: the coating goes, and any lettering on it.',
  ),
  'soap-wash': method(
    5,
    'Soap wash',
    6,
    'wipes',
    'By itself, in warm water with a drop of mild soap; rinsed, and wholly dry before it goes back.',
  ),
  'plastic-polish': method(
    5,
    'Plastic polish',
    15,
    'touches',
    'Fine plastic polish on a soft pad, light even circles over the whole scratch and beyond, rinse, look. For uncoated acrylic only.',
  ),
  'grease-seal': method(
    6,
    'Grease the ring',
    2,
    'touches',
    'The least touch of the maker’s own grease between two fingertips, drawn once round until the ring shines evenly. More holds grains; another grease swells the rubber.',
  ),
  'feed-leather': method(
    6,
    'Feed the leather',
    5,
    'touches',
    'A fingertip of colourless balm on a soft pad, thin, rubbed in and left to dry away from heat and sun; the rest wiped off. Keep it off stitching, glue and glass.',
  ),
  lubricate: method(
    6,
    'Lubricate',
    15,
    'touches',
    'One drop of light instrument oil on the exposed thread from a screwdriver tip, work it through, wipe off the rest. Not penetrating spray.',
  ),
  'open-group': method(
    6,
    'Open one group',
    45,
    'touches',
    'One retaining ring, front or rear, undone with a spanner wrench or rubber cup; the faces laid bare are cleaned as glass; closed in reverse. Grub screws are loosened, not removed. A photograph of each stage. Mechanical lenses only, and only for owners who accept the risk.',
  ),
  service: method(7, 'Hand over', 0, 'none', 'A workshop’s job.'),
} as const satisfies Record<string, MethodFacts>;

export type Method = keyof typeof METHODS;
export const METHOD_IDS = Object.keys(METHODS) as Method[];
export const methodFacts = (id: Method): MethodFacts => METHODS[id];
