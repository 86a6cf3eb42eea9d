import { ourChoice } from '../knowledge/basis.js';
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
    { bench: { taps: ['no-change', 'clean-enough'], ends: { 'front-glass': 'clean-enough' }, touches: 1 } },
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
      bench: { taps: ['no-change', 'no-change'], ends: {}, standsOn: 'carbon-tip' },
    },
  ),
  row(
    'will-not-come-off-film',
    'I climbed every rung and the film still moves under the wipe.',
    'lens',
    [['front-glass', 'fingerprint', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change', 'no-change', 'no-change', 'film'], ends: { 'front-glass': 'film-left' } },
    },
  ),
  row(
    'will-not-come-off-deeper',
    'Nothing helped; the mark stays put while the filter in front of it turns.',
    'lens',
    [['front-glass', 'smear', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change', 'no-change', 'no-change', 'deeper'], ends: { 'front-glass': 'lies-deeper' } },
    },
  ),
  row(
    'will-not-come-off-damage',
    'Nothing helped; it catches the light the same after every rung.',
    'lens',
    [['front-glass', 'smear', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change', 'no-change', 'no-change', 'damage'], ends: { 'front-glass': 'is-damage' } },
    },
  ),
  row('water-spots', 'Rain dried on the filter and left rings.', ['lens', { filterFitted: true }], [['filter-front', 'water-spot', 2]], {
    does: { 'filter-front': ['breath', 'damp-wipe'] },
    never: ['carbon-tip'],
  }),
  row('mud-splash', 'Dried mud on the front glass.', 'lens', [['front-glass', 'splash', 3]], {
    begins: { 'front-glass': ['blow', 'soft-brush', 'blow', 'fresh-water'] },
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
  row('salt-on-filter', 'Sea spray dried on the filter.', ['lens', { filterFitted: true }], [['filter-front', 'salt', 2]], {
    begins: { 'filter-front': ['blow', 'fresh-water'] },
    never: ['sealed-wipe', 'isopropanol', 'dry-wipe', 'soft-brush'],
    refuses: ['dissolve-salt-first'],
    says: ['fresh water'],
  }),
  row(
    'salt-and-print',
    'Salt and a print on the filter. May I take a wet wipe?',
    ['lens', { filterFitted: true }],
    [
      ['filter-front', 'salt', 2],
      ['filter-front', 'fingerprint', 3],
    ],
    { begins: { 'filter-front': ['blow', 'fresh-water', 'damp-wipe'] }, refuses: ['no-alcohol-over-salt', 'dissolve-salt-first'] },
  ),
  row(
    'salt-that-stays',
    'The crust does not dissolve.',
    ['lens', { filterFitted: true }],
    [['filter-front', 'salt', 3]],
    {},
    {
      bench: { taps: ['no-change', 'no-change'], ends: { 'filter-front': 'stopped-by-salt' } },
    },
  ),
  row(
    'salt-and-dust',
    'Salt and dust on the front lens: the brush first, surely?',
    'lens',
    [
      ['front-glass', 'salt', 2],
      ['front-glass', 'dust', 3],
    ],
    { begins: { 'front-glass': ['blow', 'fresh-water'] }, never: ['soft-brush', 'dry-wipe'] },
  ),
  row('fogged-lens', 'I came in from the cold and the front is fogged.', 'lens', [['front-glass', 'fog', 3]], {
    noSteps: true,
    leaves: ['front-glass'],
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
    { refuses: ['fog-is-left'], never: ['dry-wipe', 'damp-wipe', 'wet-wipe'] },
  ),
  row('fine-scratch', 'A hairline on the front that shows from one angle.', 'lens', [['front-glass', 'fine-scratch', 2]], {
    noSteps: true,
    leaves: ['front-glass'],
    says: ['not dirt'],
  }),
  row('deep-scratch', 'A deep scratch across the front element.', 'lens', [['front-glass', 'deep-scratch', 3]], {
    noSteps: true,
    handsOver: ['front-glass'],
  }),
  row('coating-island', 'The coating has an island with an edge.', 'lens', [['front-glass', 'coating-damage', 2]], {
    noSteps: true,
    says: ['takes more coating'],
  }),
  row('separation-rim', 'Rainbow crescents from the rim.', 'lens', [['front-glass', 'separation', 3]], {
    noSteps: true,
    handsOver: ['front-glass'],
  }),
  row('fungus-on-front', 'Threads on the outside of the front element.', 'lens', [['front-glass', 'fungus-outside', 2]], {
    isolates: true,
    does: { 'front-glass': ['solvent-wipe'] },
    never: ['glass-cloth', 'glass-brush'],
    uses: ['lens-tissue'],
    cautions: ['mould'],
    says: ['thrown away', 'gloves'],
  }),
  row(
    'fungus-with-cloth-school',
    'Fungus on the front; I only ever use microfibre.',
    'lens',
    [['front-glass', 'fungus-outside', 2]],
    {
      never: ['glass-cloth'],
      uses: ['lens-tissue'],
    },
    { schools: { wipe: 'microfibre' } },
  ),
  row(
    'fungus-and-dust',
    'Fungus and dust on the front: brush first?',
    'lens',
    [
      ['front-glass', 'fungus-outside', 2],
      ['front-glass', 'dust', 3],
    ],
    { refuses: ['growth-meets-what-is-thrown-away'], never: ['glass-brush', 'glass-cloth'] },
  ),
  row(
    'fungus-peroxide',
    'Fungus on the front, and I trust peroxide.',
    'lens',
    [['front-glass', 'fungus-outside', 2]],
    {
      uses: ['peroxide'],
      never: ['vinegar', 'isopropanol'],
      cautions: ['never-mix', 'skin-and-eyes'],
    },
    { schools: { 'fungus-fluid': 'peroxide' } },
  ),
  row(
    'fungus-vinegar',
    'Fungus on the front, and vinegar is all I use.',
    'lens',
    [['front-glass', 'fungus-outside', 2]],
    {
      uses: ['vinegar'],
      never: ['peroxide', 'isopropanol'],
      cautions: ['never-mix'],
    },
    { schools: { 'fungus-fluid': 'vinegar' } },
  ),
  row(
    'makers-fluid',
    'The maker of this coating names its own fluid. A plain print on the front.',
    ['lens', { makerForbidsFluids: true }],
    [['front-glass', 'fingerprint', 3]],
    {
      uses: ['maker-fluid'],
      never: ['lens-fluid', 'isopropanol', 'alcohol-free-fluid', 'sealed-wipe'],
      cautions: ['maker-instructions'],
    },
  ),
  row(
    'makers-fluid-lacking',
    'The maker names its own fluid and I have only lens fluid.',
    ['lens', { makerForbidsFluids: true }],
    [['front-glass', 'grease', 3]],
    {
      never: ['lens-fluid', 'isopropanol'],
      missing: ['maker-fluid'],
    },
    { drawer: ['bulb-blower', 'lens-tissue', 'lens-fluid', 'isopropanol', 'alcohol-free-fluid'] },
  ),
  row(
    'makers-fluid-sap',
    'Sap on a coating whose maker names its own cleaner.',
    ['lens', { makerForbidsFluids: true }],
    [['front-glass', 'adhesive', 3]],
    {
      never: ['isopropanol', 'residue-remover'],
      uses: ['maker-fluid'],
    },
  ),
  row(
    'soft-old-coating',
    'A lens of 1958 with one soft bluish layer, and a print.',
    ['lens', { yearMade: 1958 }],
    [['front-glass', 'fingerprint', 3]],
    {
      refuses: ['soft-coating'],
      never: ['carbon-tip', 'isopropanol'],
      uses: ['lens-fluid'],
    },
  ),
  row(
    'soft-coating-alcohol-school',
    'I clean with alcohol. This one is from 1960.',
    ['lens', { yearMade: 1960 }],
    [['front-glass', 'fingerprint', 3]],
    {
      never: ['isopropanol', 'carbon-tip'],
    },
    { schools: { solvent: 'alcohol' } },
  ),
  row(
    'soft-coating-one-stroke',
    'A print on a soft coating: better after one stroke, may I go on?',
    ['lens', { yearMade: 1955, coating: 'single' }],
    [['front-glass', 'fingerprint', 3]],
    {},
    {
      schools: { breath: 'never' },
      bench: { taps: ['no-change', 'better', 'unsure'], ends: { 'front-glass': 'did-not-come-off' }, touches: 1 },
      basis: ourChoice('A soft layer bears one stroke a rung, where a hard one bears two.'),
    },
  ),
  row(
    'large-front',
    'A print on the front of a fast long lens, 110 mm across.',
    ['lens', { frontMm: 110 }],
    [['front-glass', 'fingerprint', 3]],
    {
      amounts: { 'lens-fluid': 3 },
    },
  ),
  row(
    'stuck-filter-print',
    'The filter is stuck and there is dirt behind it.',
    ['lens', { filterFitted: true, filterStuck: true }],
    [['filter-back', 'fingerprint', 3]],
    {
      noSteps: true,
      says: ['stuck filter', 'rubber band'],
    },
  ),
  row(
    'new-filter',
    'A new filter out of its box, full of specks.',
    'filter',
    [
      ['filter-front', 'dust', 2],
      ['filter-back', 'dust', 2],
      ['case', 'dust', 2],
    ],
    { order: ['case', 'filter-front', 'filter-back'], neverSays: ['caps and put them on'], says: ['its case'] },
  ),
  row(
    'filter-thread-grit',
    'Grit in the filter thread and a print on the filter.',
    'filter',
    [
      ['filter-thread', 'grit', 2],
      ['filter-front', 'fingerprint', 3],
    ],
    { order: ['filter-thread', 'filter-front'] },
  ),
  row(
    'second-hand-acrylic-filter',
    'A resin filter with a print on it.',
    ['filter', { opticMaterial: 'acrylic' }],
    [['filter-front', 'fingerprint', 3]],
    {
      uses: ['alcohol-free-fluid'],
      never: ['lens-fluid', 'isopropanol', 'carbon-tip', 'sealed-wipe'],
    },
  ),
  row('teleconverter-front', 'Dust on the front glass of the teleconverter.', 'teleconverter', [['front-glass', 'dust', 3]], {
    begins: { 'front-glass': ['blow', 'soft-brush', 'blow'] },
  }),
  row('teleconverter-print', 'A print on the rear of the teleconverter.', 'teleconverter', [['rear-glass', 'fingerprint', 3]], {
    amounts: { 'lens-fluid': 1 },
    says: ['cap both at once'],
  }),
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
