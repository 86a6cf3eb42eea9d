import { row } from './row.js';

/** Eyepieces, binoculars, telescopes, loupes, ports, phones and compacts. */
export const OPTICS = [
  row('eyepiece-lashes', 'The eye lens is greasy from lashes.', 'eyepiece', [['eye-lens', 'skin-oil', 3]], {
    does: { 'eye-lens': ['damp-wipe', 'carbon-tip', 'breath'] },
    says: ['wash your face', 'dry corner'],
    amounts: { 'lens-fluid': 1 },
  }),
  row(
    'eyepiece-pen-only',
    'At the telescope with nothing but a blower and a cleaning pen; the eye lens is smeared.',
    'eyepiece',
    [['eye-lens', 'skin-oil', 3]],
    {
      steps: { 'eye-lens': ['blow', 'carbon-tip'] },
      uses: ['carbon-pen'],
      neverSays: ['bench work'],
      keepsAtHome: true,
    },
    { out: {}, drawer: ['bulb-blower', 'carbon-pen'] },
  ),
  row(
    'eyepiece-pen-at-home',
    'At home with a blower and a pen.',
    'eyepiece',
    [['eye-lens', 'fingerprint', 2]],
    { does: { 'eye-lens': ['carbon-tip'] }, keepsAtHome: true },
    { drawer: ['bulb-blower', 'carbon-pen'] },
  ),
  row(
    'eyepiece-mist',
    'I put one fine mist on the eye lens.',
    'eyepiece',
    [['eye-lens', 'grease', 2]],
    { amounts: { 'lens-fluid': 3 } },
    { schools: { spray: 'far-mist' } },
  ),
  row(
    'eyepiece-no-breath',
    'A smear on the eye lens, and I never breathe on glass.',
    'eyepiece',
    [['eye-lens', 'smear', 2]],
    {
      refuses: ['school-no-breath'],
      never: ['breath'],
    },
    { schools: { breath: 'never' } },
  ),
  row(
    'eyecup-first',
    'Eyecup and eye lens are greasy.',
    'eyepiece',
    [
      ['eye-lens', 'skin-oil', 2],
      ['eyecup', 'skin-oil', 2],
    ],
    { order: ['eyecup', 'eye-lens'], does: { eyecup: ['soap-wash'] }, says: ['eyecup off'] },
  ),
  row('eyecup-oil-reason', 'Why bother with the eyecup?', 'eyepiece', [['eyecup', 'skin-oil', 2]], { does: { eyecup: ['soap-wash'] } }),
  row('eyepiece-mould-on-cup', 'Mould on the rubber eyecup.', 'eyepiece', [['eyecup', 'fungus-outside', 2]], {
    isolates: true,
    does: { eyecup: ['damp-wipe', 'soap-wash'] },
    never: ['isopropanol', 'body-cloth'],
    keepsAtHome: true,
    cautions: ['mould'],
  }),
  row('field-lens-dust', 'Dust on the field lens.', 'eyepiece', [['field-lens', 'dust', 2]], {
    begins: { 'field-lens': ['blow', 'soft-brush', 'blow'] },
  }),
  row('loupe-print', 'A print on the loupe.', 'viewfinder-loupe', [['eye-lens', 'fingerprint', 3]], {
    does: { 'eye-lens': ['damp-wipe'] },
    amounts: { 'lens-fluid': 1 },
    says: ['into its case'],
  }),
  row(
    'loupe-acrylic',
    'A print on a plastic loupe.',
    ['viewfinder-loupe', { opticMaterial: 'acrylic' }],
    [['eye-lens', 'fingerprint', 3]],
    {
      uses: ['alcohol-free-fluid'],
      never: ['lens-fluid', 'isopropanol', 'carbon-tip'],
    },
  ),
  row('binocular-rain', 'Rain dried on the objectives.', 'binocular', [['objective', 'water-spot', 2]], {
    does: { objective: ['breath', 'damp-wipe'] },
  }),
  row('binocular-eye', 'The eye lenses are greasy.', 'binocular', [['eye-lens', 'skin-oil', 3]], {
    says: ['wash your face', 'fold the eyecups down'],
  }),
  row('binocular-haze', 'A veil inside one half of the binocular.', 'binocular', [['inner-glass', 'haze', 3]], {
    handsOver: ['inner-glass'],
    refuses: ['no-opening-by-the-owner'],
    offers: [],
  }),
  row('refractor-dew', 'Dew dried on the objective and left spots.', 'refractor', [['objective', 'water-spot', 3]], {
    does: { objective: ['damp-wipe'] },
    amounts: { 'lens-fluid': 3 },
    says: ['tube level'],
  }),
  row('corrector-pollen', 'Pollen on the corrector plate.', ['refractor', { correctorFront: true }], [['corrector', 'pollen', 3]], {
    begins: { corrector: ['blow', 'soft-brush', 'blow'] },
    does: { corrector: ['damp-wipe'] },
  }),
  row('primary-dust', 'By torch light the primary mirror looks filthy.', 'reflector', [['primary-mirror', 'dust', 3]], {
    noSteps: true,
    leaves: ['primary-mirror'],
    says: ['washing procedure'],
    refuses: ['telescope-mirrors-are-bathed'],
  }),
  row('primary-heavy', 'The primary has not been washed in ten years.', 'reflector', [['primary-mirror', 'dust', 4]], {
    noSteps: true,
    handsOver: ['primary-mirror'],
    says: ['bath of water with cotton'],
  }),
  row('reflector-tube', 'The tube is dusty outside.', 'reflector', [['barrel', 'dust', 3]], {
    does: { barrel: ['blow', 'stiff-brush', 'dry-wipe'] },
    says: ['both ends capped'],
  }),
  row('port-salt', 'The dome is crusted after the dive.', 'port', [['port-outside', 'salt', 3]], {
    begins: { 'port-outside': ['blow', 'fresh-water'] },
    says: ['rinse it in fresh water'],
    never: ['sealed-wipe', 'isopropanol'],
  }),
  row('port-print-acrylic', 'A print on the dome; I never said what it is made of.', 'port', [['port-outside', 'fingerprint', 3]], {
    uses: ['alcohol-free-fluid'],
    never: ['lens-fluid', 'isopropanol', 'sealed-wipe', 'carbon-tip'],
    says: ['glass or acrylic'],
    refuses: ['soft-coating', 'no-solvent-on-plastic'],
  }),
  row(
    'port-print-glass',
    'A print on the glass flat port.',
    ['port', { opticMaterial: 'glass', domed: false }],
    [['port-outside', 'fingerprint', 3]],
    { uses: ['lens-fluid'] },
  ),
  row('port-hairline', 'Hairlines in the acrylic dome.', 'port', [['port-outside', 'fine-scratch', 2]], {
    does: { 'port-outside': ['plastic-polish'] },
  }),
  row(
    'port-hairline-glass',
    'Hairlines in the glass port: can I polish them?',
    ['port', { opticMaterial: 'glass' }],
    [['port-outside', 'fine-scratch', 2]],
    { noSteps: true, leaves: ['port-outside'], refuses: ['polish-bare-acrylic-only'] },
  ),
  row('port-glue', 'Sticker residue on the acrylic port.', 'port', [['port-outside', 'adhesive', 3]], {
    refuses: ['no-solvent-on-plastic'],
    never: ['isopropanol', 'residue-remover'],
  }),
  row(
    'port-inside-and-ring',
    'Inside of the port is dusty and the ring has a hair.',
    'port',
    [
      ['port-inside', 'dust', 2],
      ['o-ring', 'lint', 2],
    ],
    { order: ['o-ring', 'port-inside'], says: ['without a hair or a twist', 'lens behind it'] },
  ),
  row('port-glass-known', 'Mud on the dome.', 'port', [['port-outside', 'splash', 3]], { does: { 'port-outside': ['fresh-water'] } }),
  row('phone-lens', 'The phone lens is smeared from the pocket.', 'phone', [['phone-lens', 'fingerprint', 2]], {
    begins: { 'phone-lens': ['blow', 'dry-wipe', 'damp-wipe'] },
    amounts: { 'lens-fluid': 1 },
    says: ['nothing wet near the openings'],
    neverSays: ['caps'],
  }),
  row('phone-screen', 'The phone screen is greasy.', 'phone', [['screen', 'skin-oil', 3]], {
    does: { screen: ['damp-wipe'] },
    says: ['screen off'],
    neverSays: ['caps'],
  }),
  row('phone-inside', 'A veil under the phone lens.', 'phone', [['phone-lens', 'haze', 3]], {
    noSteps: true,
    handsOver: ['phone-lens'],
    refuses: ['no-opening-by-the-owner'],
    says: ['lithium'],
  }),
  row('compact-lens', 'A print on the lens of my compact.', 'compact', [['front-glass', 'fingerprint', 3]], {
    does: { 'front-glass': ['damp-wipe'] },
    amounts: { 'lens-fluid': 1 },
    says: ['lens comes out', 'take the battery out', 'battery back in'],
  }),
  row('compact-screen', 'The screen of my compact is greasy.', 'compact', [['screen', 'skin-oil', 3]], {
    neverSays: ['lens comes out', 'caps'],
    does: { screen: ['damp-wipe'] },
  }),
  row('compact-barrel', 'Sand on the segments of the compact’s lens barrel.', 'compact', [['inner-barrel', 'grit', 2]], {
    begins: { 'inner-barrel': ['blow', 'stiff-brush', 'blow'] },
    never: ['dry-wipe', 'damp-wipe'],
  }),
  row('compact-inside', 'Dust inside the compact’s lens.', 'compact', [['inner-glass', 'internal-dust', 4]], {
    refuses: ['no-opening-by-the-owner'],
    handsOver: ['inner-glass'],
    offers: [],
    says: ['charge'],
  }),
  row(
    'accessory-contacts',
    'Dull contacts on the flash trigger.',
    ['accessory', { electronicContacts: true }],
    [['contacts', 'corrosion', 2]],
    { does: { contacts: ['damp-swab', 'contact-eraser'] }, says: ['take the battery out', 'battery back in'] },
  ),
] as const;
