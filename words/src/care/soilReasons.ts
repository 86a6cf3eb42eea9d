import { care } from '@bright-keeper/core';

/** Why a soil is worth a touch where it lies, and why less of it may stay. Common practice throughout. */
type Reason = { act: string; leave?: string };
type Reasons = Partial<Record<care.Family, Reason>> & { on?: Partial<Record<care.Surface, Reason>> };

const NO_HARM_ON_A_SCREEN = 'A trace on the screen does nothing to the picture.';
const FILM_ON_SCREEN: Reason = {
  act: 'It veils what you judge the picture by, and comes off your nose again in layers.',
  leave: NO_HARM_ON_A_SCREEN,
};
const FILM_ON_SHELL: Reason = {
  act: 'It makes the shell slippery and walks on to the glass with your fingers.',
  leave: 'A trace on the shell harms nothing.',
};
const FILM_ON_MOUNT: Reason = {
  act: 'A film at the mount gathers grit and wears the flange.',
  leave: 'A trace at the mount harms nothing.',
};
const FILM_ON_CONTACTS: Reason = { act: 'A film on contacts breaks the connection now and then.', leave: 'A trace here still conducts.' };
const FILM_ON_SENSOR: Reason = {
  act: 'A film on the sensor clouds part of every frame; air does not move it.',
  leave: 'A trace on the sensor shows in no picture.',
};
const FILM_ON_MIRROR: Reason = {
  act: 'A film on the mirror dims the finder and misleads the metering; the picture itself never shows it.',
  leave: 'So little on the mirror dims nothing, and each dab risks the silver.',
};
const FILM_ON_MATTE: Reason = { act: 'It shows in the finder, never in the picture.', leave: 'It shows in the finder at most.' };
const FILM_ON_CAP: Reason = { act: 'What sticks to a cap is on the glass at the next capping.', leave: 'A trace on a cap may stay.' };
const FILM_IN_CHAMBER: Reason = {
  act: 'Grease in the mirror box is out of the light and best left: no cloth goes in.',
  leave: 'It lies out of the light.',
};

const films = (onGlass: Reason): Reasons => ({
  glass: onGlass,
  display: FILM_ON_SCREEN,
  shell: FILM_ON_SHELL,
  mount: FILM_ON_MOUNT,
  contacts: FILM_ON_CONTACTS,
  sensor: FILM_ON_SENSOR,
  mirror: FILM_ON_MIRROR,
  matte: FILM_ON_MATTE,
  chamber: FILM_IN_CHAMBER,
  cap: FILM_ON_CAP,
});
const TRACE_ON_GLASS = 'A trace does not show in a picture, and every touch is wear.';
const EYE_SIDE: Partial<Record<care.Surface, Reason>> = {
  eyecup: { act: 'Skin oil on an eyecup moves to the eye lens each time you look.', leave: 'So little on an eyecup harms nothing yet.' },
  'eye-lens': {
    act: 'It veils the view and feeds fungus: the eye lens meets lashes and cheeks.',
    leave: 'A trace here is not seen in the view.',
  },
  'viewfinder-window': { act: 'It blurs the finder; the picture never shows it.', leave: 'A trace in the finder harms nothing.' },
};

const REASONS: Partial<Record<care.Soil, Reasons>> = {
  dust: {
    glass: { act: 'So much dust veils into the light, and the next wipe would drag it.', leave: TRACE_ON_GLASS },
    sensor: {
      act: 'Dust on a sensor shows as soft dark spots from a small aperture (about f/8) on.',
      leave: 'So little shows at the very smallest apertures only.',
    },
    display: { act: 'Dust on a screen does nothing to the picture; it only scratches when it is wiped.', leave: NO_HARM_ON_A_SCREEN },
    shell: {
      act: 'Dust on the shell gets into seams and on to the glass at the next change.',
      leave: 'A trace on the shell harms nothing.',
    },
    mount: { act: 'Dust at the mount falls in at the next lens change.', leave: 'A speck or two at the mount harms nothing.' },
    contacts: { act: 'Dust between contacts breaks the connection now and then.', leave: 'A speck on a contact still conducts.' },
    cap: { act: 'A dirty cap dirties clean glass: it goes on over it.', leave: 'A speck in a cap harms nothing.' },
    mirror: {
      act: 'Dust on the mirror shows in the finder, never in the picture; but it falls towards the sensor.',
      leave: 'A speck on the mirror shows in no picture.',
    },
    matte: { act: 'Dust on the screen shows in the finder, never in the picture.', leave: 'A speck shows in the finder at most.' },
    chamber: {
      act: 'What lies in the mirror box is blown on to the sensor by the mirror’s own wind.',
      leave: 'A speck in the mirror box harms nothing yet.',
    },
    on: {
      'o-ring': { act: 'One hair or grain under the ring lets the water in.' },
      'port-inside': { act: 'Dust inside a port shows sharp: it lies close to the focus.', leave: TRACE_ON_GLASS },
    },
  },
  grit: {
    sensor: { act: 'A hard grain on the sensor is never wiped: air moves it, or nothing does.' },
    shell: { act: 'Grains in ribs and seams grind rings and find their way to the glass.' },
    mount: { act: 'A grain at the mount scores the flange and falls in at the next change.' },
    contacts: { act: 'A grain between contacts scratches their gold.' },
    display: { act: 'A grain scratches the screen when it is wiped.' },
    cap: { act: 'A grain in a cap is pressed against the glass.' },
    mirror: { act: 'A grain on bare silver scratches it at the least touch.' },
    matte: { act: 'A grain scratches the soft screen at the least touch.' },
    chamber: { act: 'A grain in the mirror box is thrown at the shutter.' },
    on: { 'o-ring': { act: 'One grain under the ring lets the water in.' } },
  },
  lint: {
    sensor: { act: 'A fibre on the sensor shows as a dark curl in every frame.', leave: 'So little shows at the smallest apertures only.' },
    shell: { act: 'Lint holds damp and dust in seams.', leave: 'A fibre on the shell harms nothing.' },
    mirror: { act: 'A fibre shows in the finder, never in the picture.', leave: 'A fibre on the mirror shows in no picture.' },
    display: { act: 'A fibre on the screen does nothing to the picture.', leave: NO_HARM_ON_A_SCREEN },
    cap: { act: 'Lint in a cap settles on the glass.', leave: 'A fibre in a cap harms nothing.' },
  },
  pollen: {
    sensor: { act: 'Pollen is oily: on a sensor it shows and soon sticks.', leave: 'So little shows at the smallest apertures only.' },
    shell: { act: 'Pollen is oily: left on the shell, it sticks and stains.', leave: 'A trace on the shell harms nothing.' },
  },
  salt: {
    glass: { act: 'Salt crystals scratch when they are rubbed and draw water that bites the coating.' },
    shell: { act: 'Salt draws water into seams and eats the metal under the paint.' },
    mount: { act: 'Salt eats the flange and creeps inside with the damp it draws.' },
    contacts: { act: 'Salt eats the gold of the contacts and conducts where nothing should.' },
    cap: { act: 'Salt in a cap scratches the glass it covers.' },
    display: { act: 'Salt scratches the screen when it is rubbed.' },
  },
  fingerprint: {
    ...films({ act: 'A print on the glass veils into the light and feeds fungus.', leave: TRACE_ON_GLASS }),
    on: EYE_SIDE,
  },
  'skin-oil': {
    ...films({ act: 'Skin oil on the glass veils into the light and feeds fungus.', leave: TRACE_ON_GLASS }),
    on: EYE_SIDE,
  },
  grease: films({ act: 'A grease film takes contrast from every picture into the light, and dust sticks to it.', leave: TRACE_ON_GLASS }),
  smear: {
    ...films({ act: 'A smear flares when light comes from the side.', leave: TRACE_ON_GLASS }),
    on: { 'viewfinder-window': EYE_SIDE['viewfinder-window']! },
  },
  'water-spot': {
    shell: { act: 'A dried drop dulls the finish.', leave: 'A ring or two on the shell harms nothing.' },
    sensor: {
      act: 'A dried drop on the sensor shows as a ring from a small aperture on.',
      leave: 'So faint a ring shows at the smallest apertures only.',
    },
    display: FILM_ON_SCREEN,
    contacts: { act: 'What dried on contacts begins to corrode them.', leave: 'So little still conducts.' },
  },
  splash: {
    shell: { act: 'Dried mud holds grit and damp against the shell.', leave: 'A mark on the shell harms nothing.' },
    cap: { act: 'Dried mud on a cap crumbles on to the glass.', leave: 'A mark on a cap harms nothing.' },
  },
  adhesive: {
    shell: { act: 'Glue gathers grit and hardens into the finish.' },
    display: { act: 'Glue on the screen gathers grit.' },
  },
  corrosion: {
    contacts: { act: 'Bloom on contacts breaks the connection and spreads.' },
    mount: { act: 'Bloom on the flange flakes off into the body.' },
    on: {
      'battery-bay': { act: 'What leaked here is caustic and creeps on.' },
      'battery-contacts': { act: 'What leaked here is caustic, and the next battery will not connect.' },
    },
  },
};

const reasonFor = (soil: care.Soil, surface: care.Surface): Reason | undefined =>
  REASONS[soil]?.on?.[surface] ?? REASONS[soil]?.[care.familyOf(surface)];

/** Why this soil is worth a touch on this surface. */
export const whyAct = (soil: care.Soil, surface: care.Surface): string => reasonFor(soil, surface)?.act ?? care.soilFacts(soil).why;
/** Why so little of this soil may stay on this surface. */
export const whyLeave = (soil: care.Soil, surface: care.Surface): string => {
  const reason = reasonFor(soil, surface);
  return reason?.leave ?? reason?.act ?? care.soilFacts(soil).whyLeave;
};
