import { kindFacts, surfacesOf, type ItemKind } from '../care/kinds/index.js';
import { type Family, familyOf, type Surface, type Traits } from '../care/knowledge/index.js';
import type { LookManner } from './manner.js';

/** One surface of a look, and how it is looked at. */
export type LookStep = { surface: Surface } & LookManner;

const DAMAGE = ['fine-scratch', 'deep-scratch', 'coating-damage'] as const;

/** How each family is looked at. Common practice. */
const BY_FAMILY: Record<Family, LookManner> = {
  glass: {
    lamp: 'One strong small lamp, the room dim.',
    angle: 'Let the beam skim the glass; tilt and turn until each mark flashes once.',
    handling: 'Hold it by the barrel. Touch nothing yet.',
    mayShow: [
      'dust',
      'fingerprint',
      'smear',
      'water-spot',
      'skin-oil',
      'lint',
      'grit',
      'salt',
      'splash',
      'pollen',
      'grease',
      'adhesive',
      'fungus-outside',
      'fog',
      ...DAMAGE,
      'separation',
    ],
  },
  sensor: {
    lamp: 'A test frame first: plain bright surface, defocused, f/16 or smaller, moved during the exposure.',
    angle: 'In the frame, spots that stay put are on the sensor. Then look in with a lamp from the side.',
    handling: 'Mount facing down between looks. Body cap back on at once.',
    mayShow: [
      'dust',
      'lint',
      'grease',
      'water-spot',
      'smear',
      'fingerprint',
      'pollen',
      'grit',
      'fine-scratch',
      'coating-damage',
      'fungus-outside',
    ],
  },
  display: {
    lamp: 'Screen off, a window or lamp reflected in it.',
    angle: 'Tilt until the reflection crosses every corner.',
    handling: 'Hold it by the sides.',
    mayShow: ['fingerprint', 'skin-oil', 'smear', 'dust', 'grit', 'salt', 'splash', 'adhesive', 'fine-scratch', 'deep-scratch'],
  },
  shell: {
    lamp: 'A good lamp from the side.',
    angle: 'Turn it once all the way round; look into ribs and seams.',
    handling: 'Caps on.',
    mayShow: [
      'dust',
      'grit',
      'salt',
      'skin-oil',
      'splash',
      'grease',
      'fingerprint',
      'lint',
      'pollen',
      'adhesive',
      'sticky-coating',
      'corrosion',
      'fungus-outside',
      'water-spot',
    ],
  },
  mount: {
    lamp: 'A lamp from the side, the opening facing down.',
    angle: 'Follow the ring once all the way round.',
    handling: 'Opening down, so that nothing falls in.',
    mayShow: ['dust', 'grit', 'grease', 'skin-oil', 'salt', 'corrosion', 'lint', 'splash', 'fingerprint'],
  },
  contacts: {
    lamp: 'A lamp from the side.',
    angle: 'Each pin should shine alike; a dull one is dirty.',
    handling: 'No fingers on the pins.',
    mayShow: ['dust', 'skin-oil', 'fingerprint', 'corrosion', 'salt', 'smear', 'grease', 'grit'],
  },
  cap: {
    lamp: 'A lamp from the side, into the inside.',
    angle: 'Look at the inside first: it faces the glass.',
    handling: 'Tap it out, opening down.',
    mayShow: ['dust', 'grit', 'lint', 'salt', 'splash', 'grease', 'fungus-outside', 'pollen', 'adhesive'],
  },
  inner: {
    lamp: 'A torch from behind, through the lens, the room dark.',
    angle: 'Aperture open, then closed; turn the lens: what shifts against the rim lies further in.',
    handling: 'Both caps off, held level. Look from the front, then from the rear.',
    mayShow: ['internal-dust', 'haze', 'fungus', 'separation', 'coating-damage'],
  },
  mirror: {
    lamp: 'A lamp from the side, lens off, the mirror down.',
    angle: 'Tilt until the mirror reflects something dark: dust then stands out bright.',
    handling: 'Nothing touches it. What is on it shows in the finder, never in the picture.',
    mayShow: ['dust', 'lint', 'fingerprint', 'grease', 'smear', 'water-spot', 'fine-scratch', 'coating-damage'],
  },
  matte: {
    lamp: 'Look through the finder at something plain and bright.',
    angle: 'Specks that stay sharp while you focus lie on the screen.',
    handling: 'Nothing touches it but air.',
    mayShow: ['dust', 'lint', 'fingerprint', 'grease', 'fine-scratch', 'deep-scratch'],
  },
  chamber: {
    lamp: 'A lamp from the side, lens off, mount down.',
    angle: 'Look along the walls and into the corners below the mirror.',
    handling: 'Nothing goes in but light and air.',
    mayShow: ['dust', 'lint', 'grit', 'grease', 'pollen'],
  },
  bath: {
    lamp: 'A torch held far from the tube, by night.',
    angle: 'From the side, any mirror looks dirty: judge by the picture, not by the torch.',
    handling: 'Nothing touches it.',
    mayShow: ['dust', 'pollen', 'water-spot', 'fungus-outside', 'fingerprint', 'coating-damage', 'corrosion'],
  },
};

/** Where one surface is looked at unlike its family. */
const BY_SURFACE: Partial<Record<Surface, Partial<LookManner>>> = {
  'rear-glass': { handling: 'Hold it mount up; never stand it on the rear element.' },
  'aperture-blades': {
    lamp: 'A lamp from the front, the aperture closed down.',
    angle: 'Open and close it: the blades should snap and be dry.',
    handling: 'By the lever or the ring; no finger near the blades.',
    mayShow: ['oil', 'corrosion', 'internal-dust'],
  },
  helicoid: {
    lamp: 'No lamp: your fingers.',
    angle: 'Turn the focus from end to end, slowly. It should go smoothly and alike all the way.',
    handling: 'Do not force a stiff spot.',
    mayShow: ['dried-grease', 'oil', 'grit'],
  },
  'battery-bay': { handling: 'Camera off, battery out. Do not touch any bloom.', mayShow: ['dust', 'lint', 'grit', 'corrosion', 'salt'] },
  'battery-contacts': {
    handling: 'Camera off, battery out. Do not touch any bloom.',
    mayShow: ['corrosion', 'dust', 'skin-oil', 'salt', 'smear'],
  },
  'grip-rubber': {
    handling: 'Press a fingertip on it: it should let go at once.',
    mayShow: ['sticky-coating', 'skin-oil', 'dust', 'grit', 'salt', 'grease', 'splash', 'fungus-outside'],
  },
  'sticky-coating': {
    angle: 'Press a fingertip on it and let go: it should not hold.',
    handling: 'Look where hands and the bag’s lining touch it.',
    mayShow: ['sticky-coating', 'skin-oil', 'dust', 'grit', 'grease', 'splash', 'fungus-outside'],
  },
  'o-ring': {
    angle: 'Run it between two clean fingers: a hair or a grain is felt before it is seen.',
    handling: 'Off its groove; look into the groove too.',
    mayShow: ['grit', 'lint', 'salt', 'dust', 'skin-oil', 'deep-scratch'],
  },
  'viewfinder-window': { mayShow: ['skin-oil', 'dust', 'lint', 'smear', 'fingerprint', 'grit', 'water-spot', 'splash', 'fine-scratch'] },
};

/**
 * The look at a thing, one surface at a time, in the order light meets them and then the shell from front to back.
 */
export const protocolFor = (kind: ItemKind, traits: Traits = {}): LookStep[] =>
  surfacesOf(kind, traits).map((surface) => ({
    surface,
    ...BY_FAMILY[familyOf(surface)],
    ...BY_SURFACE[surface],
    ...kindFacts(kind).looks[surface],
  }));
