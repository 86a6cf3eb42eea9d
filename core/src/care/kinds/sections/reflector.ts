import { mirrored, rect, type Section } from '../section.js';
import { AXIS, size } from './frame.js';

export const reflectorSection = (): Section => ({
  ...size,
  body: [rect(120, AXIS - 92, 460, 184)],
  outline: [`M120 ${AXIS - 60}H556M120 ${AXIS + 60}H556M556 ${AXIS - 60}L210 ${AXIS}L556 ${AXIS + 60}`],
  regions: [
    { surface: 'front-cap', d: rect(66, AXIS - 100, 14, 200), at: [73, AXIS - 70] },
    { surface: 'secondary-mirror', d: `M186 ${AXIS + 22}l44 -44l12 10l-44 44z`, at: [214, AXIS] },
    { surface: 'primary-mirror', d: `M552 ${AXIS - 80}q-14 80 0 160h22v-160z`, at: [562, AXIS] },
    { surface: 'barrel', d: mirrored(118, 92, 464, 16, AXIS), at: [380, AXIS - 100] },
    { surface: 'focus-ring', d: rect(186, AXIS - 150, 62, 40), at: [216, AXIS - 130] },
    { surface: 'rear-cap', d: rect(600, AXIS - 92, 16, 184), at: [608, AXIS - 64] },
  ],
});
