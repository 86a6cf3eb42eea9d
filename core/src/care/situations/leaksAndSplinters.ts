import { row } from './row.js';

/** What leaked from cells, and what splintered: never carried about by air (rules 29 and 33). */
export const LEAKS_AND_SPLINTERS = [
  row(
    'leak-crust',
    'White crust in the battery bay, and dust.',
    'mirrorless-body',
    [
      ['battery-bay', 'corrosion', 2],
      ['battery-bay', 'dust', 3],
    ],
    {
      steps: { 'battery-bay': ['damp-swab'] },
      never: ['blow', 'shell-brush'],
      refuses: ['air-spreads-it'],
      cautions: ['battery-leak'],
    },
  ),
  row('leak-contacts', 'Green bloom on the battery contacts.', 'slr-body', [['battery-contacts', 'corrosion', 2]], {
    steps: { 'battery-contacts': ['damp-swab'] },
    never: ['blow', 'contact-eraser', 'dry-wipe'],
    cautions: ['battery-leak'],
  }),
  row(
    'leak-contacts-dusty-bay',
    'Bloom on the contacts; the bay is only dusty.',
    'slr-body',
    [
      ['battery-contacts', 'corrosion', 2],
      ['battery-bay', 'dust', 3],
    ],
    { begins: { 'battery-bay': ['blow'], 'battery-contacts': ['damp-swab'] } },
  ),
  row(
    'leak-grit',
    'A leak and sand in the bay.',
    'compact',
    [
      ['battery-bay', 'corrosion', 2],
      ['battery-bay', 'grit', 2],
    ],
    { begins: { 'battery-bay': ['dab'] }, never: ['blow', 'shell-brush'] },
  ),
  row('leak-remote', 'The cells of the remote leaked.', ['accessory', { battery: true }], [['battery-bay', 'corrosion', 2]], {
    does: { 'battery-bay': ['damp-swab'] },
    cautions: ['battery-leak'],
    never: ['blow'],
  }),
  row('leak-flash', 'The flash was put away with its cells in: bloom.', 'flash', [['battery-contacts', 'corrosion', 2]], {
    does: { 'battery-contacts': ['damp-swab'] },
    cautions: ['battery-leak'],
    never: ['blow'],
    says: ['never open it'],
  }),
  row('leak-flash-deep', 'The leak in the flash has eaten in.', 'flash', [['battery-bay', 'corrosion', 4]], {
    handsOver: ['battery-bay'],
    noSteps: true,
  }),
  row('splinters-on-front', 'The filter broke; splinters lie on the front glass.', 'lens', [['front-glass', 'splinters', 2]], {
    steps: { 'front-glass': ['dab'] },
    never: ['blow', 'soft-brush', 'dry-wipe'],
    cautions: ['splinters'],
    refuses: ['air-spreads-it'],
  }),
  row('splinters-in-thread', 'Splinters in the filter thread.', 'lens', [['filter-thread', 'splinters', 2]], {
    steps: { 'filter-thread': ['dab'] },
    cautions: ['splinters'],
    never: ['blow'],
  }),
  row(
    'splinters-and-print',
    'Splinters on the front, and a print.',
    'lens',
    [
      ['front-glass', 'splinters', 2],
      ['front-glass', 'fingerprint', 3],
    ],
    { begins: { 'front-glass': ['dab'] }, never: ['blow', 'damp-wipe'] },
  ),
  row(
    'splinters-field',
    'The filter shattered on the rocks.',
    'lens',
    [['front-glass', 'splinters', 3]],
    { waits: ['front-glass'], noSteps: true, keepsAtHome: true },
    { out: {} },
  ),
  row('splinters-inside', 'Something rattles inside: glass.', 'lens', [['inner-glass', 'splinters', 2]], {
    noSteps: true,
    handsOver: ['inner-glass'],
  }),
] as const;
