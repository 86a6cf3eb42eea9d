import { row } from './row.js';

/** Bodies: sensor, mirror, finder, mount, contacts, battery, shell. */
export const BODIES = [
  row('mirror-dust', 'Dust on the reflex mirror.', 'slr-body', [['reflex-mirror', 'dust', 3]], {
    steps: { 'reflex-mirror': ['blow', 'soft-brush', 'blow'] },
    refuses: ['school-mirror-air-and-brush', 'mirror-is-never-stroked', 'no-canned-air-inside'],
    alsoLook: ['viewfinder-window'],
    says: ['never in the picture'],
  }),
  row('mirror-grease', 'A greasy film on the mirror, the finder has gone dim.', 'slr-body', [['reflex-mirror', 'grease', 2]], {
    steps: { 'reflex-mirror': ['blow', 'dab'] },
    uses: ['lens-fluid', 'lens-tissue'],
    never: ['water', 'dry-wipe'],
    cautions: ['old-silver'],
    alsoLook: ['viewfinder-window'],
  }),
  row('mirror-grease-trace', 'A hint of grease on the mirror.', 'slr-body', [['reflex-mirror', 'grease', 1]], {
    noSteps: true,
    leaves: ['reflex-mirror'],
  }),
  row(
    'mirror-grease-and-dust',
    'Grease and dust on the mirror.',
    'slr-body',
    [
      ['reflex-mirror', 'grease', 3],
      ['reflex-mirror', 'dust', 3],
    ],
    { steps: { 'reflex-mirror': ['blow', 'dab'] }, refuses: ['no-bristles-over-grease'] },
  ),
  row(
    'mirror-of-1985',
    'A print on the mirror of a body of 1985.',
    ['slr-body', { yearMade: 1985 }],
    [['reflex-mirror', 'fingerprint', 2]],
    {
      does: { 'reflex-mirror': ['dab'] },
      neverSays: ['test one corner'],
    },
  ),
  row(
    'mirror-of-1954',
    'A print on the mirror of a body of 1954.',
    ['slr-body', { yearMade: 1954 }],
    [['reflex-mirror', 'fingerprint', 2]],
    {
      does: { 'reflex-mirror': ['dab'] },
      cautions: ['old-silver'],
      says: ['test one corner'],
    },
  ),
  row(
    'mirror-dab-school',
    'Dust on the mirror that the brush leaves: I dab it.',
    'slr-body',
    [['reflex-mirror', 'dust', 3]],
    { does: { 'reflex-mirror': ['dab'] } },
    { schools: { mirror: 'dab' } },
  ),
  row(
    'mirror-no-brush',
    'I let no bristle near glass or mirror.',
    'slr-body',
    [['reflex-mirror', 'dust', 3]],
    {
      steps: { 'reflex-mirror': ['blow'] },
      refuses: ['school-no-glass-brush'],
    },
    { schools: { 'glass-brush': 'never' } },
  ),
  row(
    'mirror-no-lens-fluid',
    'Grease on the mirror and no lens fluid left, only eyeglass cleaner.',
    'slr-body',
    [['reflex-mirror', 'grease', 3]],
    {
      uses: ['alcohol-free-fluid'],
      missing: ['lens-fluid'],
    },
    { drawer: ['bulb-blower', 'glass-brush', 'alcohol-free-fluid', 'lens-tissue'] },
  ),
  row('screen-dust', 'Specks in the finder that stay sharp: on the focusing screen.', 'slr-body', [['focusing-screen', 'dust', 3]], {
    steps: { 'focusing-screen': ['blow'] },
    refuses: ['only-air-on-a-focusing-screen'],
    alsoLook: ['viewfinder-window'],
  }),
  row('screen-print', 'A print on the focusing screen.', 'slr-body', [['focusing-screen', 'fingerprint', 3]], {
    noSteps: true,
    handsOver: ['focusing-screen'],
  }),
  row('mirror-box-dust', 'Dust in the mirror box.', 'slr-body', [['mirror-box', 'dust', 3]], {
    steps: { 'mirror-box': ['blow'] },
    never: ['body-cloth', 'cotton-swab'],
    refuses: ['mirror-box-by-air-only'],
    says: ['raise the mirror and blow once more', 'no cloth goes in'],
  }),
  row('mirror-box-grease', 'Grease on the wall of the mirror box.', 'slr-body', [['mirror-box', 'grease', 3]], {
    noSteps: true,
    leaves: ['mirror-box'],
    says: ['out of the light'],
  }),
  row('finder-nose', 'Skin oil in the viewfinder window.', 'mirrorless-body', [['viewfinder-window', 'skin-oil', 3]], {
    does: { 'viewfinder-window': ['damp-swab'] },
    uses: ['cotton-swab', 'lens-tissue', 'alcohol-free-fluid'],
    never: ['lens-fluid', 'isopropanol'],
    says: ['wrapped loosely'],
  }),
  row(
    'eyecup-before-finder',
    'Eyecup and finder are greasy.',
    'mirrorless-body',
    [
      ['viewfinder-window', 'skin-oil', 3],
      ['eyecup', 'skin-oil', 3],
    ],
    { order: ['eyecup', 'viewfinder-window'], does: { eyecup: ['soap-wash'] } },
  ),
  row('contacts-dull', 'The contacts look dull and the lens is not always recognised.', 'mirrorless-body', [['contacts', 'corrosion', 2]], {
    does: { contacts: ['damp-swab', 'contact-eraser'] },
    uses: ['isopropanol'],
  }),
  row('contacts-salt', 'Salt on the contacts after the boat.', 'mirrorless-body', [['contacts', 'salt', 2]], {
    begins: { contacts: ['blow', 'damp-swab'] },
    uses: ['water', 'cotton-swab'],
    never: ['isopropanol'],
    says: ['barely damp'],
    neverSays: ['the contacts lies'],
  }),
  row('mount-salt', 'Salt round the mount.', 'mirrorless-body', [['body-mount', 'salt', 3]], {
    steps: { 'body-mount': ['blow', 'damp-swab'] },
    uses: ['water'],
    never: ['isopropanol', 'fresh-water'],
    refuses: ['barely-damp-near-the-mount'],
  }),
  row('mount-grit', 'Grit on the mount rim.', 'mirrorless-body', [['body-mount', 'grit', 2]], {
    begins: { 'body-mount': ['blow'] },
    never: ['dry-wipe'],
  }),
  row('mount-grease', 'The mount rim is greasy.', 'mirrorless-body', [['body-mount', 'grease', 2]], {
    steps: { 'body-mount': ['blow', 'damp-swab'] },
  }),
  row('lens-contacts', 'Skin oil on the contacts of the lens.', 'lens', [['contacts', 'skin-oil', 2]], {
    steps: { contacts: ['blow', 'dry-wipe', 'damp-swab'] },
    says: ['cap the body'],
  }),
  row(
    'gasket-before-flange',
    'Gasket and flange of the lens are dusty.',
    ['lens', { weatherSealed: true }],
    [
      ['lens-mount', 'dust', 3],
      ['mount-gasket', 'dust', 3],
    ],
    { order: ['mount-gasket', 'lens-mount'] },
  ),
  row('battery-bloom', 'Green bloom in the battery bay.', 'slr-body', [['battery-bay', 'corrosion', 2]], {
    cautions: ['battery-leak'],
    says: ['gloves', 'battery out'],
    does: { 'battery-bay': ['damp-swab'] },
  }),
  row('battery-deep', 'The leak has eaten into the bay.', 'slr-body', [['battery-bay', 'corrosion', 4]], {
    handsOver: ['battery-bay'],
    noSteps: true,
  }),
  row(
    'battery-once',
    'Battery bay and contacts are both dusty.',
    'mirrorless-body',
    [
      ['battery-bay', 'dust', 3],
      ['battery-contacts', 'dust', 3],
    ],
    { order: ['battery-bay', 'battery-contacts'], cautions: ['battery-out'], says: ['battery back in'], neverSays: ['lens off'] },
  ),
  row('screen-cheek', 'The rear screen is full of cheek oil.', 'mirrorless-body', [['screen', 'skin-oil', 3]], {
    does: { screen: ['damp-wipe'] },
    uses: ['alcohol-free-fluid'],
    never: ['isopropanol', 'lens-fluid'],
    refuses: ['no-solvent-on-plastic'],
    neverSays: ['lens off', 'caps and put them on'],
  }),
  row('rear-screen-dust', 'Dust on the rear screen.', 'mirrorless-body', [['screen', 'dust', 2]], {
    says: ['does nothing to the picture'],
    does: { screen: ['blow'] },
  }),
  row('dirty-shell', 'The body is dusty from the quarry.', 'mirrorless-body', [['body-shell', 'dust', 3]], {
    begins: { 'body-shell': ['blow', 'stiff-brush', 'blow'] },
    never: ['glass-cloth', 'glass-brush'],
    uses: ['shell-brush', 'body-cloth'],
  }),
  row('salty-shell', 'The whole body is crusted with salt.', 'mirrorless-body', [['body-shell', 'salt', 3]], {
    begins: { 'body-shell': ['blow', 'fresh-water'] },
    never: ['stiff-brush', 'isopropanol', 'shell-brush'],
  }),
  row('salty-dials', 'Salt in the dials.', 'mirrorless-body', [['dials', 'salt', 2]], {
    steps: { dials: ['blow', 'damp-swab'] },
    uses: ['water', 'cotton-swab'],
    never: ['isopropanol'],
  }),
  row(
    'shell-order',
    'Shell, mount and sensor are all dirty. Where do I begin?',
    'mirrorless-body',
    [
      ['sensor-cover', 'dust', 3],
      ['body-mount', 'dust', 3],
      ['body-shell', 'dust', 3],
      ['body-cap', 'dust', 3],
    ],
    { order: ['body-cap', 'body-shell', 'body-mount', 'sensor-cover'] },
  ),
  row(
    'film-body-shutter',
    'A rangefinder of 1956: dust in the body.',
    ['mirrorless-body', { yearMade: 1956 }],
    [['mount-wall', 'dust', 3]],
    {
      begins: { 'mount-wall': ['blow'] },
      neverSays: ['test frame', 'swab'],
    },
  ),
  row('popup-flash-dust', 'Dust in the flash well.', ['slr-body', { popupFlash: true }], [['popup-flash', 'dust', 3]], {
    does: { 'popup-flash': ['blow', 'stiff-brush'] },
  }),
  row('hot-shoe-bloom', 'Bloom on the hot shoe.', 'slr-body', [['hot-shoe', 'corrosion', 2]], {
    does: { 'hot-shoe': ['damp-swab', 'contact-eraser'] },
  }),
  row('dirty-body-cap', 'The body cap is full of fluff.', 'slr-body', [['body-cap', 'lint', 3]], {
    does: { 'body-cap': ['blow', 'stiff-brush'] },
    says: ['put them on'],
  }),
] as const;
