import type { Traits } from '../knowledge/traits.js';
import { row } from './row.js';

const MANUAL: Traits = { yearMade: 1962 };
const STUCK: Traits = { filterFitted: true, filterStuck: true };

/** Mould and fungus: asked first, and never carried about by air (rules 28 and 29). */
export const GROWTH = [
  row(
    'fungus-behind-stuck-filter',
    'Threads behind a filter that will not come off.',
    ['lens', STUCK],
    [['filter-back', 'fungus-outside', 2]],
    {
      isolates: true,
      says: ['move it away from the rest'],
      never: ['blow'],
    },
  ),
  row(
    'fungus-front-behind-stuck-filter',
    'Through the stuck filter I see threads on the front.',
    ['lens', { ...STUCK, yearMade: 1958 }],
    [['front-glass', 'fungus-outside', 3]],
    { isolates: true },
  ),
  row('print-behind-stuck-filter', 'A print behind the stuck filter.', ['lens', STUCK], [['front-glass', 'fingerprint', 3]], {
    noSteps: true,
    waits: ['front-glass'],
    comesTo: 'free-the-filter',
    isolates: false,
  }),
  row(
    'print-and-fungus-behind-stuck-filter',
    'A print and threads behind the stuck filter.',
    ['lens', STUCK],
    [
      ['front-glass', 'fingerprint', 3],
      ['filter-back', 'fungus-outside', 2],
    ],
    { isolates: true, waits: ['front-glass'] },
  ),
  row('fungus-primary', 'Threads on the telescope’s mirror.', 'reflector', [['primary-mirror', 'fungus-outside', 2]], {
    isolates: true,
    handsOver: ['primary-mirror'],
    noSteps: true,
    says: ['move it away from the rest'],
  }),
  row(
    'fungus-secondary-dust',
    'The small mirror has spots that branch, and dust.',
    'reflector',
    [
      ['secondary-mirror', 'fungus-outside', 1],
      ['secondary-mirror', 'dust', 3],
    ],
    { isolates: true, noSteps: true },
  ),
  row(
    'fungus-corrector',
    'Spots that branch on the corrector plate.',
    ['refractor', { correctorFront: true }],
    [['corrector', 'fungus-outside', 2]],
    { isolates: true, steps: { corrector: ['solvent-wipe'] }, never: ['blow', 'glass-brush'] },
  ),
  row('fungus-eyepiece-inside', 'Threads inside the eyepiece.', 'eyepiece', [['inner-glass', 'fungus', 2]], {
    isolates: true,
    offers: ['open-group'],
  }),
  row('fungus-binocular-inside', 'One half of the binocular has threads.', 'binocular', [['inner-glass', 'fungus', 3]], {
    isolates: true,
    handsOver: ['inner-glass'],
    offers: [],
  }),
  row('fungus-sensor', 'Threads on the sensor, after the rainy season.', 'mirrorless-body', [['sensor-cover', 'fungus-outside', 2]], {
    isolates: true,
    handsOver: ['sensor-cover'],
    never: ['sensor-swab', 'blow'],
  }),
  row('fungus-mirror', 'Fungus on the reflex mirror.', 'slr-body', [['reflex-mirror', 'fungus-outside', 2]], {
    isolates: true,
    handsOver: ['reflex-mirror'],
    noSteps: true,
  }),
  row('mould-in-mirror-box', 'Mould on the walls of the mirror box.', 'slr-body', [['mirror-box', 'fungus-outside', 2]], {
    isolates: true,
    handsOver: ['mirror-box'],
    noSteps: true,
    never: ['blow'],
  }),
  row(
    'fungus-grit',
    'Threads and grains of sand on the front.',
    'lens',
    [
      ['front-glass', 'fungus-outside', 2],
      ['front-glass', 'grit', 2],
    ],
    {
      isolates: true,
      begins: { 'front-glass': ['dab'] },
      never: ['blow', 'soft-brush', 'dry-wipe'],
      does: { 'front-glass': ['solvent-wipe'] },
    },
    { bench: { taps: ['no-change'], ends: { 'front-glass': 'stopped-by-grit' } } },
  ),
  row(
    'fungus-salt',
    'Salt and threads on the filter.',
    ['lens', { filterFitted: true }],
    [
      ['filter-front', 'fungus-outside', 2],
      ['filter-front', 'salt', 2],
    ],
    {
      isolates: true,
      steps: { 'filter-front': ['fresh-water', 'solvent-wipe'] },
      never: ['blow', 'glass-cloth'],
    },
  ),
  row(
    'fungus-print',
    'Threads and a thumbprint on the front.',
    'lens',
    [
      ['front-glass', 'fungus-outside', 2],
      ['front-glass', 'fingerprint', 3],
    ],
    { steps: { 'front-glass': ['solvent-wipe'] }, isolates: true, never: ['carbon-tip', 'breath', 'dry-wipe'] },
  ),
  row(
    'fungus-old-coating',
    'Threads on the front of a lens of 1956.',
    ['lens', { yearMade: 1956 }],
    [['front-glass', 'fungus-outside', 2]],
    { uses: ['peroxide'], never: ['isopropanol', 'residue-remover'] },
  ),
  row(
    'fungus-bare-glass',
    'Fungus on the bare glass of 1936.',
    ['lens', { yearMade: 1936, collapsible: true }],
    [['rear-glass', 'fungus-outside', 2]],
    { never: ['isopropanol'], isolates: true },
  ),
  row(
    'fungus-old-coating-only-alcohol',
    'The same, and nothing but alcohol in the drawer.',
    ['lens', { yearMade: 1956 }],
    [['front-glass', 'fungus-outside', 2]],
    { noSteps: true, isolates: true, missing: ['peroxide'] },
    { drawer: ['bulb-blower', 'isopropanol', 'lens-tissue'] },
  ),
  row(
    'mould-dust-shell',
    'Mould and dust on the body.',
    'slr-body',
    [
      ['body-shell', 'fungus-outside', 2],
      ['body-shell', 'dust', 3],
    ],
    {
      never: ['blow', 'shell-brush', 'body-cloth'],
      refuses: ['air-spreads-it', 'growth-meets-what-is-thrown-away'],
      does: { 'body-shell': ['damp-wipe'] },
      isolates: true,
    },
  ),
  row(
    'mould-grit-shell',
    'Mould and sand on the barrel.',
    'lens',
    [
      ['barrel', 'fungus-outside', 2],
      ['barrel', 'grit', 2],
    ],
    { begins: { barrel: ['dab'] }, never: ['blow', 'shell-brush'], isolates: true },
  ),
  row(
    'mould-cap-dust',
    'Mould and dust in the cap.',
    'lens',
    [
      ['front-cap', 'fungus-outside', 2],
      ['front-cap', 'dust', 3],
    ],
    { steps: { 'front-cap': ['soap-wash'] }, says: ['washed and wholly dry'], neverSays: ['blow out the caps'] },
  ),
  row('mould-strap-lugs', 'Musty straps, mould on the lugs.', 'slr-body', [['strap-lugs', 'fungus-outside', 2]], {
    isolates: true,
    never: ['blow'],
  }),
  row(
    'mould-and-clean-glass-round',
    'Mould on the barrel, dust on the front.',
    'lens',
    [
      ['barrel', 'fungus-outside', 2],
      ['front-glass', 'dust', 3],
    ],
    { isolates: true, begins: { 'front-glass': ['blow'] }, does: { barrel: ['damp-wipe'] } },
  ),
  row(
    'mould-field',
    'On the trip I find mould on the grip.',
    'mirrorless-body',
    [['grip-rubber', 'fungus-outside', 2]],
    { isolates: true, noSteps: true, waits: ['grip-rubber'], keepsAtHome: true },
    { out: {} },
  ),
  row('mould-teleconverter', 'Mould at the mount of the converter.', 'teleconverter', [['lens-mount', 'fungus-outside', 2]], {
    isolates: true,
    steps: { 'lens-mount': ['damp-swab'] },
    never: ['blow'],
  }),
  row('fungus-phone', 'Threads under the phone’s lens.', 'phone', [['phone-lens', 'fungus', 2]], {
    isolates: true,
    handsOver: ['phone-lens'],
  }),
  row('fungus-port', 'Mould on the inside of the port.', 'port', [['port-inside', 'fungus-outside', 2]], {
    isolates: true,
    never: ['isopropanol', 'blow'],
  }),
  row(
    'fungus-filter-both',
    'Both faces of the filter have threads.',
    'filter',
    [
      ['filter-front', 'fungus-outside', 2],
      ['filter-back', 'fungus-outside', 2],
    ],
    { isolates: true, does: { 'filter-front': ['solvent-wipe'], 'filter-back': ['solvent-wipe'] }, never: ['blow'], cautions: ['mould'] },
  ),
  row(
    'fungus-stiff-ring',
    'The old lens is stiff and has threads inside.',
    ['lens', MANUAL],
    [
      ['inner-glass', 'fungus', 2],
      ['helicoid', 'dried-grease', 3],
    ],
    { isolates: true, offers: ['open-group'] },
  ),
  row('fungus-no-air-after', 'No air over glass that had fungus on it.', 'lens', [['front-glass', 'fungus-outside', 2]], {
    neverSays: ['once more air over the glass'],
    says: ['seal the used wipes'],
  }),
] as const;
