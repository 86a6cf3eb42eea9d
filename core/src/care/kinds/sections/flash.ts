import type { Traits } from '../../knowledge/traits.js';
import { rect, type Section } from '../section.js';
import { AXIS, coating, openCase, row, size } from './frame.js';

/** A flash unit upright, its window to the left, its foot below. */
export const flashSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(226, AXIS - 110, 180, 80), rect(286, AXIS - 30, 110, 120)],
  outline: [],
  regions: [
    { surface: 'flash-window', d: rect(206, AXIS - 104, 16, 68), at: [214, AXIS - 70] },
    { surface: 'body-shell', d: `M226 ${AXIS - 122}H410V${AXIS - 110}H226z`, at: [300, AXIS - 116] },
    ...coating(traits, rect(398, AXIS - 20, 12, 70), [404, AXIS + 14]),
    { surface: 'dials', d: rect(412, AXIS - 100, 12, 50), at: [418, AXIS - 76] },
    { surface: 'hot-shoe', d: `M300 ${AXIS + 92}h80v10h-16v16h-48v-16h-16z`, at: [340, AXIS + 110] },
    { surface: 'battery-bay', d: rect(300, AXIS - 16, 82, 74), at: [340, AXIS + 20] },
    { surface: 'battery-contacts', d: row(304, AXIS + 64, 4), at: [330, AXIS + 70] },
    openCase(520),
  ],
});
