import type { Traits } from '../../knowledge/traits.js';
import { element, faceBand, mirrored, rect, type Region, type Section } from '../section.js';
import { AXIS, coating, row, size } from './frame.js';

/** What only a digital one has: screen, card, doors. */
const digital = (): Region[] => [
  { surface: 'port-covers', d: rect(330, 214, 32, 44), at: [346, 230] },
  { surface: 'screen', d: rect(516, 104, 16, 128), at: [524, 140] },
  { surface: 'card-bay', d: rect(392, 84, 76, 56), at: [430, 108] },
];

/** What only a film one has. */
const film = (): Region[] => [
  { surface: 'film-gate', d: rect(330, 110, 12, 120), at: [336, 124] },
  { surface: 'light-seals', d: 'M498 84h10v10h-10zM498 268h10v10h-10z', at: [503, 273] },
];

const battery = (): Region[] => [
  { surface: 'battery-bay', d: rect(382, 178, 96, 80), at: [430, 220] },
  { surface: 'battery-contacts', d: row(394, 160, 4), at: [424, 166] },
];

/** A compact camera with its lens out. */
export const compactSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(262, 62, 250, 210)],
  outline: [rect(300, AXIS - 52, 8, 104), element(150, 48, 20, 8, 0, AXIS)],
  regions: [
    { surface: 'front-glass', d: faceBand(128, 50, 18, 8, AXIS), at: [128, AXIS] },
    { surface: 'inner-glass', d: element(196, 40, 18, 7, 6, AXIS) + element(246, 36, 16, -4, 7, AXIS), at: [204, AXIS + 14] },
    ...(traits.collapsible
      ? [{ surface: 'inner-barrel' as const, d: mirrored(140, 62, 118, 12, AXIS), at: [198, AXIS - 68] as [number, number] }]
      : []),
    { surface: 'body-shell', d: 'M262 54H512V68H262zM262 266H512V280H262z', at: [330, 61] },
    { surface: 'grip-rubber', d: rect(246, 90, 14, 46), at: [253, 104] },
    ...coating(traits, rect(498, 200, 14, 62), [505, 230]),
    { surface: 'dials', d: rect(420, 38, 44, 14) + rect(372, 42, 24, 10), at: [442, 45] },
    ...(traits.popupFlash
      ? [{ surface: 'popup-flash' as const, d: 'M286 52V30h38v22h-8V38h-22v14z', at: [304, 34] as [number, number] }]
      : []),
    { surface: 'strap-lugs', d: 'M524 76a10 10 0 1 0 .1 0zm0 6a4 4 0 1 1 -.1 0z', at: [524, 86] },
    ...(traits.viewfinder ? [{ surface: 'viewfinder-window' as const, d: rect(496, 74, 16, 24), at: [504, 84] as [number, number] }] : []),
    ...(traits.digital ? digital() : film()),
    ...(traits.battery ? battery() : []),
  ],
});
