import { batteryChecked, cleaned, exercised, looked, type DemoThing } from './story.js';

export const BODIES: DemoThing[] = [
  {
    name: 'Skerrow M2',
    kind: 'mirrorless-body',
    cameDaysAgo: 398,
    notes: 'The working body.',
    traits: { sensorFormat: 'full-frame', megapixels: 24, value: 1900, servicePrice: 75 },
    history: [
      looked(396),
      looked(302, { 'sensor-cover': { dust: 2 } }),
      cleaned(302),
      looked(208, { screen: { 'skin-oil': 2 }, 'viewfinder-window': { 'skin-oil': 2 } }),
      cleaned(208),
      exercised(120),
      batteryChecked(115),
      looked(110),
      exercised(28),
      looked(
        3,
        { 'sensor-cover': { dust: 2 }, screen: { fingerprint: 2 }, 'hot-shoe': { dust: 2 } },
        { 'sensor-cover': 'Three spots, seen from f/11 on.' },
      ),
    ],
  },
  {
    name: 'Skerrow M1',
    kind: 'mirrorless-body',
    cameDaysAgo: 392,
    notes: 'Spare body. Lives in the travel bag too often.',
    traits: { sensorFormat: 'aps-c', weatherSealed: false, sensorStabilised: false, value: 520, servicePrice: 60 },
    history: [
      looked(390),
      looked(280),
      looked(170, { 'grip-rubber': { 'sticky-coating': 1 } }),
      exercised(160),
      batteryChecked(158),
      looked(40, { 'grip-rubber': { 'sticky-coating': 2 }, 'battery-contacts': { corrosion: 1 } }),
      exercised(38),
    ],
  },
];

export const FILTERS: DemoThing[] = [
  {
    name: 'Clear 52 mm',
    kind: 'filter',
    traits: { coating: 'multi', value: 25 },
    cameDaysAgo: 400,
    history: [
      looked(395, { 'filter-front': { fingerprint: 2 }, 'filter-back': { dust: 2 } }, { 'filter-front': 'New, and not clean.' }),
      cleaned(395),
      looked(150),
    ],
  },
  { name: 'Clear 67 mm', kind: 'filter', traits: { coating: 'multi', value: 32 }, cameDaysAgo: 360, history: [looked(355), looked(170)] },
  {
    name: 'Polariser 67 mm',
    kind: 'filter',
    traits: { coating: 'multi', value: 70 },
    cameDaysAgo: 340,
    history: [looked(338), looked(240, { 'filter-back': { smear: 2 } }), cleaned(240)],
  },
  {
    name: 'Grey 6 stops 67 mm',
    kind: 'filter',
    traits: { coating: 'none', value: 48 },
    cameDaysAgo: 220,
    history: [looked(218), looked(12, { 'filter-front': { 'water-spot': 2 }, case: { lint: 2 } })],
  },
  {
    name: 'Yellow 46 mm (acrylic)',
    kind: 'filter',
    traits: { coating: 'none', opticMaterial: 'acrylic', value: 8 },
    cameDaysAgo: 200,
    history: [looked(198), looked(12, { 'filter-front': { 'fine-scratch': 2, smear: 2 } })],
  },
];
