import { element, faceBand, mirrored, rect, type Section } from '../section.js';
import { AXIS, size } from './frame.js';

/** Light enters at the field lens and leaves at the eye. */
export const eyepieceSection = (): Section => ({
  ...size,
  body: [`M190 ${AXIS - 58}H330V${AXIS - 96}H500V${AXIS + 96}H330V${AXIS + 58}H190z`],
  outline: [],
  regions: [
    { surface: 'rear-cap', d: rect(110, AXIS - 62, 16, 124), at: [118, AXIS - 40] },
    { surface: 'field-lens', d: faceBand(212, 50, 22, 9, AXIS), at: [212, AXIS] },
    { surface: 'inner-glass', d: element(352, 76, 30, 12, 4, AXIS) + element(412, 70, 24, -6, 12, AXIS), at: [366, AXIS + 24] },
    { surface: 'eye-lens', d: faceBand(468, 44, 22, -8, AXIS), at: [482, AXIS] },
    { surface: 'barrel', d: mirrored(188, 58, 142, 16, AXIS) + mirrored(330, 96, 130, 16, AXIS), at: [390, AXIS - 104] },
    { surface: 'eyecup', d: `M466 ${AXIS - 112}h70v14l-54 22h-16zM466 ${AXIS + 112}h70v-14l-54 -22h-16z`, at: [508, AXIS - 102] },
    { surface: 'front-cap', d: rect(586, AXIS - 90, 16, 180), at: [594, AXIS - 60] },
  ],
});
