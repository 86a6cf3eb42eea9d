import type { Traits } from '../../knowledge/traits.js';
import { element, faceBand, mirrored, rect, type Section, type Region } from '../section.js';

const AXIS = 165;
const FRONT = 205;
const REAR = 566;

function hood(): Region[] {
  const wall = (dy: number, inset: number) =>
    `M52 ${AXIS + dy * (128 - inset)}L132 ${AXIS + dy * (108 - inset)}v${-dy * 9}L52 ${AXIS + dy * (119 - inset)}z`;
  return [
    { surface: 'hood-outside', d: wall(-1, 0) + wall(1, 0), at: [80, AXIS - 118] },
    { surface: 'hood-inside', d: wall(-1, 12) + wall(1, 12), at: [80, AXIS - 104] },
    { surface: 'hood-mount', d: mirrored(134, 88, 20, 20, AXIS), at: [144, AXIS - 100] },
  ];
}

const filter = (): Region[] => [
  { surface: 'filter-front', d: rect(160, AXIS - 84, 12, 168), at: [166, AXIS - 60] },
  { surface: 'filter-back', d: rect(175, AXIS - 84, 12, 168), at: [181, AXIS + 60] },
];

/** Rings and barrel along the tube; an extending zoom gives room to its inner barrel and second ring. */
function tube(traits: Traits): Region[] {
  const zoom = !!traits.zoomExtends;
  const inner = zoom || !!traits.collapsible;
  const regions: Region[] = [];
  if (inner) regions.push({ surface: 'inner-barrel', d: mirrored(216, 94, 74, 12, AXIS), at: [252, AXIS - 100] });
  if (zoom) regions.push({ surface: 'zoom-ring', d: mirrored(296, 100, 96, 24, AXIS), at: [344, AXIS - 112] });
  const focusAt = zoom ? 402 : inner ? 300 : 244;
  const focusWidth = zoom ? 82 : 150;
  regions.push({ surface: 'focus-ring', d: mirrored(focusAt, 100, focusWidth, 22, AXIS), at: [focusAt + focusWidth / 2, AXIS - 112] });
  regions.push({ surface: 'helicoid', d: teeth(focusAt + 4, focusWidth - 8), at: [focusAt + focusWidth / 2, AXIS - 90] });
  const barrelAt = focusAt + focusWidth + 8;
  regions.push({ surface: 'barrel', d: mirrored(barrelAt, 96, 598 - barrelAt, 18, AXIS), at: [(barrelAt + 598) / 2, AXIS - 105] });
  return regions;
}

/** A thread in section: saw teeth under the focus ring. */
function teeth(x: number, width: number): string {
  const pitch = 10;
  const count = Math.floor(width / pitch);
  const saw = (y: number, up: number) =>
    `M${x} ${y}${Array.from({ length: count }, () => `l${pitch / 2} ${-8 * up}l${pitch / 2} ${8 * up}`).join('')}v${10 * up}H${x}z`;
  return saw(AXIS - 94, 1) + saw(AXIS + 94, -1);
}

/** Where the barrel is finished in rubbery paint. */
const coatedBand: Region = { surface: 'sticky-coating', d: mirrored(560, 114, 36, 8, AXIS), at: [578, AXIS + 118] };

function mount(traits: Traits): Region[] {
  const regions: Region[] = [{ surface: 'lens-mount', d: mirrored(604, 66, 24, 34, AXIS), at: [616, AXIS - 84] }];
  if (traits.weatherSealed) regions.push({ surface: 'mount-gasket', d: mirrored(630, 84, 10, 20, AXIS), at: [635, AXIS - 94] });
  if (traits.electronicContacts)
    regions.push({
      surface: 'contacts',
      d: Array.from({ length: 5 }, (_, i) => rect(596 + i * 9, AXIS + 48, 6, 14)).join(''),
      at: [616, AXIS + 56],
    });
  return regions;
}

const glass = (): Region[] => [
  { surface: 'front-glass', d: faceBand(FRONT, 82, 20, 12, AXIS), at: [FRONT, AXIS] },
  { surface: 'inner-glass', d: element(306, 62, 26, 10, 8, AXIS) + element(470, 56, 24, -6, 10, AXIS), at: [320, AXIS + 20] },
  { surface: 'aperture-blades', d: `M404 ${AXIS - 88}l12 0l4 56l-20 0zM404 ${AXIS + 88}l12 0l4 -56l-20 0z`, at: [410, AXIS - 60] },
  { surface: 'rear-glass', d: faceBand(REAR, 50, 20, -7, AXIS), at: [REAR + 14, AXIS] },
];

const caps = (): Region[] => [
  { surface: 'front-cap', d: rect(14, AXIS - 90, 14, 180), at: [21, AXIS - 70] },
  { surface: 'rear-cap', d: rect(676, AXIS - 76, 14, 152), at: [683, AXIS - 56] },
];

/** A lens in section, from its traits. */
export const lensSection = (traits: Traits): Section => ({
  width: 704,
  height: 330,
  axisY: AXIS,
  body: [`M190 ${AXIS - 98}H598V${AXIS - 66}H640V${AXIS + 66}H598V${AXIS + 98}H190z`],
  outline: [element(FRONT + 20, 82, 34, 12, -6, AXIS), element(REAR - 34, 50, 34, 8, -7, AXIS)],
  regions: [
    ...(traits.hoodFitted ? hood() : []),
    { surface: 'filter-thread', d: mirrored(190, 86, 22, 12, AXIS), at: [200, AXIS - 92] },
    ...(traits.filterFitted ? filter() : []),
    ...tube(traits),
    ...(traits.rubberisedCoating ? [coatedBand] : []),
    ...mount(traits),
    ...glass(),
    ...caps(),
  ],
});
