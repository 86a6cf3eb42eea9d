import type { Traits } from '../../knowledge/traits.js';
import { mirrored, rect, type Section, type Region } from '../section.js';

const AXIS = 196;

const contactsRow = (x: number, y: number, count: number): string =>
  Array.from({ length: count }, (_, i) => rect(x + i * 11, y, 7, 13)).join('');

/** What only a digital body has: sensor, screen, card, doors. */
const digital = (): Region[] => [
  { surface: 'sensor-cover', d: rect(400, AXIS - 60, 18, 120), at: [409, AXIS + 30] },
  { surface: 'screen', d: rect(554, 170, 18, 146), at: [563, 200] },
  { surface: 'card-bay', d: rect(448, 150, 70, 46), at: [480, 172] },
  { surface: 'port-covers', d: rect(448, 106, 34, 34), at: [464, 122] },
];

/** What only a film body has: rails and gate, the curtain before them, the seals of its door. */
const film = (): Region[] => [
  { surface: 'film-gate', d: rect(420, AXIS - 78, 10, 156), at: [425, AXIS + 66] },
  { surface: 'shutter-curtain', d: rect(402, AXIS - 60, 10, 120), at: [407, AXIS + 30] },
  { surface: 'light-seals', d: 'M538 140h10v10h-10zM538 306h10v10h-10zM384 100h14v7h-14z', at: [543, 311] },
];

const battery = (): Region[] => [
  { surface: 'battery-bay', d: rect(448, 236, 96, 82), at: [496, 280] },
  { surface: 'battery-contacts', d: contactsRow(466, 218, 5), at: [490, 224] },
];

/** A reflex body in section: mirror under its screen and prism, film or sensor behind. */
export const slrSection = (traits: Traits): Section => ({
  width: 704,
  height: 372,
  axisY: AXIS,
  body: [`M172 118H250L296 26H430L486 96H552V338H172V${AXIS + 92}H384V${AXIS - 84}H172z`],
  outline: ['M300 100L322 46H414L438 100z', ...(traits.digital ? [rect(422, AXIS - 66, 6, 132)] : [])],
  regions: [
    {
      surface: 'body-shell',
      d: 'M166 112H246L292 18H434L490 90H556V104H484L428 30H298L256 126H178V136H166zM172 326H556V344H172z',
      at: [214, 118],
    },
    { surface: 'focusing-screen', d: rect(258, 100, 122, 9), at: [320, 104] },
    { surface: 'reflex-mirror', d: `M250 ${AXIS + 74}L372 ${AXIS - 74}l10 8L262 ${AXIS + 84}z`, at: [316, AXIS + 4] },
    { surface: 'mirror-box', d: rect(178, AXIS + 88, 204, 14) + rect(178, AXIS - 78, 66, 12), at: [230, AXIS + 95] },
    { surface: 'viewfinder-window', d: rect(492, 56, 16, 34), at: [500, 64] },
    { surface: 'eyecup', d: 'M512 48h18q10 26 0 50h-18z', at: [524, 58] },
    { surface: 'body-cap', d: rect(96, AXIS - 72, 16, 144), at: [104, AXIS - 44] },
    { surface: 'body-mount', d: mirrored(150, 62, 20, 22, AXIS), at: [160, AXIS - 72] },
    ...(traits.weatherSealed
      ? [{ surface: 'mount-gasket' as const, d: mirrored(138, 66, 9, 16, AXIS), at: [142, AXIS - 74] as [number, number] }]
      : []),
    ...(traits.electronicContacts
      ? [{ surface: 'contacts' as const, d: contactsRow(178, AXIS + 66, 6), at: [210, AXIS + 72] as [number, number] }]
      : []),
    { surface: 'release-button', d: rect(152, AXIS + 92, 18, 14), at: [161, AXIS + 98] },
    { surface: traits.leatherCovered ? 'leather-covering' : 'grip-rubber', d: 'M170 306q-48 -6 -52 18q0 20 34 20h18z', at: [140, 326] },
    ...(traits.rubberisedCoating
      ? [{ surface: 'sticky-coating' as const, d: 'M526 110h26v54h-26z', at: [539, 132] as [number, number] }]
      : []),
    { surface: 'dials', d: 'M196 96h36v-14h-36zM512 104h34v-10h-34z', at: [214, 88] },
    { surface: 'hot-shoe', d: 'M330 8h56v12h-12v-5h-32v5h-12z', at: [358, 12] },
    ...(traits.popupFlash ? [{ surface: 'popup-flash' as const, d: 'M262 62l22 -44h8l-24 52z', at: [272, 50] as [number, number] }] : []),
    { surface: 'strap-lugs', d: 'M248 72a10 10 0 1 0 .1 0zm0 6a4 4 0 1 1 -.1 0z', at: [248, 82] },
    ...(traits.battery ? battery() : []),
    ...(traits.digital ? digital() : film()),
  ],
});
