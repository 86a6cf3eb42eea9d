import type { Traits } from '../../knowledge/traits.js';
import { faceBand, rect, type Section } from '../section.js';
import { AXIS, openCase, row, size } from './frame.js';

/** A small flying camera from the side, its eye to the left on its arm. */
export const droneSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(240, AXIS - 60, 220, 70), rect(140, AXIS + 4, 60, 60)],
  outline: [],
  regions: [
    ...(traits.filterFitted
      ? [
          { surface: 'filter-front' as const, d: rect(96, AXIS + 12, 10, 44), at: [101, AXIS + 22] as [number, number] },
          { surface: 'filter-back' as const, d: rect(110, AXIS + 12, 8, 44), at: [114, AXIS + 46] as [number, number] },
        ]
      : []),
    { surface: 'front-glass', d: faceBand(126, 18, 12, 3, AXIS + 34), at: [128, AXIS + 34] },
    { surface: 'gimbal', d: `M204 ${AXIS + 24}h30v-24h14v38h-44z`, at: [224, AXIS + 30] },
    { surface: 'body-shell', d: `M240 ${AXIS - 72}H460V${AXIS - 60}H240z`, at: [350, AXIS - 66] },
    { surface: 'propellers', d: rect(226, AXIS - 104, 110, 8) + rect(372, AXIS - 104, 110, 8), at: [280, AXIS - 100] },
    { surface: 'port-covers', d: rect(440, AXIS - 30, 16, 26), at: [448, AXIS - 18] },
    { surface: 'card-bay', d: rect(400, AXIS - 30, 30, 22), at: [414, AXIS - 20] },
    { surface: 'battery-bay', d: rect(280, AXIS - 50, 100, 40), at: [330, AXIS - 30] },
    { surface: 'battery-contacts', d: row(290, AXIS - 6, 4), at: [320, AXIS] },
    openCase(540),
  ],
});
