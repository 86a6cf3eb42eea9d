import { ourChoice } from '../knowledge/basis.js';
import { row } from './row.js';

/** What glass bears, and what is no dirt: salt, fungus, coatings, makers’ fluids, damage. */
export const GLASS_LIMITS = [
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
      bench: { taps: ['no-change'], ends: { 'filter-front': 'stopped-by-salt' } },
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
    {
      refuses: ['air-spreads-it', 'growth-meets-what-is-thrown-away'],
      never: ['glass-brush', 'glass-cloth', 'blow', 'breath'],
      steps: { 'front-glass': ['solvent-wipe'] },
    },
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
      never: ['carbon-tip', 'isopropanol', 'lens-fluid'],
      uses: ['alcohol-free-fluid'],
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
      bench: { taps: ['better', 'unsure'], ends: { 'front-glass': 'did-not-come-off' }, touches: 1 },
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
] as const;
