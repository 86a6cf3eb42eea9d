import { batteryChecked, cleaned, exercised, looked, type DemoThing } from './story.js';

/** The rest of the household: reflex bodies, a compact, a telescope with its eyepieces, binoculars, two ports. */
export const OTHERS: DemoThing[] = [
  {
    name: 'Skerrow R35 (1958)',
    kind: 'slr-body',
    traits: { yearMade: 1958, digital: false, electronicContacts: false, rubberisedCoating: false, value: 140, servicePrice: 110 },
    notes: 'The film body of the archive’s first keeper. Silver on the mirror is the old kind.',
    cameDaysAgo: 388,
    history: [
      looked(386, { 'reflex-mirror': { dust: 2 } }),
      looked(190, { 'reflex-mirror': { dust: 2, fingerprint: 1 }, 'focusing-screen': { dust: 2 } }),
      exercised(90),
      looked(14, { 'reflex-mirror': { dust: 3 }, 'focusing-screen': { dust: 2 }, 'body-shell': { 'skin-oil': 2 } }),
    ],
  },
  {
    name: 'Skerrow D7',
    kind: 'slr-body',
    traits: { popupFlash: true, sensorFormat: 'aps-c', value: 310, servicePrice: 60 },
    cameDaysAgo: 376,
    history: [looked(370), looked(270, { 'sensor-cover': { dust: 2 } }), cleaned(270), exercised(80), batteryChecked(79), looked(76)],
  },
  {
    name: 'Pocket Wherry',
    kind: 'compact',
    traits: { popupFlash: true, value: 180 },
    notes: 'Rides in a coat; collects what coats hold.',
    cameDaysAgo: 340,
    history: [
      looked(338),
      looked(150, { 'inner-barrel': { dust: 2 } }),
      cleaned(150),
      exercised(60),
      batteryChecked(60),
      looked(20, { 'inner-barrel': { grit: 1 }, screen: { 'skin-oil': 3 } }),
    ],
  },
  {
    name: 'Field telescope 80/480',
    kind: 'refractor',
    traits: { value: 420, servicePrice: 90 },
    cameDaysAgo: 330,
    history: [looked(328), looked(160, { objective: { dust: 1 } }), looked(45, { objective: { dust: 1, 'water-spot': 2 } })],
  },
  {
    name: 'Eyepiece 25 mm',
    kind: 'eyepiece',
    traits: { value: 60 },
    cameDaysAgo: 330,
    history: [looked(328), looked(45, { 'eye-lens': { 'skin-oil': 3 }, eyecup: { 'skin-oil': 2 } })],
  },
  { name: 'Eyepiece 8 mm', kind: 'eyepiece', traits: { value: 75 }, cameDaysAgo: 330, history: [looked(328), looked(45)] },
  {
    name: 'Binoculars 8×32',
    kind: 'binocular',
    traits: { value: 260, servicePrice: 80 },
    cameDaysAgo: 300,
    history: [looked(298), looked(120, { 'eye-lens': { 'skin-oil': 2 } }), cleaned(120), exercised(70), looked(30)],
  },
  {
    name: 'Dome port (acrylic)',
    kind: 'port',
    traits: { opticMaterial: 'acrylic', coating: 'none', domed: true, value: 210 },
    cameDaysAgo: 290,
    history: [
      looked(288),
      looked(100, { 'port-outside': { 'fine-scratch': 1 } }),
      looked(4, { 'port-outside': { salt: 2, 'fine-scratch': 2 }, 'o-ring': { grit: 1 } }),
    ],
  },
  {
    name: 'Flat port (glass)',
    kind: 'port',
    traits: { opticMaterial: 'glass', coating: 'multi', domed: false, value: 150 },
    cameDaysAgo: 290,
    history: [looked(288), looked(60)],
  },
];
