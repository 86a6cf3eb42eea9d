import { row } from './row.js';

/** Shells, rubber, leather, caps, cases: mould, glue, salt, and finishes that turn sticky. */
export const SHELLS = [
  row('sticky-grip-air', 'The grip of my camera begins to tack.', 'mirrorless-body', [['grip-rubber', 'sticky-coating', 1]], {
    noSteps: true,
    leaves: ['grip-rubber'],
    says: ['two to twelve months', 'turns again', 'lettering'],
  }),
  row(
    'sticky-heavy-air',
    'The whole coating is gluey, but I want to air it.',
    'mirrorless-body',
    [['sticky-coating', 'sticky-coating', 4]],
    { noSteps: true, leaves: ['sticky-coating'], never: ['adhesive-remover'] },
  ),
  row(
    'sticky-trace-remove',
    'A first tack on the coating: off with it.',
    'mirrorless-body',
    [['sticky-coating', 'sticky-coating', 1]],
    {
      does: { 'sticky-coating': ['adhesive-remover'] },
      uses: ['adhesive-remover', 'paper-towel'],
      cautions: ['takes-lettering', 'flammable-fluid', 'solvent-vapour'],
      says: ['two months'],
    },
    { schools: { sticky: 'remove' } },
  ),
  row(
    'sticky-grip-remove',
    'The grip is gluey, I remove the finish.',
    'slr-body',
    [['grip-rubber', 'sticky-coating', 3]],
    {
      does: { 'grip-rubber': ['adhesive-remover'] },
      uses: ['adhesive-remover', 'paper-towel'],
      keepsAtHome: true,
    },
    { schools: { sticky: 'remove' } },
  ),
  row(
    'sticky-no-remover',
    'I would remove it but there is no remover in the drawer.',
    'mirrorless-body',
    [['sticky-coating', 'sticky-coating', 2]],
    {
      noSteps: true,
      missing: ['adhesive-remover'],
      leaves: ['sticky-coating'],
    },
    { schools: { sticky: 'remove' }, drawer: ['bulb-blower', 'paper-towel', 'body-cloth'] },
  ),
  row('sticky-binocular', 'The armour of the binocular has turned tacky.', 'binocular', [['sticky-coating', 'sticky-coating', 2]], {
    leaves: ['sticky-coating'],
  }),
  row('sticky-lens', 'The barrel of a lens of 1996 is sticky.', ['lens', { yearMade: 1996 }], [['sticky-coating', 'sticky-coating', 2]], {
    leaves: ['sticky-coating'],
    says: ['air it'],
  }),
  row(
    'sticky-accessory',
    'The remote has turned tacky.',
    ['accessory', { rubberisedCoating: true }],
    [['sticky-coating', 'sticky-coating', 2]],
    { leaves: ['sticky-coating'] },
  ),
  row(
    'sticky-compact-remove',
    'The compact of 2002 is gluey all over.',
    ['compact', { rubberisedCoating: true }],
    [['sticky-coating', 'sticky-coating', 4]],
    { does: { 'sticky-coating': ['adhesive-remover'] } },
    { schools: { sticky: 'remove' } },
  ),
  row('mould-on-grip', 'Mould on the rubber grip.', 'slr-body', [['grip-rubber', 'fungus-outside', 3]], {
    isolates: true,
    does: { 'grip-rubber': ['damp-wipe'] },
    never: ['isopropanol', 'body-cloth', 'shell-brush'],
    uses: ['paper-towel', 'water', 'mild-soap'],
    refuses: ['no-solvent-on-rubber'],
    cautions: ['mould'],
    keepsAtHome: true,
    says: ['gloves', 'thrown away'],
  }),
  row('mould-on-case', 'The plastic case has mould.', 'filter', [['case', 'fungus-outside', 2]], {
    isolates: true,
    does: { case: ['soap-wash'] },
    keepsAtHome: true,
  }),
  row('mould-on-shell', 'White mould on the painted shell.', 'slr-body', [['body-shell', 'fungus-outside', 2]], {
    does: { 'body-shell': ['damp-wipe'] },
    never: ['body-cloth'],
    keepsAtHome: true,
  }),
  row('mould-on-mount', 'Mould on the flange.', 'lens', [['lens-mount', 'fungus-outside', 2]], {
    does: { 'lens-mount': ['damp-swab'] },
    never: ['body-cloth'],
    isolates: true,
  }),
  row('mould-on-screen', 'Mould spots on the rear screen.', 'mirrorless-body', [['screen', 'fungus-outside', 2]], {
    does: { screen: ['damp-wipe'] },
    never: ['glass-cloth', 'isopropanol'],
    keepsAtHome: true,
  }),
  row('mould-in-cap', 'Mould in the front cap.', 'lens', [['front-cap', 'fungus-outside', 2]], {
    does: { 'front-cap': ['soap-wash'] },
    isolates: true,
  }),
  row('glue-on-rubber', 'Tape left glue on the zoom ring.', ['lens', { zoomExtends: true }], [['zoom-ring', 'adhesive', 3]], {
    does: { 'zoom-ring': ['damp-wipe'] },
    refuses: ['no-solvent-on-rubber'],
    never: ['isopropanol', 'residue-remover'],
    keepsAtHome: true,
  }),
  row('glue-on-shell', 'Sticker residue on the shell.', 'slr-body', [['body-shell', 'adhesive', 3]], {
    does: { 'body-shell': ['damp-wipe', 'solvent-wipe'] },
    cautions: ['takes-lettering'],
    keepsAtHome: true,
  }),
  row(
    'glue-residue-remover',
    'Sticker residue, and only residue remover in the drawer.',
    'slr-body',
    [['body-shell', 'adhesive', 3]],
    { uses: ['residue-remover'] },
    {
      drawer: ['bulb-blower', 'shell-brush', 'body-cloth', 'paper-towel', 'residue-remover', 'water'],
    },
  ),
  row('ribs-with-grit', 'Sand in the ribs of the zoom ring.', ['lens', { zoomExtends: true }], [['zoom-ring', 'grit', 3]], {
    begins: { 'zoom-ring': ['blow', 'stiff-brush', 'blow'] },
    never: ['glass-brush', 'dry-wipe'],
  }),
  row('inner-barrel-dust', 'Dust on the extending inner barrel.', ['lens', { zoomExtends: true }], [['inner-barrel', 'dust', 3]], {
    says: ['longest'],
    begins: { 'inner-barrel': ['blow', 'stiff-brush', 'blow'] },
  }),
  row('hood-inside', 'The hood is dusty inside.', 'lens', [['hood-inside', 'dust', 3]], {
    does: { 'hood-inside': ['blow', 'stiff-brush'] },
    says: ['hood off'],
  }),
  row('hood-salt', 'Salt on the hood.', 'lens', [['hood-outside', 'salt', 2]], {
    begins: { 'hood-outside': ['blow', 'fresh-water'] },
    does: { 'hood-outside': ['soap-wash'] },
    never: ['stiff-brush'],
  }),
  row('cap-wash', 'The front cap is greasy.', 'lens', [['front-cap', 'grease', 2]], { does: { 'front-cap': ['soap-wash'] } }),
  row('shell-wash', 'Can I wash the greasy barrel under the tap?', 'lens', [['barrel', 'grease', 3]], {
    refuses: ['wash-only-what-comes-off'],
    does: { barrel: ['damp-wipe'] },
  }),
  row(
    'cap-before-glass',
    'Front cap and front glass are both dusty.',
    'lens',
    [
      ['front-glass', 'dust', 3],
      ['front-cap', 'dust', 3],
    ],
    { order: ['front-cap', 'front-glass'] },
  ),
  row(
    'rim-before-glass',
    'Dust in the thread and on the front glass.',
    'lens',
    [
      ['front-glass', 'dust', 3],
      ['filter-thread', 'dust', 3],
    ],
    { order: ['filter-thread', 'front-glass'] },
  ),
  row('strap-lugs', 'The strap lugs are gritty.', 'slr-body', [['strap-lugs', 'grit', 2]], {
    begins: { 'strap-lugs': ['blow', 'stiff-brush', 'blow'] },
  }),
  row('binocular-armour', 'The binocular’s armour is muddy.', 'binocular', [['body-shell', 'splash', 3]], {
    does: { 'body-shell': ['stiff-brush', 'fresh-water'] },
  }),
  row('trace-on-shell', 'A hint of dust on the shell.', 'slr-body', [['body-shell', 'dust', 1]], {
    noSteps: true,
    says: ['harms nothing'],
  }),
] as const;
