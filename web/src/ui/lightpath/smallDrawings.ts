import type { care } from '@bright-keeper/core';
import { element, faceBand, mirrored, rect, type Drawing, type Region } from './drawing';

const AXIS = 165;
const size = { width: 704, height: 330, axisY: AXIS };

const coating = (traits: care.Traits, d: string, at: [number, number]): Region[] =>
  traits.rubberisedCoating ? [{ surface: 'sticky-coating', d, at }] : [];
const row = (x: number, y: number, count: number): string => Array.from({ length: count }, (_, i) => rect(x + i * 18, y, 11, 12)).join('');
/** An open box in section, lying at the right. */
const openCase = (x: number): Region => ({
  surface: 'case',
  d: `M${x} ${AXIS - 110}h96v220h-96v-16h80v-188h-80z`,
  at: [x + 88, AXIS - 60],
});

/** A compact camera with its lens out. */
export const compactDrawing = (traits: care.Traits): Drawing => ({
  ...size,
  body: [rect(262, 62, 250, 210)],
  outline: [rect(300, AXIS - 52, 8, 104), element(150, 48, 20, 8, 0, AXIS)],
  regions: [
    { surface: 'front-glass', d: faceBand(128, 50, 18, 8, AXIS), at: [128, AXIS] },
    { surface: 'inner-glass', d: element(196, 40, 18, 7, 6, AXIS) + element(246, 36, 16, -4, 7, AXIS), at: [204, AXIS + 14] },
    ...(traits.collapsible
      ? [{ surface: 'inner-barrel' as const, d: mirrored(140, 62, 118, 12, AXIS), at: [198, AXIS - 68] as [number, number] }]
      : []),
    { surface: 'body-shell', d: 'M262 54H512V68H262zM262 266H512V280H262z', at: [330, 61] },
    { surface: 'grip-rubber', d: rect(246, 90, 14, 46), at: [253, 104] },
    ...coating(traits, rect(498, 200, 14, 62), [505, 230]),
    { surface: 'dials', d: rect(420, 38, 44, 14) + rect(372, 42, 24, 10), at: [442, 45] },
    ...(traits.popupFlash
      ? [{ surface: 'popup-flash' as const, d: 'M286 52V30h38v22h-8V38h-22v14z', at: [304, 34] as [number, number] }]
      : []),
    { surface: 'strap-lugs', d: 'M524 76a10 10 0 1 0 .1 0zm0 6a4 4 0 1 1 -.1 0z', at: [524, 86] },
    { surface: 'port-covers', d: rect(330, 214, 32, 44), at: [346, 230] },
    { surface: 'screen', d: rect(516, 104, 16, 128), at: [524, 140] },
    ...(traits.viewfinder ? [{ surface: 'viewfinder-window' as const, d: rect(496, 74, 16, 24), at: [504, 84] as [number, number] }] : []),
    { surface: 'battery-bay', d: rect(382, 178, 96, 80), at: [430, 220] },
    { surface: 'battery-contacts', d: row(394, 160, 4), at: [424, 166] },
    { surface: 'card-bay', d: rect(392, 84, 76, 56), at: [430, 108] },
  ],
});

export const phoneDrawing = (): Drawing => ({
  ...size,
  body: [rect(262, 22, 44, 286)],
  outline: [element(250, 22, 14, 4, 0, 82)],
  regions: [
    { surface: 'phone-lens', d: rect(236, 56, 16, 52), at: [244, 82] },
    { surface: 'body-shell', d: 'M254 16H312V24H262V306H312V314H254z', at: [258, 200] },
    { surface: 'screen', d: rect(308, 26, 16, 278), at: [316, 120] },
    { surface: 'port-covers', d: rect(272, 290, 22, 14), at: [283, 297] },
    openCase(480),
  ],
});

export const teleconverterDrawing = (traits: care.Traits): Drawing => ({
  ...size,
  body: [rect(220, AXIS - 98, 270, 196)],
  outline: [],
  regions: [
    { surface: 'front-cap', d: rect(120, AXIS - 80, 14, 160), at: [127, AXIS - 60] },
    { surface: 'body-mount', d: mirrored(188, 66, 28, 34, AXIS), at: [202, AXIS - 84] },
    { surface: 'front-glass', d: faceBand(246, 62, 20, 9, AXIS), at: [246, AXIS] },
    { surface: 'inner-glass', d: element(318, 54, 26, 10, 8, AXIS) + element(388, 50, 22, -5, 9, AXIS), at: [330, AXIS + 16] },
    { surface: 'rear-glass', d: faceBand(450, 48, 18, -6, AXIS), at: [462, AXIS] },
    { surface: 'barrel', d: mirrored(220, 98, 270, 18, AXIS), at: [350, AXIS - 107] },
    ...(traits.weatherSealed
      ? [{ surface: 'mount-gasket' as const, d: mirrored(522, 84, 10, 20, AXIS), at: [527, AXIS - 94] as [number, number] }]
      : []),
    { surface: 'lens-mount', d: mirrored(494, 66, 26, 34, AXIS), at: [507, AXIS - 84] },
    ...(traits.electronicContacts
      ? [{ surface: 'contacts' as const, d: row(484, AXIS + 46, 4), at: [508, AXIS + 52] as [number, number] }]
      : []),
    { surface: 'rear-cap', d: rect(570, AXIS - 76, 14, 152), at: [577, AXIS - 56] },
  ],
});

/** Light enters at the field lens and leaves at the eye. */
export const eyepieceDrawing = (): Drawing => ({
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

export const binocularDrawing = (traits: care.Traits): Drawing => ({
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
    openCase(600),
  ],
});

const dewShield = (): Region[] => [
  { surface: 'hood-outside', d: mirrored(70, 100, 96, 10, AXIS), at: [118, AXIS - 105] },
  { surface: 'hood-inside', d: mirrored(70, 86, 96, 10, AXIS), at: [100, AXIS - 91] },
];

/** A refractor, or with a corrector a folded telescope: the mirrors lie behind the plate. */
export const refractorDrawing = (traits: care.Traits): Drawing => ({
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

export const reflectorDrawing = (): Drawing => ({
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

const dome = (r: number, w: number): string =>
  `M300 ${AXIS - r}A${r} ${r} 0 0 0 300 ${AXIS + r}V${AXIS + r - w}A${r - w} ${r - w} 0 0 1 300 ${AXIS - r + w}z`;

export const portDrawing = (traits: care.Traits): Drawing => ({
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

export const loupeDrawing = (): Drawing => ({
  ...size,
  body: [`M220 ${AXIS - 100}H470L520 ${AXIS - 60}V${AXIS + 60}L470 ${AXIS + 100}H220z`],
  outline: [],
  regions: [
    { surface: 'field-lens', d: faceBand(240, 84, 20, 6, AXIS), at: [240, AXIS] },
    { surface: 'eye-lens', d: faceBand(470, 62, 20, -8, AXIS), at: [484, AXIS] },
    { surface: 'barrel', d: mirrored(216, 100, 250, 16, AXIS), at: [340, AXIS - 108] },
    { surface: 'eyecup', d: mirrored(500, 64, 44, 24, AXIS), at: [522, AXIS - 76] },
    openCase(590),
  ],
});

export const accessoryDrawing = (traits: care.Traits): Drawing => ({
  ...size,
  body: [rect(210, AXIS - 80, 210, 160)],
  outline: [],
  regions: [
    { surface: 'body-shell', d: 'M200 75H430V91H216V239H430V255H200z', at: [208, AXIS] },
    ...coating(traits, rect(260, AXIS - 40, 110, 60), [315, AXIS - 10]),
    ...(traits.electronicContacts
      ? [{ surface: 'contacts' as const, d: row(270, AXIS + 44, 5), at: [310, AXIS + 50] as [number, number] }]
      : []),
    openCase(500),
  ],
});
