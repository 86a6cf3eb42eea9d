import type { Traits } from '../../knowledge/traits.js';
import { mirrored, rect, type Section } from '../section.js';
import { AXIS, openCase, size } from './frame.js';

const dome = (r: number, w: number): string =>
  `M300 ${AXIS - r}A${r} ${r} 0 0 0 300 ${AXIS + r}V${AXIS + r - w}A${r - w} ${r - w} 0 0 1 300 ${AXIS - r + w}z`;

export const portSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(302, AXIS - 132, 70, 264)],
  outline: [],
  regions: [
    {
      surface: 'port-outside',
      d: traits.domed ? dome(140, 14) : rect(252, AXIS - 120, 18, 240),
      at: traits.domed ? [168, AXIS] : [261, AXIS - 40],
    },
    {
      surface: 'port-inside',
      d: traits.domed ? dome(122, 14) : rect(274, AXIS - 120, 18, 240),
      at: traits.domed ? [186, AXIS + 30] : [283, AXIS + 40],
    },
    { surface: 'barrel', d: mirrored(302, 118, 70, 26, AXIS), at: [336, AXIS - 130] },
    { surface: 'o-ring', d: `M386 ${AXIS - 136}a10 10 0 1 0 .1 0zM386 ${AXIS + 116}a10 10 0 1 0 .1 0z`, at: [386, AXIS - 126] },
    openCase(500),
  ],
});
