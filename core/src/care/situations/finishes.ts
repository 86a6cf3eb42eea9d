import { row } from './row.js';

/** Soft finishes, grease, leather, and what comes last (rules 29, 36 and 37). */
export const FINISHES = [
  row(
    'tacky-and-dusty',
    'The finish tacks and dust sticks in it.',
    'mirrorless-body',
    [
      ['sticky-coating', 'sticky-coating', 2],
      ['sticky-coating', 'dust', 3],
    ],
    { never: ['shell-brush', 'dry-wipe'], refuses: ['soft-finish-is-not-rubbed'], leaves: ['sticky-coating'] },
  ),
  row('flaking-paint', 'The paint flakes off the barrel.', 'lens', [['barrel', 'flaking', 2]], {
    noSteps: true,
    leaves: ['barrel'],
    never: ['shell-brush'],
    says: ['no bristles'],
  }),
  row(
    'flaking-and-greasy',
    'Flaking lacquer, and greasy.',
    'slr-body',
    [
      ['body-shell', 'flaking', 2],
      ['body-shell', 'fingerprint', 3],
    ],
    { never: ['dry-wipe', 'shell-brush'], does: { 'body-shell': ['damp-wipe'] } },
  ),
  row(
    'grease-and-dust-shell',
    'Kitchen grease and dust on the body.',
    'slr-body',
    [
      ['body-shell', 'grease', 3],
      ['body-shell', 'dust', 3],
    ],
    { never: ['shell-brush'], refuses: ['no-bristles-over-grease'], does: { 'body-shell': ['damp-wipe'] } },
  ),
  row(
    'grease-and-dust-front',
    'A kitchen film and dust on the front.',
    'lens',
    [
      ['front-glass', 'grease', 3],
      ['front-glass', 'dust', 3],
    ],
    { never: ['glass-brush', 'dry-wipe'], refuses: ['no-bristles-over-grease'], begins: { 'front-glass': ['blow', 'damp-wipe'] } },
  ),
  row(
    'sap-and-dust',
    'Sap on the hood, dusty.',
    'lens',
    [
      ['hood-outside', 'adhesive', 3],
      ['hood-outside', 'dust', 2],
    ],
    { never: ['shell-brush'], does: { 'hood-outside': ['damp-wipe'] } },
  ),
  row('finish-before-solvent', 'A heavy grease film: what comes before solvent?', 'lens', [['front-glass', 'grease', 4]], {
    steps: { 'front-glass': ['blow', 'damp-wipe', 'blow', 'chamois', 'carbon-tip', 'breath', 'blow', 'solvent-wipe'] },
  }),
  row(
    'print-and-hairline-port',
    'A print and hairlines on the acrylic dome.',
    'port',
    [
      ['port-outside', 'fingerprint', 3],
      ['port-outside', 'fine-scratch', 2],
    ],
    { does: { 'port-outside': ['damp-wipe', 'plastic-polish'] }, never: ['isopropanol'] },
  ),

  row(
    'leather-case-mould',
    'The leather case of the filter has mould.',
    ['filter', { leatherCase: true }],
    [['leather-case', 'fungus-outside', 2]],
    { isolates: true, steps: { 'leather-case': ['solvent-wipe'] }, never: ['soap-wash', 'blow'], says: ['conservator'] },
  ),
  row('leather-case-mud', 'Mud on the leather case.', ['binocular', { leatherCase: true }], [['leather-case', 'splash', 3]], {
    does: { 'leather-case': ['damp-wipe'] },
    never: ['soap-wash', 'fresh-water'],
    refuses: ['leather-is-never-soaked'],
    says: ['away from heat'],
  }),
  row(
    'leather-case-dry',
    'The old case is stiff and cracks.',
    ['viewfinder-loupe', { leatherCase: true }],
    [['leather-case', 'dry-leather', 3]],
    { does: { 'leather-case': ['feed-leather'] }, uses: ['leather-balm'] },
  ),
  row(
    'leather-covering-dusty',
    'Dust on the leather of my rangefinder of 1956.',
    ['mirrorless-body', { yearMade: 1956 }],
    [['leather-covering', 'dust', 3]],
    { does: { 'leather-covering': ['blow', 'dry-wipe'] }, never: ['shell-brush'] },
  ),
  row('leather-flaking', 'The leather flakes off.', ['film-camera', { yearMade: 1952 }], [['leather-covering', 'flaking', 3]], {
    noSteps: true,
    leaves: ['leather-covering'],
    says: ['conservator'],
  }),
  row('leather-salt', 'Salt on the leather covering.', ['slr-body', { yearMade: 1965 }], [['leather-covering', 'salt', 2]], {
    does: { 'leather-covering': ['damp-wipe'] },
    never: ['soap-wash', 'fresh-water', 'isopropanol'],
  }),
  row('leather-glue', 'Sticker residue on the leather.', ['film-camera', { yearMade: 1958 }], [['leather-covering', 'adhesive', 2]], {
    noSteps: true,
    leaves: ['leather-covering'],
    never: ['residue-remover'],
  }),
  row('plastic-case-mould', 'Mould in the plastic case.', 'filter', [['case', 'fungus-outside', 2]], {
    steps: { case: ['soap-wash'] },
    isolates: true,
  }),
] as const;
