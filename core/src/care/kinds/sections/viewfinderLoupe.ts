import type { Traits } from '../../knowledge/traits.js';
import { faceBand, mirrored, type Section } from '../section.js';
import { AXIS, openCase, size } from './frame.js';

export const loupeSection = (traits: Traits): Section => ({
  ...size,
  body: [`M220 ${AXIS - 100}H470L520 ${AXIS - 60}V${AXIS + 60}L470 ${AXIS + 100}H220z`],
  outline: [],
  regions: [
    { surface: 'field-lens', d: faceBand(240, 84, 20, 6, AXIS), at: [240, AXIS] },
    { surface: 'eye-lens', d: faceBand(470, 62, 20, -8, AXIS), at: [484, AXIS] },
    { surface: 'barrel', d: mirrored(216, 100, 250, 16, AXIS), at: [340, AXIS - 108] },
    { surface: 'eyecup', d: mirrored(500, 64, 44, 24, AXIS), at: [522, AXIS - 76] },
    openCase(590, traits),
  ],
});
