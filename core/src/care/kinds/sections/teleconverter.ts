import type { Traits } from '../../knowledge/traits.js';
import { element, faceBand, mirrored, rect, type Section } from '../section.js';
import { AXIS, row, size } from './frame.js';

export const teleconverterSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(220, AXIS - 98, 270, 196)],
  outline: [],
  regions: [
    { surface: 'front-cap', d: rect(120, AXIS - 80, 14, 160), at: [127, AXIS - 60] },
    { surface: 'body-mount', d: mirrored(188, 66, 28, 34, AXIS), at: [202, AXIS - 84] },
    { surface: 'front-glass', d: faceBand(246, 62, 20, 9, AXIS), at: [246, AXIS] },
    { surface: 'inner-glass', d: element(318, 54, 26, 10, 8, AXIS) + element(388, 50, 22, -5, 9, AXIS), at: [330, AXIS + 16] },
    { surface: 'rear-glass', d: faceBand(450, 48, 18, -6, AXIS), at: [462, AXIS] },
    { surface: 'barrel', d: mirrored(220, 98, 270, 18, AXIS), at: [350, AXIS - 107] },
    ...(traits.weatherSealed
      ? [{ surface: 'mount-gasket' as const, d: mirrored(522, 84, 10, 20, AXIS), at: [527, AXIS - 94] as [number, number] }]
      : []),
    { surface: 'lens-mount', d: mirrored(494, 66, 26, 34, AXIS), at: [507, AXIS - 84] },
    ...(traits.electronicContacts
      ? [{ surface: 'contacts' as const, d: row(484, AXIS + 46, 4), at: [508, AXIS + 52] as [number, number] }]
      : []),
    { surface: 'rear-cap', d: rect(570, AXIS - 76, 14, 152), at: [577, AXIS - 56] },
  ],
});
