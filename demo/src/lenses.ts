import { cleaned, exercised, looked, type DemoThing } from './story.js';

/** Modern lenses of the harbour archive: all lines and names are made up. */
const MODERN: DemoThing[] = [
  {
    name: 'Corvane 35/2', kind: 'lens', traits: { weatherSealed: true, filterFitted: false, value: 620, servicePrice: 140 }, cameDaysAgo: 412,
    notes: 'The one that is always on. Goes to the quay every Friday.',
    history: [
      looked(400), looked(309, { 'front-glass': { dust: 2 } }), cleaned(309), exercised(215),
      looked(210, { 'front-glass': { fingerprint: 2 }, 'focus-ring': { dust: 2 } }), cleaned(210),
      looked(118, { 'front-glass': { 'water-spot': 2 } }), cleaned(118), exercised(60),
      looked(1, { 'front-glass': { fingerprint: 3, dust: 2 }, 'focus-ring': { salt: 2 }, 'rear-glass': { dust: 1 }, contacts: { 'skin-oil': 2 } }, { 'front-glass': 'A whole thumb, from the children’s day at the boathouse.' }),
    ],
  },
  {
    name: 'Corvane 50/1.8', kind: 'lens', traits: { value: 240, servicePrice: 120 }, cameDaysAgo: 405,
    history: [looked(400), looked(300, { 'front-glass': { dust: 1 } }), looked(205), exercised(140), looked(112, { 'inner-glass': { 'internal-dust': 1 } }), looked(18, { 'inner-glass': { 'internal-dust': 1 } }), exercised(18)],
  },
  {
    name: 'Corvane 85/1.8', kind: 'lens', traits: { weatherSealed: true, value: 540, servicePrice: 140 }, cameDaysAgo: 390,
    history: [looked(390), looked(298, { 'front-glass': { smear: 2 } }, { 'front-glass': 'Arcs from an earlier cloth.' }), cleaned(298), looked(204), looked(101), exercised(100)],
  },
  {
    name: 'Corvane 24/2.8', kind: 'lens', traits: { weatherSealed: true, filterFitted: true, value: 480, servicePrice: 140 }, cameDaysAgo: 380,
    notes: 'Out on the shore day with the spray.',
    history: [
      looked(378), looked(290), looked(200, { 'filter-front': { 'water-spot': 2 } }), cleaned(200), exercised(110), looked(105), exercised(21),
      looked(2, { 'filter-front': { salt: 3, splash: 2 }, barrel: { salt: 2 }, 'hood-outside': { salt: 2 }, 'lens-mount': {}, 'mount-gasket': {} }, { 'filter-front': 'Spray from the breakwater.' }),
    ],
  },
  {
    name: 'Tidewell 24-70/4', kind: 'lens', traits: { weatherSealed: true, zoomExtends: true, value: 890, servicePrice: 190 }, cameDaysAgo: 371,
    history: [looked(370), looked(277, { 'zoom-ring': { dust: 2 }, 'inner-barrel': { dust: 2 } }), cleaned(277), looked(184), exercised(150), looked(88, { 'front-glass': { dust: 1 } }), exercised(40)],
  },
  {
    name: 'Tidewell 70-200/4', kind: 'lens', traits: { weatherSealed: true, zoomExtends: false, rubberisedCoating: true, value: 1150, servicePrice: 230 }, cameDaysAgo: 366,
    notes: 'Quarry dust in every seam after the autumn outing.',
    history: [looked(360), looked(262), looked(170), exercised(120), looked(9, { barrel: { grit: 2, dust: 3 }, 'front-glass': { grit: 1, dust: 2 }, 'focus-ring': { grit: 2 }, 'hood-mount': { grit: 2 } }), { daysAgo: 9, did: 'clean', place: 'field', conditions: { wind: true } }],
  },
  {
    name: 'Tidewell 16-35/4', kind: 'lens', traits: { weatherSealed: true, zoomExtends: true, makerForbidsFluids: true, value: 980, servicePrice: 210 }, cameDaysAgo: 350,
    history: [looked(350), looked(255), looked(160), exercised(155), looked(64, { 'front-glass': { fingerprint: 1 } })],
  },
  {
    name: 'Corvane 100/2.8 close-up', kind: 'lens', traits: { value: 610, servicePrice: 160 }, cameDaysAgo: 300,
    history: [looked(298), looked(200, { 'front-glass': { pollen: 3 } }), cleaned(200), looked(96), exercised(92)],
  },
  {
    name: 'Corvane 28/2', kind: 'lens', traits: { weatherSealed: true, value: 430, servicePrice: 140 }, cameDaysAgo: 6,
    notes: 'Second-hand, from an estate. Not looked at yet.', history: [],
  },
];

/** Old mechanical lenses; two of them have a past. */
const OLD: DemoThing[] = [
  {
    name: 'Ostrane 58/2 (1957)', kind: 'lens', cameDaysAgo: 330,
    traits: { yearMade: 1957, electronicContacts: false, helicoidExposed: true, hoodFitted: false, value: 160, servicePrice: 130 },
    notes: 'Came back from a loan five weeks ago; lived in the oak cupboard since.',
    history: [
      looked(328, { 'inner-glass': { 'internal-dust': 2 } }), looked(230, { 'inner-glass': { 'internal-dust': 2 } }), exercised(225), looked(130, { 'inner-glass': { 'internal-dust': 2 } }),
      looked(0, { 'inner-glass': { fungus: 2, 'internal-dust': 2 }, 'front-glass': { dust: 1 } }, { 'inner-glass': 'Threads behind the front group, from the rim at four o’clock.' }),
    ],
  },
  {
    name: 'Ostrane 135/3.5 (1962)', kind: 'lens', cameDaysAgo: 325,
    traits: { yearMade: 1962, electronicContacts: false, helicoidExposed: true, hoodFitted: true, value: 90, servicePrice: 130 },
    history: [looked(320, { 'inner-glass': { haze: 1 }, helicoid: { 'dried-grease': 1 } }), looked(220, { 'inner-glass': { haze: 1 } }), looked(128, { 'inner-glass': { haze: 2 }, helicoid: { 'dried-grease': 2 } }, { helicoid: 'Stiff below two metres.' }), exercised(30)],
  },
  {
    name: 'Fennick 50/1.4 (1968)', kind: 'lens', cameDaysAgo: 318,
    traits: { yearMade: 1968, electronicContacts: false, radioactiveGlass: true, hoodFitted: false, value: 210, servicePrice: 150 },
    notes: 'Yellowed rear group: probably thoriated glass. Never opened.',
    history: [looked(316), looked(214, { 'front-glass': { fingerprint: 2 } }), cleaned(214), looked(95), exercised(80)],
  },
  {
    name: 'Fennick 35/2.8 collapsible (1953)', kind: 'lens', cameDaysAgo: 310,
    traits: { yearMade: 1953, coated: true, electronicContacts: false, collapsible: true, helicoidExposed: true, hoodFitted: false, value: 180, servicePrice: 140 },
    history: [looked(308, { 'front-glass': { 'fine-scratch': 2, 'coating-damage': 1 } }, { 'front-glass': 'Cleaning marks from another life.' }), looked(201, { 'front-glass': { 'fine-scratch': 2, 'coating-damage': 1 } }), looked(52, { 'front-glass': { 'fine-scratch': 2, 'coating-damage': 1 } }), exercised(50)],
  },
  {
    name: 'Ostrane 200/4 (1971)', kind: 'lens', cameDaysAgo: 296,
    traits: { yearMade: 1971, electronicContacts: false, filterFitted: true, filterStuck: true, hoodFitted: true, value: 70, servicePrice: 120 },
    notes: 'Filter has been stuck since it came.',
    history: [looked(295, { 'aperture-blades': { oil: 1 }, 'filter-back': { dust: 2 } }), looked(192, { 'aperture-blades': { oil: 2 }, 'filter-back': { dust: 2 } }), exercised(190)],
  },
];

export const LENSES: DemoThing[] = [...MODERN, ...OLD];
