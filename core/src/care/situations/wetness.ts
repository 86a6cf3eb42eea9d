import { row } from './row.js';

const STUCK = ['lens', { filterFitted: true, filterStuck: true }] as ['lens', { filterFitted: true; filterStuck: true }];

/** Fog, dew, and water that got in: states before which everything waits (rules 27 and 39). */
export const WETNESS = [
  row(
    'fog-with-salt',
    'Back from the pier, it fogged in the hall; there is salt on it, too.',
    'lens',
    [
      ['front-glass', 'fog', 3],
      ['front-glass', 'salt', 2],
    ],
    {
      noSteps: true,
      waits: ['front-glass'],
      keepsAtHome: true,
      comesTo: 'wait-to-clear',
      says: ['after the fog has cleared: dried salt on the front glass'],
    },
  ),
  row(
    'fog-with-dust',
    'Fogged, and dusty underneath. May I blow?',
    'lens',
    [
      ['front-glass', 'fog', 2],
      ['front-glass', 'dust', 3],
    ],
    { noSteps: true, comesTo: 'wait-to-clear', keepsAtHome: true },
  ),
  row(
    'fog-with-grit',
    'Fogged, and grains of sand in it.',
    'lens',
    [
      ['front-glass', 'fog', 2],
      ['front-glass', 'grit', 2],
    ],
    { noSteps: true, waits: ['front-glass'], never: ['soft-brush'] },
  ),
  row(
    'fog-with-fungus',
    'It is fogged, and I see threads under it.',
    'lens',
    [
      ['front-glass', 'fog', 2],
      ['front-glass', 'fungus-outside', 2],
    ],
    {
      isolates: true,
      noSteps: true,
      comesTo: 'wait-to-clear',
      says: ['move it away from the rest'],
    },
  ),
  row(
    'fog-elsewhere-shell-dirty',
    'The front is fogged and the barrel dusty: the barrel meanwhile?',
    'lens',
    [
      ['front-glass', 'fog', 3],
      ['barrel', 'dust', 3],
    ],
    { noSteps: true, waits: ['front-glass', 'barrel'] },
  ),
  row(
    'fog-in-the-camera',
    'The camera fogged inside and there are specks on the sensor.',
    'mirrorless-body',
    [
      ['sensor-cover', 'fog', 2],
      ['sensor-cover', 'dust', 3],
    ],
    {
      noSteps: true,
      waits: ['sensor-cover'],
      keepsAtHome: true,
      never: ['sensor-swab', 'blow'],
      says: ['stays shut until it is as warm as the room'],
    },
  ),
  row('fogged-mirror', 'The reflex mirror is fogged.', 'slr-body', [['reflex-mirror', 'fog', 2]], {
    noSteps: true,
    says: ['no lens comes off'],
    comesTo: 'wait-to-clear',
  }),
  row(
    'fogged-mirror-box',
    'Mist in the mirror box and dust, too.',
    'slr-body',
    [
      ['mirror-box', 'fog', 2],
      ['mirror-box', 'dust', 3],
    ],
    { noSteps: true, waits: ['mirror-box'] },
  ),
  row('fogged-screen-finder', 'The focusing screen is steamed up.', 'slr-body', [['focusing-screen', 'fog', 2]], {
    noSteps: true,
    says: ['the mount stays closed'],
  }),
  row('fogged-finder', 'The finder is fogged and I cannot wait.', 'mirrorless-body', [['viewfinder-window', 'fog', 2]], {
    steps: { 'viewfinder-window': ['dry-swab'] },
    uses: ['cotton-swab'],
    says: ['dry swab'],
    never: ['damp-swab'],
  }),
  row(
    'fogged-finder-out',
    'Out in the cold the finder fogs from my breath.',
    'mirrorless-body',
    [['viewfinder-window', 'fog', 2]],
    { does: { 'viewfinder-window': ['dry-swab'] } },
    { out: { temperatureC: -4 } },
  ),
  row(
    'fogged-finder-no-swab',
    'The finder is fogged and there is no swab.',
    'mirrorless-body',
    [['viewfinder-window', 'fog', 2]],
    { noSteps: true, missing: ['cotton-swab'] },
    { drawer: ['bulb-blower'] },
  ),
  row('fogged-port', 'The dome fogged inside on the boat.', 'port', [['port-inside', 'fog', 3]], {
    noSteps: true,
    comesTo: 'wait-to-clear',
    alsoLook: ['o-ring'],
    says: ['open it in dry air'],
    neverSays: ['closed in its bag'],
  }),
  row(
    'fogged-port-field',
    'The port fogs between two dives.',
    'port',
    [['port-inside', 'fog', 2]],
    { noSteps: true, alsoLook: ['o-ring'], says: ['open it in dry air'] },
    { out: { freshWater: true } },
  ),
  row(
    'fogged-binocular',
    'The binocular fogged when I came in.',
    'binocular',
    [
      ['objective', 'fog', 2],
      ['eye-lens', 'fog', 2],
    ],
    { noSteps: true, comesTo: 'wait-to-clear' },
  ),
  row('fog-inside-lens', 'A veil inside the lens, just in from the snow.', 'lens', [['inner-glass', 'fog', 2]], {
    noSteps: true,
    comesTo: 'wait-to-clear',
    offers: [],
    says: ['nothing is opened for it'],
  }),
  row(
    'fog-haze-inside',
    'Fogged, and I had seen haze before.',
    ['lens', { yearMade: 1962 }],
    [
      ['inner-glass', 'fog', 2],
      ['inner-glass', 'haze', 3],
    ],
    { noSteps: true, offers: [], waits: ['inner-glass'] },
  ),
  row(
    'dew-on-primary',
    'Dew on the open mirror at four in the morning.',
    'reflector',
    [['primary-mirror', 'fog', 3]],
    { noSteps: true, says: ['dries by itself'], comesTo: 'wait-to-clear', neverSays: ['closed in its bag'] },
    { out: { humidityPct: 99 } },
  ),
  row(
    'dew-and-dust-on-primary',
    'Dew on a mirror that is dusty as well.',
    'reflector',
    [
      ['primary-mirror', 'fog', 2],
      ['primary-mirror', 'dust', 2],
    ],
    { noSteps: true, never: ['dry-wipe'] },
  ),
  row(
    'dew-on-objective',
    'Dew on the refractor, by night.',
    'refractor',
    [['objective', 'fog', 3]],
    { noSteps: true, waits: ['objective'] },
    { out: { humidityPct: 98 } },
  ),
  row(
    'dew-on-eyepiece-and-lashes',
    'The eyepiece is fogged and greasy.',
    'eyepiece',
    [
      ['eye-lens', 'fog', 2],
      ['eye-lens', 'skin-oil', 3],
    ],
    { noSteps: true, waits: ['eye-lens'] },
  ),
  row('fog-phone', 'My phone lens fogged coming out of the cooled train.', 'phone', [['phone-lens', 'fog', 2]], {
    noSteps: true,
    comesTo: 'wait-to-clear',
  }),
  row(
    'fog-compact',
    'The compact fogged; a print is on it.',
    'compact',
    [
      ['front-glass', 'fog', 2],
      ['front-glass', 'fingerprint', 3],
    ],
    { noSteps: true, waits: ['front-glass'], neverSays: ['lens comes out'] },
  ),
  row(
    'fog-field-print',
    'Out of the car into the wet meadow: fogged, with a print.',
    'lens',
    [
      ['front-glass', 'fog', 3],
      ['front-glass', 'fingerprint', 3],
    ],
    { noSteps: true, comesTo: 'wait-to-clear', never: ['sealed-wipe'] },
    { out: { humidityPct: 90 } },
  ),
  row('fog-behind-stuck-filter', 'It fogs behind a filter that is stuck.', STUCK, [['filter-back', 'fog', 2]], {
    noSteps: true,
    comesTo: 'wait-to-clear',
    isolates: false,
  }),
  row(
    'fog-and-scratch',
    'Fogged; and it has a deep scratch.',
    'lens',
    [
      ['front-glass', 'fog', 2],
      ['front-glass', 'deep-scratch', 2],
    ],
    { noSteps: true, leaves: ['front-glass'], waits: ['front-glass'] },
  ),
] as const;
