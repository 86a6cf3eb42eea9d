import type { Traits } from '../../knowledge/traits.js';
import { mirrored, rect, type Section } from '../section.js';

const AXIS = 165;

/** A filter in section beside its open case. */
export const filterSection = (traits: Traits): Section => ({
  width: 704,
  height: 330,
  axisY: AXIS,
  body: [rect(258, AXIS - 138, 90, 26), rect(258, AXIS + 112, 90, 26)],
  outline: [rect(302, AXIS - 112, 8, 224)],
  regions: [
    { surface: 'filter-front', d: rect(270, AXIS - 112, 30, 224), at: [285, AXIS - 80] },
    { surface: 'filter-back', d: rect(312, AXIS - 112, 30, 224), at: [327, AXIS + 80] },
    { surface: 'filter-thread', d: mirrored(350, 118, 34, 20, AXIS), at: [366, AXIS - 128] },
    { surface: traits.leatherCase ? 'leather-case' : 'case', d: `M470 ${AXIS - 128}h120v256h-120v-18h102v-220h-102z`, at: [580, AXIS] },
  ],
});
