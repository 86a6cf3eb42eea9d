import { row } from './row.js';

/** Glass one can reach: fronts, rears, filters, and how far one goes. */
export const GLASS = [
  row('nothing-seen', 'I held the lens under a strong lamp and saw nothing. Should I clean it all the same?', 'lens', [], {
    noSteps: true,
    says: ['leave it'],
  }),
  row('trace-of-dust', 'A few specks on the front, only to be seen with the torch.', 'lens', [['front-glass', 'dust', 1]], {
    noSteps: true,
    leaves: ['front-glass'],
    says: ['every touch is wear'],
  }),
  row('dusty-front', 'The front glass is dusty after a week on the shelf.', 'lens', [['front-glass', 'dust', 2]], {
    begins: { 'front-glass': ['blow', 'soft-brush', 'blow'] },
    never: ['damp-wipe', 'canned-air'],
    refuses: ['no-canned-air-inside'],
  }),
  row(
    'light-print',
    'My thumb touched the front element, a light print.',
    'lens',
    [['front-glass', 'fingerprint', 2]],
    {
      begins: { 'front-glass': ['blow', 'dry-wipe', 'damp-wipe'] },
      says: ['feeds fungus'],
      amounts: { 'lens-fluid': 2 },
    },
    { bench: { taps: ['clean-enough'], ends: { 'front-glass': 'clean-enough' }, touches: 1 } },
  ),
  row('plain-print', 'A plain greasy print right in the middle of the front lens.', 'lens', [['front-glass', 'fingerprint', 3]], {
    steps: { 'front-glass': ['blow', 'damp-wipe', 'blow', 'carbon-tip', 'breath'] },
    never: ['dry-wipe', 'soft-brush', 'isopropanol'],
    says: ['dry corner'],
  }),
  row(
    'print-and-dust',
    'A plain print, and the front is dusty too.',
    'lens',
    [
      ['front-glass', 'fingerprint', 3],
      ['front-glass', 'dust', 3],
    ],
    { begins: { 'front-glass': ['blow', 'soft-brush', 'blow', 'damp-wipe'] }, refuses: ['no-dry-wipe-on-heavy-film'] },
  ),
  row(
    'print-over-grit',
    'There is a print on the front and I can see a grain of sand glinting in it.',
    'lens',
    [
      ['front-glass', 'fingerprint', 2],
      ['front-glass', 'grit', 2],
    ],
    { begins: { 'front-glass': ['blow', 'soft-brush', 'blow'] }, says: ['hard grains'] },
    {
      bench: { taps: ['no-change', 'no-change', 'no-change'], ends: { 'front-glass': 'stopped-by-grit' }, touches: 1 },
    },
  ),
  row(
    'grains-gone-print-stays',
    'The air took the grains. The print is still there, is it clean now?',
    'lens',
    [
      ['front-glass', 'fingerprint', 2],
      ['front-glass', 'grit', 2],
    ],
    {},
    { bench: { taps: ['clean-enough', 'no-change'], ends: { 'front-glass': 'not-reached' }, standsOn: 'dry-wipe' } },
  ),
  row(
    'grains-gone-pollen-stays',
    'Sand and pollen on the front: no grain left after the blower.',
    'lens',
    [
      ['front-glass', 'pollen', 3],
      ['front-glass', 'grit', 2],
    ],
    {},
    { bench: { taps: ['clean-enough', 'no-change'], ends: {}, standsOn: 'soft-brush' } },
  ),
  row('smear-left', 'The last wipe left arcs on the glass.', 'lens', [['front-glass', 'smear', 2]], {
    does: { 'front-glass': ['dry-wipe', 'carbon-tip', 'breath', 'damp-wipe'] },
    says: ['light comes from the side'],
  }),
  row(
    'smear-after-damp',
    'I wiped it damp and a veil of smear stays.',
    'lens',
    [['front-glass', 'fingerprint', 3]],
    {},
    {
      bench: { taps: ['no-change'], ends: {}, standsOn: 'carbon-tip' },
    },
  ),
  row(
    'will-not-come-off-film',
    'I climbed every rung and the film still moves under the wipe.',
    'lens',
    [['front-glass', 'fingerprint', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change', 'no-change', 'film'], ends: { 'front-glass': 'film-left' } },
    },
  ),
  row(
    'will-not-come-off-deeper',
    'Nothing helped; the mark stays put while the filter in front of it turns.',
    'lens',
    [['front-glass', 'smear', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change', 'no-change', 'deeper'], ends: { 'front-glass': 'lies-deeper' } },
    },
  ),
  row(
    'will-not-come-off-damage',
    'Nothing helped; it catches the light the same after every rung.',
    'lens',
    [['front-glass', 'smear', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change', 'no-change', 'damage'], ends: { 'front-glass': 'is-damage' } },
    },
  ),
  row('water-spots', 'Rain dried on the filter and left rings.', ['lens', { filterFitted: true }], [['filter-front', 'water-spot', 2]], {
    does: { 'filter-front': ['breath', 'damp-wipe'] },
    never: ['carbon-tip'],
  }),
  row('mud-splash', 'Dried mud on the front glass.', 'lens', [['front-glass', 'splash', 3]], {
    begins: { 'front-glass': ['blow', 'fresh-water', 'damp-wipe'] },
    never: ['dry-wipe'],
  }),
  row(
    'rubbing-mud',
    'Can I not just rub the mud off? There is a smear beside it.',
    'lens',
    [
      ['front-glass', 'splash', 2],
      ['front-glass', 'smear', 2],
    ],
    { refuses: ['no-dry-wipe-on-gritty-splash'], does: { 'front-glass': ['fresh-water'] } },
  ),
  row('pollen-rubbed', 'Yellow pollen all over the front in May.', 'lens', [['front-glass', 'pollen', 3]], {
    begins: { 'front-glass': ['blow', 'soft-brush', 'blow'] },
    does: { 'front-glass': ['damp-wipe'] },
  }),
  row('tree-sap', 'A drop of sap on the front lens.', 'lens', [['front-glass', 'adhesive', 3]], {
    does: { 'front-glass': ['solvent-wipe'] },
    uses: ['isopropanol'],
    cautions: ['flammable-fluid', 'solvent-vapour'],
  }),
  row('lint-after-cloth', 'The cloth left lint all over.', 'lens', [['front-glass', 'lint', 3]], {
    begins: { 'front-glass': ['blow', 'soft-brush', 'blow'] },
  }),
  row('kitchen-grease', 'The lens stood in the kitchen, a grey greasy veil over the front.', 'lens', [['front-glass', 'grease', 4]], {
    does: { 'front-glass': ['damp-wipe', 'solvent-wipe', 'chamois'] },
    never: ['dry-wipe'],
  }),
  row('nose-oil', 'Skin oil on the front from looking at it too closely.', 'lens', [['front-glass', 'skin-oil', 2]], {
    does: { 'front-glass': ['carbon-tip', 'damp-wipe'] },
  }),
  row(
    'rear-and-front',
    'Prints on front and rear.',
    'lens',
    [
      ['rear-glass', 'fingerprint', 3],
      ['front-glass', 'fingerprint', 3],
    ],
    { order: ['front-glass', 'rear-glass'], says: ['never stand the lens on its rear element'], amounts: { 'lens-fluid': 3 } },
  ),
  row('fogged-lens', 'I came in from the cold and the front is fogged.', 'lens', [['front-glass', 'fog', 3]], {
    noSteps: true,
    waits: ['front-glass'],
    comesTo: 'wait-to-clear',
    refuses: ['fog-is-left'],
    says: ['fog clears by itself'],
  }),
  row(
    'fog-on-print',
    'It fogged over and there is a print under it.',
    'lens',
    [
      ['front-glass', 'fog', 2],
      ['front-glass', 'fingerprint', 3],
    ],
    { noSteps: true, waits: ['front-glass'], keepsAtHome: true, refuses: ['fog-is-left'], says: ['after the fog has cleared'] },
  ),
  row(
    'habit-trace',
    'I clean after every outing: a trace of dust on the front.',
    'lens',
    [['front-glass', 'dust', 1]],
    {
      begins: { 'front-glass': ['blow'] },
      leaves: [],
    },
    { schools: { habit: 'after-every-outing' } },
  ),
  row('shirt-tail', 'May I wipe the print with my shirt?', 'lens', [['front-glass', 'fingerprint', 2]], {
    refuses: ['no-household-wipes'],
  }),
] as const;
