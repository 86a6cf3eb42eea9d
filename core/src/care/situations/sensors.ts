import { row } from './row.js';

/** Sensors: grains, swabs that fit, power, and who may swab. */
export const SENSORS = [
  row('sensor-dust', 'Spots in the sky from f/11 on, in every frame.', 'mirrorless-body', [['sensor-cover', 'dust', 3]], {
    steps: { 'sensor-cover': ['blow', 'sensor-swab'] },
    refuses: ['nothing-dry-on-a-sensor', 'no-canned-air-inside'],
    cautions: ['sensor-power', 'methanol', 'flammable-fluid'],
    says: ['swab 24 mm wide', 'battery full or on mains', 'brush the outside'],
    neverSays: ['take the battery out'],
  }),
  row('sensor-trace', 'One speck that shows at f/22 only.', 'mirrorless-body', [['sensor-cover', 'dust', 1]], {
    noSteps: true,
    leaves: ['sensor-cover'],
    says: ['smallest apertures'],
  }),
  row(
    'sensor-grain',
    'A hard grain on the sensor, and dust.',
    'mirrorless-body',
    [
      ['sensor-cover', 'grit', 2],
      ['sensor-cover', 'dust', 3],
    ],
    { says: ['never swabbed'] },
    { bench: { taps: ['better', 'no-change'], ends: { 'sensor-cover': 'stopped-by-grit' }, touches: 0 } },
  ),
  row('sensor-grain-alone', 'Only one grain on the sensor; can I swab it off?', 'mirrorless-body', [['sensor-cover', 'grit', 1]], {
    steps: { 'sensor-cover': ['blow'] },
    never: ['sensor-swab'],
  }),
  row(
    'sensor-small-format',
    'Dust on the sensor of the smaller format.',
    ['mirrorless-body', { sensorFormat: 'aps-c' }],
    [['sensor-cover', 'dust', 3]],
    { says: ['swab 16 mm wide'] },
  ),
  row(
    'sensor-narrow-swab',
    'I only have 16 mm swabs for the full frame.',
    'mirrorless-body',
    [['sensor-cover', 'dust', 3]],
    {
      says: ['2 strips that overlap'],
      does: { 'sensor-cover': ['sensor-swab'] },
    },
    { drawer: ['bulb-blower', 'sensor-fluid', { id: 'sensor-swab', widthMm: 16 }] },
  ),
  row(
    'sensor-wide-swab',
    'I have 24 mm swabs and a small-format camera.',
    ['mirrorless-body', { sensorFormat: 'aps-c' }],
    [['sensor-cover', 'grease', 3]],
    {
      never: ['sensor-swab'],
      missing: ['sensor-swab'],
      says: ['wider than this sensor'],
    },
    { drawer: ['bulb-blower', 'sensor-fluid', { id: 'sensor-swab', widthMm: 24 }] },
  ),
  row(
    'sensor-service-school',
    'I would rather have a workshop swab it.',
    'mirrorless-body',
    [['sensor-cover', 'grease', 3]],
    {
      refuses: ['school-sensor-service'],
      handsOver: ['sensor-cover'],
      noSteps: true,
    },
    { schools: { sensor: 'service' } },
  ),
  row(
    'sensor-and-battery',
    'Dust on the sensor, and the battery contacts are dull.',
    'mirrorless-body',
    [
      ['sensor-cover', 'dust', 3],
      ['battery-contacts', 'skin-oil', 2],
    ],
    { order: ['battery-contacts', 'sensor-cover'], says: ['take the battery out', 'charged battery back in'], cautions: ['battery-out'] },
  ),
  row('slr-sensor', 'Dust on the sensor of my reflex.', 'slr-body', [['sensor-cover', 'dust', 3]], {
    says: ['blow the mirror box first', 'mirror down, mount down'],
    does: { 'sensor-cover': ['sensor-swab'] },
  }),
  row('sensor-fungus', 'Something like threads on the sensor.', 'mirrorless-body', [['sensor-cover', 'fungus-outside', 2]], {
    isolates: true,
    handsOver: ['sensor-cover'],
    never: ['sensor-swab'],
  }),
  row(
    'sensor-there-and-back',
    'I draw the swab out with one face and back with the other.',
    'mirrorless-body',
    [['sensor-cover', 'dust', 3]],
    {
      does: { 'sensor-cover': ['sensor-swab'] },
    },
    { schools: { 'sensor-stroke': 'there-and-back' } },
  ),
  row(
    'mirror-before-sensor',
    'Everything in there is dusty: box, mirror, sensor.',
    'slr-body',
    [
      ['sensor-cover', 'dust', 3],
      ['reflex-mirror', 'dust', 3],
      ['mirror-box', 'dust', 3],
    ],
    { order: ['mirror-box', 'reflex-mirror', 'sensor-cover'] },
  ),
] as const;
