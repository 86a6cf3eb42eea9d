import { KIND_RELATIONS } from '../kinds/registry.js';
import type { Surface } from './surfaces.js';

/**
 * Contamination logistics as relations: the left one is cleaned before the right one, because the right one
 * is touched by it, sits below it, or meets it later. The planner sorts by these; a relation that only one kind
 * knows stands in that kind’s record.
 */
const inOrder = (...surfaces: Surface[]): [Surface, Surface][] => surfaces.slice(1).map((later, i) => [surfaces[i]!, later]);

export const BEFORE: readonly (readonly [Surface, Surface])[] = [
  ...KIND_RELATIONS,
  // Protection first: a dirty cap dirties clean glass, and the body cap goes on the moment the lens is off.
  ...inOrder('body-cap', 'rear-cap', 'front-cap', 'case', 'body-shell'),
  ['case', 'barrel'],
  // Shell from the rough to the fine, top to bottom, so that what falls lands on what is still to do.
  ...inOrder('body-shell', 'grip-rubber', 'strap-lugs', 'dials', 'hot-shoe', 'port-covers', 'card-bay', 'battery-bay', 'battery-contacts'),
  ...inOrder('barrel', 'zoom-ring', 'focus-ring', 'helicoid', 'inner-barrel', 'hood-outside', 'hood-inside', 'hood-mount', 'filter-thread'),
  // What the face touches, before what the eye looks through.
  ...inOrder('battery-contacts', 'screen', 'eyecup', 'viewfinder-window'),
  // Mount and contacts only when nothing can fall in from the shell; gasket before flange.
  ['viewfinder-window', 'release-button'],
  ...inOrder('release-button', 'mount-gasket', 'body-mount', 'mount-wall', 'contacts'),
  ['filter-thread', 'mount-gasket'],
  ...inOrder('mount-gasket', 'lens-mount', 'contacts'),
  // Then glass: filters, front, and the rear with a new tissue. Rim before glass. The sensor last of all.
  ['case', 'filter-thread'],
  ...inOrder('contacts', 'filter-front', 'filter-back', 'front-glass', 'rear-glass'),
  ['filter-thread', 'filter-front'],
  ['contacts', 'sensor-cover'],
  ['mount-wall', 'sensor-cover'],
  ...inOrder('grip-rubber', 'sticky-coating', 'strap-lugs'),
  ...inOrder('hot-shoe', 'popup-flash', 'port-covers'),
  // The face and the cup it leans on, before the lens it looks into.
  ...inOrder('eyecup', 'eye-lens'),
  ['barrel', 'eyecup'],
  ...inOrder('mount-wall', 'mirror-box', 'contacts'),
  // What falls from the mirror box lands on the screen and the mirror; the sensor behind the mirror comes last.
  ...inOrder('contacts', 'focusing-screen', 'reflex-mirror', 'sensor-cover'),
  // Front before rear, outside before inside.
  ...inOrder('rear-glass', 'objective', 'corrector', 'field-lens', 'eye-lens'),
  ...inOrder('screen', 'phone-lens'),
  ['eyecup', 'objective'],
  ['contacts', 'port-outside'],
  // A case before what lies in it; the covering with the shell; the flash's window after its shell.
  ['leather-case', 'body-shell'],
  ['leather-case', 'filter-thread'],
  ['body-shell', 'leather-covering'],
  ['leather-covering', 'strap-lugs'],
  ['body-shell', 'flash-window'],
  ['propellers', 'port-covers'],
  ['port-covers', 'gimbal'],
  ['bellows', 'viewfinder-window'],
  ['strap-lugs', 'bellows'],
  // A film body's door stands open last: old foam comes off before the rails are cleaned, the curtain is only looked at.
  ...inOrder('battery-contacts', 'light-seals', 'film-gate', 'shutter-curtain', 'viewfinder-window'),
];
