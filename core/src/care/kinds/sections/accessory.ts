import type { Traits } from '../../knowledge/traits.js';
import { rect, type Section } from '../section.js';
import { AXIS, coating, openCase, row, size } from './frame.js';

export const accessorySection = (traits: Traits): Section => ({
  ...size,
  body: [rect(210, AXIS - 80, 210, 160)],
  outline: [],
  regions: [
    { surface: 'body-shell', d: 'M200 75H430V91H216V239H430V255H200z', at: [208, AXIS] },
    ...coating(traits, rect(260, AXIS - 40, 110, 60), [315, AXIS - 10]),
    ...(traits.electronicContacts
      ? [{ surface: 'contacts' as const, d: row(270, AXIS + 44, 5), at: [310, AXIS + 50] as [number, number] }]
      : []),
    ...(traits.battery
      ? [
          { surface: 'battery-bay' as const, d: rect(240, AXIS + 10, 60, 50), at: [270, AXIS + 30] as [number, number] },
          { surface: 'battery-contacts' as const, d: row(320, AXIS + 20, 2), at: [330, AXIS + 26] as [number, number] },
        ]
      : []),
    openCase(500, traits),
  ],
});
