import type { Traits } from '../knowledge/traits.js';
import { row } from './row.js';

const FOLDING: Traits = { yearMade: 1954 };
const TWIN: Traits = { yearMade: 1958, twinLens: true, bellows: false };
const FILM_SLR: Traits = { yearMade: 1978 };

/** Film bodies, flash units, drones, converted sensors: what each has, and what it has not (rules 38, 40 and 41). */
export const FILM_AND_MORE = [
  row('film-seals', 'The foam of the door has turned to tar.', ['slr-body', FILM_SLR], [['light-seals', 'perished', 3]], {
    steps: { 'light-seals': ['pick', 'damp-swab'] },
    uses: ['wooden-pick', 'cotton-swab', 'isopropanol'],
    never: ['blow', 'stiff-brush', 'shell-brush'],
    says: ['no film in it', 'crumbs fall'],
  }),
  row('film-seals-trace', 'The seals begin to crumble.', ['slr-body', FILM_SLR], [['light-seals', 'perished', 1]], {
    does: { 'light-seals': ['pick'] },
  }),
  row(
    'film-seals-no-alcohol',
    'Seals gone, and no alcohol in the drawer.',
    ['slr-body', FILM_SLR],
    [['light-seals', 'perished', 3]],
    { missing: ['isopropanol'], does: { 'light-seals': ['pick'] } },
    { drawer: ['wooden-pick', 'cotton-swab', 'bulb-blower'] },
  ),
  row('film-gate-dust', 'Dust on the film gate.', ['slr-body', FILM_SLR], [['film-gate', 'dust', 1]], {
    begins: { 'film-gate': ['blow', 'dry-swab'] },
    never: ['damp-swab', 'body-cloth'],
  }),
  row(
    'film-gate-grit',
    'A grain on the rails: every frame has a scratch.',
    ['mirrorless-body', { yearMade: 1956 }],
    [['film-gate', 'grit', 2]],
    { begins: { 'film-gate': ['blow'] }, says: ['scratches the whole film'], neverSays: ['battery'] },
  ),
  row(
    'film-gate-field',
    'A hair in the gate, out in the field.',
    ['slr-body', FILM_SLR],
    [['film-gate', 'lint', 2]],
    { noSteps: true, waits: ['film-gate'] },
    { out: {} },
  ),
  row('curtain-dust', 'Dust on the shutter curtain.', ['slr-body', FILM_SLR], [['shutter-curtain', 'dust', 3]], {
    noSteps: true,
    leaves: ['shutter-curtain'],
    refuses: ['shutter-curtain-is-not-touched'],
  }),
  row(
    'curtain-hole',
    'A point of light in the cloth curtain.',
    ['mirrorless-body', { yearMade: 1956 }],
    [['shutter-curtain', 'pinhole', 1]],
    { noSteps: true, handsOver: ['shutter-curtain'], says: ['burns a spot'] },
  ),
  row('curtain-grit', 'A grain at the curtain.', ['slr-body', FILM_SLR], [['shutter-curtain', 'grit', 2]], {
    noSteps: true,
    handsOver: ['shutter-curtain'],
    never: ['blow'],
  }),
  row('bellows-pinhole', 'In the dark a lamp shows through the bellows.', ['film-camera', FOLDING], [['bellows', 'pinhole', 2]], {
    noSteps: true,
    handsOver: ['bellows'],
    says: ['fogs every frame'],
  }),
  row('bellows-dust', 'Dust in the folds.', ['film-camera', FOLDING], [['bellows', 'dust', 2]], {
    steps: { bellows: ['blow'] },
    says: ['nothing is pulled'],
  }),
  row('bellows-mould', 'Mould on the bellows.', ['film-camera', FOLDING], [['bellows', 'fungus-outside', 2]], {
    isolates: true,
    handsOver: ['bellows'],
    noSteps: true,
  }),
  row(
    'folding-print',
    'A print on the lens of a folding camera of 1954.',
    ['film-camera', FOLDING],
    [['front-glass', 'fingerprint', 3]],
    {
      does: { 'front-glass': ['damp-wipe'] },
      uses: ['alcohol-free-fluid'],
      never: ['isopropanol', 'lens-fluid', 'carbon-tip'],
      neverSays: ['battery', 'switch off', 'sensor', 'caps and put', 'lens off'],
    },
    { bench: { taps: ['better', 'clean-enough'], ends: { 'front-glass': 'clean-enough' } } },
  ),
  row('folding-haze', 'Haze in the folding camera’s lens.', ['film-camera', FOLDING], [['inner-glass', 'haze', 3]], {
    handsOver: ['inner-glass'],
    offers: [],
    says: ['shutter sits between its rings'],
  }),
  row('folding-stiff', 'The front ring of the folding camera is stiff.', ['film-camera', FOLDING], [['helicoid', 'dried-grease', 3]], {
    handsOver: ['helicoid'],
    noSteps: true,
  }),
  row('folding-fungus', 'Threads in the folding camera.', ['film-camera', FOLDING], [['inner-glass', 'fungus', 2]], {
    isolates: true,
    handsOver: ['inner-glass'],
    offers: [],
  }),
  row('folding-finder', 'The little finder is dusty.', ['film-camera', FOLDING], [['viewfinder-window', 'dust', 3]], {
    does: { 'viewfinder-window': ['blow'] },
  }),
  row('twin-viewing-lens', 'A print on the viewing lens.', ['film-camera', TWIN], [['objective', 'fingerprint', 3]], {
    does: { objective: ['damp-wipe'] },
    neverSays: ['bellows'],
  }),
  row('twin-mirror', 'Dust on the mirror of the twin lens.', ['film-camera', TWIN], [['reflex-mirror', 'dust', 3]], {
    steps: { 'reflex-mirror': ['blow', 'soft-brush', 'blow'] },
    neverSays: ['sensor-cleaning'],
  }),
  row('twin-screen', 'Specks on the ground glass.', ['film-camera', TWIN], [['focusing-screen', 'dust', 3]], {
    steps: { 'focusing-screen': ['blow'] },
  }),
  row('twin-screen-print', 'Somebody touched the ground glass.', ['film-camera', TWIN], [['focusing-screen', 'fingerprint', 3]], {
    noSteps: true,
    handsOver: ['focusing-screen'],
  }),
  row(
    'film-rangefinder-shell',
    'A rangefinder of 1956, greasy all over.',
    ['mirrorless-body', { yearMade: 1956 }],
    [['body-shell', 'skin-oil', 3]],
    { does: { 'body-shell': ['damp-wipe'] }, neverSays: ['battery', 'sensor', 'screen'] },
  ),
  row('film-compact-gate', 'A hair in the gate of my compact of 1988.', ['compact', { yearMade: 1988 }], [['film-gate', 'lint', 2]], {
    begins: { 'film-gate': ['blow', 'dry-swab'] },
  }),
  row(
    'film-seals-and-gate',
    'Seals and gate both.',
    ['slr-body', FILM_SLR],
    [
      ['film-gate', 'dust', 2],
      ['light-seals', 'perished', 3],
    ],
    { order: ['light-seals', 'film-gate'] },
  ),
  row(
    'film-mirror-foam',
    'The foam under the mirror is gone; crumbs on the mirror.',
    ['slr-body', FILM_SLR],
    [
      ['light-seals', 'perished', 3],
      ['reflex-mirror', 'lint', 2],
    ],
    { order: ['light-seals', 'reflex-mirror'], begins: { 'reflex-mirror': ['blow'] } },
  ),

  row('flash-window', 'The flash window is smeared.', 'flash', [['flash-window', 'fingerprint', 3]], {
    does: { 'flash-window': ['damp-wipe'] },
    never: ['isopropanol', 'lens-fluid'],
    says: ['wait ten minutes', 'never open it'],
  }),
  row('flash-foot', 'The foot of the flash is dull.', 'flash', [['hot-shoe', 'corrosion', 2]], {
    does: { 'hot-shoe': ['damp-swab', 'contact-eraser'] },
    says: ['cells out'],
  }),
  row('flash-dusty', 'Dusty flash.', 'flash', [['body-shell', 'dust', 3]], {
    begins: { 'body-shell': ['blow', 'stiff-brush', 'blow'] },
    says: ['for storing they stay out'],
  }),
  row('flash-sticky', 'The flash has turned tacky.', ['flash', { rubberisedCoating: true }], [['sticky-coating', 'sticky-coating', 2]], {
    leaves: ['sticky-coating'],
    noSteps: true,
  }),
  row('drone-lens', 'A print on the drone’s tiny filter.', 'drone', [['filter-front', 'fingerprint', 3]], {
    does: { 'filter-front': ['damp-wipe'] },
    amounts: { 'lens-fluid': 1 },
    says: ['propellers off', 'never forced'],
  }),
  row('drone-arm-grit', 'Sand in the arm’s joint.', 'drone', [['gimbal', 'grit', 2]], {
    begins: { gimbal: ['blow'] },
    never: ['water', 'isopropanol'],
    says: ['do not force the arm'],
  }),
  row('drone-arm-print', 'The arm is greasy: swab it?', 'drone', [['gimbal', 'grease', 2]], {
    noSteps: true,
    refuses: ['no-fluid-near-a-joint'],
    handsOver: ['gimbal'],
  }),
  row('drone-propellers', 'Grass and dust on the propellers.', 'drone', [['propellers', 'dust', 3]], {
    does: { propellers: ['stiff-brush'] },
    order: ['propellers'],
  }),
  row(
    'drone-order',
    'Everything on the drone is dusty.',
    'drone',
    [
      ['filter-front', 'dust', 3],
      ['body-shell', 'dust', 3],
      ['propellers', 'dust', 3],
    ],
    { order: ['propellers', 'body-shell', 'filter-front'] },
  ),
  row('drone-sea', 'The drone fell into the sea.', 'drone', [['battery-bay', 'sea-water', 3]], {
    noSteps: true,
    comesTo: 'salt-water-inside',
  }),
  row('converted-dust', 'My converted camera has specks.', ['mirrorless-body', { sensorConverted: true }], [['sensor-cover', 'dust', 3]], {
    steps: { 'sensor-cover': ['blow'] },
    refuses: ['converted-sensor-by-air'],
    never: ['sensor-swab'],
  }),
  row(
    'converted-grease',
    'A greasy spot on the converted sensor.',
    ['mirrorless-body', { sensorConverted: true }],
    [['sensor-cover', 'grease', 3]],
    { noSteps: true, handsOver: ['sensor-cover'], says: ['converter’s own word'] },
  ),
  row('sensor-mud', 'A splash dried on the sensor: swab it?', 'mirrorless-body', [['sensor-cover', 'splash', 2]], {
    noSteps: true,
    handsOver: ['sensor-cover'],
    never: ['sensor-swab'],
  }),
  row(
    'sensor-mud-and-dust',
    'A dried splash, and dust.',
    'mirrorless-body',
    [
      ['sensor-cover', 'splash', 2],
      ['sensor-cover', 'dust', 3],
    ],
    { handsOver: ['sensor-cover'], does: { 'sensor-cover': ['blow'] }, never: ['sensor-swab'] },
  ),
  row('sensor-salt', 'Salt on the sensor.', 'mirrorless-body', [['sensor-cover', 'salt', 2]], {
    noSteps: true,
    handsOver: ['sensor-cover'],
  }),
  row('accessory-no-cells', 'A dusty cable release without cells.', 'accessory', [['body-shell', 'dust', 3]], {
    does: { 'body-shell': ['blow', 'stiff-brush'] },
    neverSays: ['battery'],
  }),
  row('phone-glue', 'Sticker glue on the phone’s screen.', 'phone', [['screen', 'adhesive', 2]], {
    does: { screen: ['damp-wipe'] },
    never: ['isopropanol'],
  }),
] as const;
