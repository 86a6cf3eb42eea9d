import type { Traits } from '../../knowledge/traits.js';
import { mirrored, rect, type Section, type Region } from '../section.js';

const AXIS = 176;

const battery = (): Region[] => [
  { surface: 'battery-bay', d: rect(384, 206, 120, 90), at: [440, 250] },
  { surface: 'battery-contacts', d: Array.from({ length: 4 }, (_, i) => rect(404 + i * 22, 192, 12, 12)).join(''), at: [440, 198] },
];

const finder = (): Region[] => [
  { surface: 'viewfinder-window', d: rect(490, 48, 16, 42), at: [498, 58] },
  { surface: 'eyecup', d: 'M510 40h18q10 31 0 62h-18z', at: [522, 50] },
];

/** What only a digital body has: sensor, screen, card, doors. */
const digital = (): Region[] => [
  { surface: 'sensor-cover', d: rect(280, AXIS - 56, 20, 112), at: [290, AXIS - 20] },
  { surface: 'port-covers', d: rect(330, 124, 34, 52), at: [347, 140] },
  { surface: 'screen', d: rect(554, 118, 18, 180), at: [563, 160] },
  { surface: 'card-bay', d: rect(384, 124, 74, 52), at: [420, 140] },
];

/** What only a film body has: rails and gate, the curtain before them, the seals of its door. */
const film = (): Region[] => [
  { surface: 'film-gate', d: rect(300, AXIS - 74, 12, 148), at: [306, AXIS + 64] },
  { surface: 'shutter-curtain', d: rect(284, AXIS - 56, 10, 112), at: [289, AXIS - 20] },
  { surface: 'light-seals', d: 'M540 120h10v10h-10zM540 290h10v10h-10z', at: [545, 295] },
];

const mount = (traits: Traits): Region[] => [
  { surface: 'body-cap', d: rect(96, AXIS - 66, 16, 132), at: [104, AXIS - 40] },
  { surface: 'body-mount', d: mirrored(150, 56, 22, 22, AXIS), at: [161, AXIS - 66] },
  ...(traits.weatherSealed
    ? [{ surface: 'mount-gasket' as const, d: mirrored(138, 60, 9, 16, AXIS), at: [142, AXIS - 68] as [number, number] }]
    : []),
  { surface: 'mount-wall', d: mirrored(176, 52, 102, 14, AXIS), at: [226, AXIS - 58] },
  ...(traits.electronicContacts
    ? [
        {
          surface: 'contacts' as const,
          d: Array.from({ length: 6 }, (_, i) => rect(182 + i * 11, AXIS + 36, 7, 13)).join(''),
          at: [214, AXIS + 42] as [number, number],
        },
      ]
    : []),
  { surface: 'release-button', d: rect(154, AXIS + 84, 18, 14), at: [163, AXIS + 91] },
];

/** A mirrorless body in section: mount to the left, screen to the right. */
export const bodySection = (traits: Traits): Section => ({
  width: 704,
  height: 352,
  axisY: AXIS,
  body: [`M172 98H262L300 40H486V98H552V318H172V${AXIS + 54}H280V${AXIS - 54}H172z`],
  outline: traits.digital ? [rect(302, AXIS - 62, 8, 124)] : [],
  regions: [
    { surface: 'body-shell', d: 'M166 92H258L296 32H490V46H304L266 106H178V118H166zM172 306H552V324H172z', at: [220, 98] },
    ...mount(traits),
    { surface: traits.leatherCovered ? 'leather-covering' : 'grip-rubber', d: 'M170 276q-48 -6 -52 22q0 26 34 26h18z', at: [140, 300] },
    ...(traits.rubberisedCoating
      ? [{ surface: 'sticky-coating' as const, d: 'M526 108h26v56h-26z', at: [539, 132] as [number, number] }]
      : []),
    { surface: 'dials', d: 'M512 108h38v-14h-38zM192 74h40v16h-40z', at: [212, 82] },
    { surface: 'hot-shoe', d: 'M372 14h52v14h-12v-6h-28v6h-12z', at: [398, 20] },
    { surface: 'strap-lugs', d: 'M246 58a11 11 0 1 0 .1 0zm0 7a4 4 0 1 1 -.1 0z', at: [246, 68] },
    ...(traits.digital ? digital() : film()),
    ...(traits.viewfinder ? finder() : []),
    ...(traits.battery ? battery() : []),
  ],
});
