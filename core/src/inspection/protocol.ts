import { kindFacts, surfacesOf, type ItemKind } from '../care/kinds/index.js';
import { type Family, familyOf, type Soil, soilsAskedAt, type Surface, type Traits } from '../care/knowledge/index.js';
import type { LookManner } from '../care/kinds/index.js';

/** One surface of a look, how it is looked at, and what may lie there, likeliest first. */
export type LookStep = { surface: Surface; mayShow: readonly Soil[] } & LookManner;

/** How each family is looked at. Common practice. */
const BY_FAMILY: Record<Family, LookManner> = {
  glass: {
    lamp: 'One strong small lamp, the room dim.',
    angle: 'Let the beam skim the glass; tilt and turn until each mark flashes once.',
    handling: 'Hold it by the barrel. Touch nothing yet.',
  },
  sensor: {
    lamp: 'A test frame first: plain bright surface, defocused, f/16 or smaller, moved during the exposure.',
    angle: 'In the frame, spots that stay put are on the sensor. Then look in with a lamp from the side.',
    handling: 'Mount facing down between looks. Body cap back on at once.',
  },
  display: {
    lamp: 'Screen off, a window or lamp reflected in it.',
    angle: 'Tilt until the reflection crosses every corner.',
    handling: 'Hold it by the sides.',
  },
  shell: {
    lamp: 'A good lamp from the side.',
    angle: 'Turn it once all the way round; look into ribs and seams.',
    handling: 'Caps on.',
  },
  mount: {
    lamp: 'A lamp from the side, the opening facing down.',
    angle: 'Follow the ring once all the way round.',
    handling: 'Opening down, so that nothing falls in.',
  },
  contacts: {
    lamp: 'A lamp from the side.',
    angle: 'Each pin should shine alike; a dull one is dirty.',
    handling: 'No fingers on the pins.',
  },
  cap: {
    lamp: 'A lamp from the side, into the inside.',
    angle: 'Look at the inside first: it faces the glass.',
    handling: 'Tap it out, opening down.',
  },
  inner: {
    lamp: 'A torch from behind, through the lens, the room dark.',
    angle: 'Aperture open, then closed; turn the lens: what shifts against the rim lies further in.',
    handling: 'Both caps off, held level. Look from the front, then from the rear.',
  },
  leather: {
    lamp: 'A good lamp from the side, by a window.',
    angle: 'Along the stitching and where it bends; smell it.',
    handling: 'Empty it first; hold it open.',
  },
  bellows: {
    lamp: 'In the dark, a small lamp inside, the back open.',
    angle: 'Draw it out slowly and look along every fold and corner for points of light.',
    handling: 'Never pull; open it by its own bed.',
  },
  seal: {
    lamp: 'A strong lamp from the side.',
    angle: 'Run it through two clean fingertips all the way round: a hair or a grain is felt before it is seen.',
    handling: 'Off its groove where it comes off, lifted with something blunt; look into the groove too.',
  },
  thread: {
    lamp: 'A lamp from the side.',
    angle: 'Along the turns, all the way round, before anything is turned.',
    handling: 'Do not turn it while grains are in it.',
  },
  cells: {
    lamp: 'A lamp from the side.',
    angle: 'Each spring and plate should shine; bloom is green or white.',
    handling: 'Switched off, battery out. Do not touch or blow at any bloom.',
  },
  bay: {
    lamp: 'A lamp from the side.',
    angle: 'Look to the bottom and along the door’s hinge.',
    handling: 'Switched off, battery and card out. Do not touch or blow at any bloom.',
  },
  blades: {
    lamp: 'A lamp from the front, the aperture closed down.',
    angle: 'Open and close it: the blades should snap and be dry.',
    handling: 'By the lever or the ring; no finger near the blades.',
  },
  track: {
    lamp: 'A lamp from the side, the back open, no film in it.',
    angle: 'Along both rails, round the gate, and over the pressure plate.',
    handling: 'No finger on gate, rails or curtain.',
  },
  curtain: {
    lamp: 'In a dark room a lamp from the front, the back open.',
    angle: 'Look for points of light, then fire it at every speed and watch it run.',
    handling: 'Nothing touches it, and nobody blows at it.',
  },
  foam: {
    lamp: 'A lamp from the side, the back open.',
    angle: 'Along the door’s grooves, at the hinge, and under the mirror’s end.',
    handling: 'Touch it once with a wooden pick: sound foam springs back.',
  },
  mirror: {
    lamp: 'A lamp from the side, lens off, the mirror down.',
    angle: 'Tilt until the mirror reflects something dark: dust then stands out bright.',
    handling: 'Nothing touches it. What is on it shows in the finder, never in the picture.',
  },
  matte: {
    lamp: 'Look through the finder at something plain and bright.',
    angle: 'Specks that stay sharp while you focus lie on the screen.',
    handling: 'Nothing touches it but air.',
  },
  chamber: {
    lamp: 'A lamp from the side, lens off, mount down.',
    angle: 'Look along the walls and into the corners below the mirror.',
    handling: 'Nothing goes in but light and air.',
  },
  bath: {
    lamp: 'A torch held far from the tube, by night.',
    angle: 'From the side, any mirror looks dirty: judge by the picture, not by the torch.',
    handling: 'Nothing touches it.',
  },
};

/** Where one surface is looked at unlike its family. */
const BY_SURFACE: Partial<Record<Surface, Partial<LookManner>>> = {
  'rear-glass': { handling: 'Hold it mount up; never stand it on the rear element.' },
  helicoid: {
    lamp: 'No lamp: your fingers.',
    angle: 'Turn the focus from end to end, slowly. It should go smoothly and alike all the way.',
    handling: 'Do not force a stiff spot.',
  },
  'grip-rubber': {
    handling: 'Press a fingertip on it: it should let go at once.',
  },
  'sticky-coating': {
    angle: 'Press a fingertip on it and let go: it should not hold.',
    handling: 'Look where hands and the bag’s lining touch it.',
  },
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
    mayShow: soilsAskedAt(surface),
  }));
