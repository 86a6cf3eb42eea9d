import type { Traits } from '../../knowledge/traits.js';
import { element, faceBand, mirrored, rect, type Region, type Section } from '../section.js';
import { AXIS, openCase, row, size } from './frame.js';

const twinLens = (): Region[] => [
  { surface: 'objective', d: faceBand(150, 24, 14, 5, AXIS - 96), at: [152, AXIS - 96] },
  { surface: 'reflex-mirror', d: `M270 ${AXIS - 70}L336 ${AXIS - 128}l8 7L278 ${AXIS - 62}z`, at: [306, AXIS - 98] },
  { surface: 'focusing-screen', d: rect(272, AXIS - 142, 84, 9), at: [314, AXIS - 137] },
];
const finder = (): Region[] => [{ surface: 'viewfinder-window', d: rect(440, AXIS - 122, 16, 24), at: [448, AXIS - 112] }];
const battery = (): Region[] => [
  { surface: 'battery-bay', d: rect(372, AXIS + 50, 50, 40), at: [396, AXIS + 70] },
  { surface: 'battery-contacts', d: row(374, AXIS + 32, 2), at: [384, AXIS + 38] },
];

/** A film camera drawn out, its back to the right. */
export const filmCameraSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(262, AXIS - 96, 200, 206)],
  outline: [rect(206, AXIS - 34, 6, 68)],
  regions: [
    { surface: 'front-glass', d: faceBand(128, 34, 16, 6, AXIS), at: [128, AXIS] },
    { surface: 'inner-glass', d: element(184, 26, 14, 5, 5, AXIS), at: [190, AXIS + 10] },
    { surface: 'aperture-blades', d: mirrored(168, 12, 6, 20, AXIS), at: [171, AXIS - 24] },
    ...(traits.twinLens ? twinLens() : finder()),
    ...(traits.bellows
      ? [{ surface: 'bellows' as const, d: mirrored(214, 40, 46, 14, AXIS), at: [236, AXIS - 47] as [number, number] }]
      : []),
    { surface: 'helicoid', d: mirrored(142, 40, 40, 10, AXIS), at: [160, AXIS + 45] },
    {
      surface: 'body-shell',
      d: `M262 ${AXIS - 106}H470V${AXIS - 96}H262zM262 ${AXIS + 110}H470V${AXIS + 120}H262z`,
      at: [300, AXIS - 101],
    },
    { surface: traits.leatherCovered ? 'leather-covering' : 'grip-rubber', d: rect(470, AXIS - 40, 14, 130), at: [477, AXIS + 20] },
    { surface: 'dials', d: rect(380, AXIS - 124, 40, 14), at: [398, AXIS - 117] },
    { surface: 'strap-lugs', d: `M276 ${AXIS + 126}a9 9 0 1 0 .1 0zm0 5a4 4 0 1 1 -.1 0z`, at: [276, AXIS + 136] },
    { surface: 'film-gate', d: rect(430, AXIS - 60, 12, 120), at: [436, AXIS + 44] },
    { surface: 'light-seals', d: `M450 ${AXIS - 90}h10v10h-10zM450 ${AXIS + 94}h10v10h-10z`, at: [455, AXIS + 99] },
    ...(traits.battery ? battery() : []),
    openCase(560, traits),
  ],
});
