import type { Traits } from '../knowledge/traits.js';
import { row } from './row.js';

const MANUAL: Traits = { yearMade: 1962, value: 220, servicePrice: 90 };
const COLLAPSIBLE: Traits = { yearMade: 1938, collapsible: true };

/** What lies inside, stiff threads, oily blades: mechanical lenses above all. */
export const OLD_LENSES = [
  row('haze-manual', 'An even veil when I shine a torch through my lens of 1962.', ['lens', MANUAL], [['inner-glass', 'haze', 3]], {
    offers: ['open-group'],
    noSteps: true,
    isolates: false,
    says: ['behind one ring', 'weigh'],
  }),
  row('haze-trace', 'A hint of haze in the old lens.', ['lens', MANUAL], [['inner-glass', 'haze', 1]], {
    leaves: ['inner-glass'],
    offers: [],
    noSteps: true,
  }),
  row('haze-electronic', 'Haze in a modern autofocus lens.', 'lens', [['inner-glass', 'haze', 3]], {
    handsOver: ['inner-glass'],
    refuses: ['no-opening-of-electronics'],
    offers: [],
  }),
  row('fungus-inside-manual', 'Threads behind the front group of the old lens.', ['lens', MANUAL], [['inner-glass', 'fungus', 2]], {
    isolates: true,
    offers: ['open-group'],
    says: ['move it away from the rest'],
  }),
  row('fungus-inside-electronic', 'Threads inside my autofocus lens.', 'lens', [['inner-glass', 'fungus', 2]], {
    isolates: true,
    handsOver: ['inner-glass'],
    refuses: ['no-opening-of-electronics'],
  }),
  row(
    'fungus-radioactive',
    'Fungus in a fast lens that may be radioactive.',
    ['lens', { ...MANUAL, radioactiveGlass: true }],
    [['inner-glass', 'fungus', 3]],
    {
      isolates: true,
      refuses: ['no-opening-of-radioactive-glass'],
      handsOver: ['inner-glass'],
      offers: [],
    },
  ),
  row(
    'print-on-radioactive',
    'A print on a lens that may be radioactive.',
    ['lens', { ...MANUAL, radioactiveGlass: true }],
    [['front-glass', 'fingerprint', 3]],
    {
      does: { 'front-glass': ['damp-wipe'] },
      cautions: ['radioactive-glass'],
    },
  ),
  row(
    'haze-stuck-filter',
    'Haze inside, and a filter is stuck on the front.',
    ['lens', { ...MANUAL, filterFitted: true, filterStuck: true }],
    [['inner-glass', 'haze', 3]],
    { offers: ['open-group'] },
  ),
  row('inside-dust', 'Dust inside the zoom.', 'lens', [['inner-glass', 'internal-dust', 2]], {
    noSteps: true,
    leaves: ['inner-glass'],
    says: ['normal and harmless'],
  }),
  row(
    'inside-dust-heavy',
    'The old lens is full of dust inside, it costs contrast.',
    ['lens', MANUAL],
    [['inner-glass', 'internal-dust', 4]],
    { offers: ['open-group'] },
  ),
  row(
    'collapsible-stiff',
    'The collapsible of 1938 focuses stiffly.',
    ['lens', COLLAPSIBLE],
    [['helicoid', 'dried-grease', 3]],
    {
      steps: { helicoid: ['lubricate'] },
      uses: ['instrument-oil', 'oil-tip'],
      cautions: ['oil-migrates', 'sharp-tip'],
      says: ['draw the lens out'],
      keepsAtHome: true,
    },
    { bench: { taps: ['hard', 'light'], ends: { helicoid: 'clean-enough' } } },
  ),
  row(
    'collapsible-still-stiff',
    'Two drops and it turns no easier.',
    ['lens', COLLAPSIBLE],
    [['helicoid', 'dried-grease', 3]],
    {},
    {
      bench: { taps: ['hard', 'hard'], ends: { helicoid: 'did-not-come-off' } },
    },
  ),
  row(
    'covered-thread-stiff',
    'The focus of a manual lens of 1975 is stiff; its thread is covered.',
    ['lens', { yearMade: 1975 }],
    [['helicoid', 'dried-grease', 3]],
    { offers: ['lubricate'], noSteps: true },
  ),
  row('autofocus-stiff', 'The focus ring of the autofocus lens is stiff.', 'lens', [['helicoid', 'dried-grease', 3]], {
    handsOver: ['helicoid'],
    noSteps: true,
  }),
  row('open-thread-touch-stiff', 'The focus sticks in one spot only.', ['lens', COLLAPSIBLE], [['helicoid', 'dried-grease', 1]], {
    noSteps: true,
    leaves: ['helicoid'],
  }),
  row('oily-blades-manual', 'Wet shine on the blades of the old lens.', ['lens', MANUAL], [['aperture-blades', 'oil', 3]], {
    offers: ['open-group'],
    noSteps: true,
  }),
  row('oily-blades-modern', 'Oil on the blades of a modern lens.', 'lens', [['aperture-blades', 'oil', 3]], {
    handsOver: ['aperture-blades'],
    refuses: ['no-opening-of-electronics'],
  }),
  row('separation-inside', 'The cement lets go inside the old lens.', ['lens', MANUAL], [['inner-glass', 'separation', 3]], {
    noSteps: true,
    handsOver: ['inner-glass'],
    offers: [],
  }),
  row('collapsible-haze', 'Haze in the collapsible lens.', ['lens', COLLAPSIBLE], [['inner-glass', 'haze', 2]], { offers: ['open-group'] }),
  row('eyepiece-haze', 'A veil inside the eyepiece.', 'eyepiece', [['inner-glass', 'haze', 3]], { offers: ['open-group'] }),
  row('teleconverter-fungus', 'Threads in an old converter.', ['teleconverter', { yearMade: 1972 }], [['inner-glass', 'fungus', 2]], {
    isolates: true,
    offers: ['open-group'],
  }),
  row(
    'old-lens-outside',
    'The lens of 1938 is bare glass; a print on it.',
    ['lens', { yearMade: 1938 }],
    [['front-glass', 'fingerprint', 3]],
    {
      does: { 'front-glass': ['damp-wipe'] },
      uses: ['alcohol-free-fluid'],
      never: ['lens-fluid', 'isopropanol'],
      refuses: ['soft-coating'],
    },
  ),
] as const;
