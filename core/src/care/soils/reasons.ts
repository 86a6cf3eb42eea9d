import type { Reason } from './soil.js';

/*
 * Reasons that several soils share on one family of surfaces, each of that family alone. Common practice throughout.
 */
export const TRACE_ON_GLASS = 'A trace does not show in a picture, and every touch is wear.';
export const TRACE_TO_THE_EYE = 'A trace here is not seen in the view.';
export const NO_HARM_ON_A_SCREEN = 'A trace on the screen does nothing to the picture.';
export const NO_HARM_ON_A_SHELL = 'A trace on the shell harms nothing.';
export const NO_HARM_ON_LEATHER = 'A trace on leather harms nothing.';
export const NO_HARM_ON_A_MIRROR = 'So little on the mirror dims nothing, and each touch risks the silver.';
export const NO_HARM_ON_A_WASHED_MIRROR = 'It costs next to nothing in the view, and each wash costs silver.';
export const SMALLEST_APERTURES = 'So little shows at the very smallest apertures only.';
export const A_RING_IS_CLEAN_OR_LEAKS = 'Nothing may lie on a ring that keeps water out: the smallest thing makes a way in.';

export const FILM_ON_SCREEN: Reason = {
  act: 'It veils what you judge the picture by, and comes off your nose again in layers.',
  leave: NO_HARM_ON_A_SCREEN,
};
export const FILM_ON_SHELL: Reason = {
  act: 'It makes the shell slippery and walks on to the glass with your fingers.',
  leave: NO_HARM_ON_A_SHELL,
};
export const FILM_ON_LEATHER: Reason = { act: 'Oil from hands darkens leather and feeds mould on it.', leave: NO_HARM_ON_LEATHER };
export const FILM_ON_MOUNT: Reason = {
  act: 'A film at the mount gathers grit and wears the flange.',
  leave: 'A trace at the mount harms nothing.',
};
export const FILM_ON_CONTACTS: Reason = {
  act: 'A film on contacts breaks the connection now and then.',
  leave: 'A trace on a contact still conducts.',
};
export const FILM_ON_CELLS: Reason = {
  act: 'A film on battery contacts costs charge and heats where the current passes.',
  leave: 'A trace on a battery contact still conducts.',
};
export const FILM_IN_BAY: Reason = {
  act: 'What sticks in the bay is carried on to the contacts.',
  leave: 'A trace in the bay harms nothing.',
};
export const FILM_ON_SENSOR: Reason = {
  act: 'A film on the sensor clouds part of every frame; air does not move it.',
  leave: 'A trace on the sensor shows in no picture.',
};
export const FILM_ON_MIRROR: Reason = {
  act: 'A film on the mirror dims the finder and misleads the metering; the picture itself never shows it.',
  leave: NO_HARM_ON_A_MIRROR,
};
export const FILM_ON_MATTE: Reason = {
  act: 'It shows in the finder, never in the picture, and no fluid goes on the screen.',
  leave: 'It shows in the finder at most.',
};
export const FILM_ON_CAP: Reason = {
  act: 'What sticks to a cap is on the glass at the next capping.',
  leave: 'A trace on a cap may stay.',
};
export const FILM_IN_CHAMBER: Reason = {
  act: 'In the mirror box it is out of the light and best left: no cloth goes in.',
  leave: 'In the mirror box so little is out of the light.',
};
export const FILM_ON_RING: Reason = {
  act: 'Skin oil and foreign grease swell the rubber of a ring and hold hairs on it.',
  leave: 'A trace of oil does the ring no harm before its next greasing.',
};
export const FILM_ON_THREAD: Reason = { act: 'A film in the thread gathers grains.', leave: 'A trace in the thread does not stop it.' };
export const FILM_ON_TRACK: Reason = {
  act: 'What sticks to the rails holds grains against the film.',
  leave: 'So little on the rails scratches nothing.',
};
export const SKIN_ON_A_WASHED_MIRROR: Reason = {
  act: 'Skin acid eats into aluminium: the maker’s washing procedure soon, not at the next long interval.',
};
export const LOOSE_IN_THREAD: Reason = {
  act: 'Loose dirt in a thread grinds at every turn.',
  leave: 'A speck in the thread does not stop it.',
};
export const LOOSE_ON_TRACK: Reason = { act: 'What lies on gate and rails shows at the edge of every frame or scratches the whole film.' };
export const LOOSE_ON_CURTAIN: Reason = {
  act: 'A shutter curtain is neither touched nor blown at; what lies on it falls off by itself or is a workshop’s.',
  leave: 'A speck on the curtain does nothing.',
};
export const GROWTH_OUT_OF_REACH = 'Fungus grows and its spores reach the neighbours; here no cloth reaches it.';

/** What is looked through and not photographed through. */
export const VIEWED = {
  objective: { leave: TRACE_TO_THE_EYE },
  corrector: { leave: TRACE_TO_THE_EYE },
  'field-lens': { leave: TRACE_TO_THE_EYE },
  'eye-lens': { leave: TRACE_TO_THE_EYE },
  'viewfinder-window': { leave: 'A trace in the finder harms nothing.' },
} as const satisfies Record<string, Pick<Reason, 'leave'>>;

export const EYE_SIDE = {
  eyecup: { act: 'Skin oil on an eyecup moves to the eye lens each time you look.', leave: 'So little on an eyecup harms nothing yet.' },
  'eye-lens': { act: 'It veils the view and feeds fungus: the eye lens meets lashes and cheeks.', leave: TRACE_TO_THE_EYE },
  'viewfinder-window': { act: 'It blurs the finder; the picture never shows it.', leave: 'A trace in the finder harms nothing.' },
} as const satisfies Record<string, Reason>;
