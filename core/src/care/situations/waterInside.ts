import { row } from './row.js';

/** Water that got in: fresh, and the sea’s (rule 39). */
export const WATER_INSIDE = [
  row('river-camera', 'My camera fell into the river.', 'mirrorless-body', [['battery-bay', 'fresh-water', 3]], {
    noSteps: true,
    comesTo: 'let-dry',
    waits: ['battery-bay'],
    says: ['nothing is switched on to try', 'cells and card out', 'no heat', 'rice is no cure'],
    keepsAtHome: true,
  }),
  row(
    'river-camera-and-mud',
    'It fell into the lake; there is mud on the shell and water in the bay.',
    'slr-body',
    [
      ['battery-bay', 'fresh-water', 3],
      ['body-shell', 'splash', 3],
    ],
    { noSteps: true, waits: ['battery-bay', 'body-shell'], comesTo: 'let-dry' },
  ),
  row('rain-in-lens', 'Rain got into my unsealed lens, drops between the glass.', 'lens', [['inner-glass', 'fresh-water', 2]], {
    noSteps: true,
    comesTo: 'let-dry',
    offers: [],
    says: ['feeds fungus'],
  }),
  row('sea-camera', 'A wave went over the camera.', 'mirrorless-body', [['battery-bay', 'sea-water', 3]], {
    noSteps: true,
    comesTo: 'salt-water-inside',
    handsOver: ['battery-bay'],
    says: ['workshop at once', 'schools differ'],
  }),
  row(
    'sea-lens',
    'My lens was washed overboard and pulled out again.',
    'lens',
    [
      ['inner-glass', 'sea-water', 3],
      ['front-glass', 'salt', 3],
    ],
    { noSteps: true, handsOver: ['inner-glass'], waits: ['front-glass'], comesTo: 'salt-water-inside' },
  ),
  row(
    'flooded-housing-compact',
    'The housing flooded on the reef; my compact was in it.',
    'compact',
    [
      ['battery-bay', 'sea-water', 4],
      ['card-bay', 'sea-water', 3],
    ],
    { noSteps: true, comesTo: 'salt-water-inside', handsOver: ['battery-bay', 'card-bay'], says: ['nothing is switched on to try'] },
  ),
  row('flooded-port', 'Sea water stands in the port.', 'port', [['port-inside', 'sea-water', 2]], {
    noSteps: true,
    handsOver: ['port-inside'],
    alsoLook: ['o-ring'],
  }),
  row(
    'wet-drone',
    'The drone went down in a pond.',
    'drone',
    [
      ['battery-bay', 'fresh-water', 3],
      ['gimbal', 'fresh-water', 2],
    ],
    { noSteps: true, comesTo: 'let-dry', waits: ['battery-bay', 'gimbal'] },
  ),
  row(
    'wet-thread',
    'Rain ran into the focus thread of the old lens.',
    ['lens', { yearMade: 1938, collapsible: true }],
    [
      ['helicoid', 'fresh-water', 2],
      ['helicoid', 'dried-grease', 3],
    ],
    { noSteps: true, waits: ['helicoid'], never: ['lubricate'] },
  ),
  row(
    'water-and-fungus',
    'It was soaked weeks ago; now there are threads, and it is still wet.',
    'lens',
    [
      ['inner-glass', 'fresh-water', 2],
      ['inner-glass', 'fungus', 2],
    ],
    { isolates: true, noSteps: true },
  ),
  row(
    'wet-film-body',
    'The folding camera lay in a flooded cellar.',
    ['film-camera', { yearMade: 1954 }],
    [['body-shell', 'fresh-water', 3]],
    { noSteps: true, comesTo: 'let-dry' },
  ),
  row(
    'fog-in-drawerless',
    'Fogged, and I own nothing.',
    'lens',
    [['front-glass', 'fog', 2]],
    { noSteps: true, comesTo: 'wait-to-clear' },
    { drawer: [] },
  ),
  row(
    'fog-rain',
    'It fogs and pours.',
    'lens',
    [['front-glass', 'fog', 3]],
    { noSteps: true, waits: ['front-glass'] },
    { out: { rain: true } },
  ),
] as const;
