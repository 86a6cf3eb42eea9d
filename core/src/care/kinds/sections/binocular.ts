import type { Traits } from '../../knowledge/traits.js';
import { element, faceBand, mirrored, rect, type Section } from '../section.js';
import { AXIS, coating, openCase, size } from './frame.js';

export const binocularSection = (traits: Traits): Section => ({
  ...size,
  body: [`M140 ${AXIS - 84}H420L520 ${AXIS - 50}V${AXIS + 50}L420 ${AXIS + 84}H140z`],
  outline: [`M300 ${AXIS - 64}L380 ${AXIS + 10}H300zM330 ${AXIS + 64}L410 ${AXIS - 10}V${AXIS + 64}z`],
  regions: [
    { surface: 'front-cap', d: rect(60, AXIS - 80, 14, 160), at: [67, AXIS - 60] },
    { surface: 'objective', d: faceBand(156, 74, 24, 12, AXIS), at: [156, AXIS] },
    { surface: 'inner-glass', d: element(226, 62, 20, 5, 5, AXIS) + element(452, 34, 18, 6, 5, AXIS), at: [236, AXIS + 18] },
    { surface: 'eye-lens', d: faceBand(502, 36, 18, -6, AXIS), at: [514, AXIS] },
    { surface: 'body-shell', d: mirrored(136, 84, 284, 16, AXIS), at: [250, AXIS - 92] },
    ...coating(traits, mirrored(212, 100, 126, 10, AXIS), [274, AXIS + 105]),
    { surface: 'focus-ring', d: rect(366, AXIS - 134, 70, 26), at: [400, AXIS - 121] },
    { surface: 'strap-lugs', d: `M456 ${AXIS - 96}a10 10 0 1 0 .1 0zm0 6a4 4 0 1 1 -.1 0z`, at: [456, AXIS - 86] },
    { surface: 'eyecup', d: mirrored(526, 44, 30, 14, AXIS), at: [541, AXIS - 51] },
    { surface: 'rear-cap', d: rect(574, AXIS - 60, 14, 120), at: [581, AXIS - 40] },
    openCase(600, traits),
  ],
});
