import type { Traits } from '../../knowledge/traits.js';
import { element, faceBand, mirrored, rect, type Region, type Section } from '../section.js';
import { AXIS, size } from './frame.js';

const dewShield = (): Region[] => [
  { surface: 'hood-outside', d: mirrored(70, 100, 96, 10, AXIS), at: [118, AXIS - 105] },
  { surface: 'hood-inside', d: mirrored(70, 86, 96, 10, AXIS), at: [100, AXIS - 91] },
];

/** A refractor, or with a corrector a folded telescope: the mirrors lie behind the plate. */
export const refractorSection = (traits: Traits): Section => ({
  ...size,
  body: [rect(170, AXIS - 82, 380, 164)],
  outline: [`M170 ${AXIS - 60}L540 ${AXIS - 20}M170 ${AXIS + 60}L540 ${AXIS + 20}`],
  regions: [
    { surface: 'front-cap', d: rect(28, AXIS - 96, 14, 192), at: [35, AXIS - 70] },
    ...(traits.hoodFitted ? dewShield() : []),
    ...(traits.correctorFront
      ? ([
          { surface: 'corrector', d: rect(176, AXIS - 76, 14, 152), at: [183, AXIS + 50] },
          { surface: 'secondary-mirror', d: rect(196, AXIS - 26, 16, 52), at: [204, AXIS] },
          {
            surface: 'primary-mirror',
            d: `M520 ${AXIS - 76}q18 36 18 50h-16q0 -14 -16 -50zM520 ${AXIS + 76}q18 -36 18 -50h-16q0 14 -16 50z`,
            at: [526, AXIS - 56],
          },
        ] satisfies Region[])
      : ([
          { surface: 'objective', d: faceBand(186, 76, 20, 11, AXIS), at: [186, AXIS] },
          { surface: 'inner-glass', d: element(214, 72, 20, -4, 2, AXIS), at: [224, AXIS + 24] },
        ] satisfies Region[])),
    { surface: 'barrel', d: mirrored(168, 82, 382, 16, AXIS), at: [340, AXIS - 90] },
    { surface: 'focus-ring', d: mirrored(556, 44, 60, 18, AXIS), at: [586, AXIS - 53] },
    { surface: 'rear-cap', d: rect(636, AXIS - 44, 14, 88), at: [643, AXIS - 24] },
  ],
});
