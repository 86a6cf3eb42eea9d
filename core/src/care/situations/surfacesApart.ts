import type { Traits } from '../knowledge/traits.js';
import { row } from './row.js';

const COLLAPSIBLE: Traits = { yearMade: 1938, collapsible: true };

/** Telescope mirrors, rings that keep water out, threads and corrosion: each by its own measure (rules 30 to 33). */
export const SURFACES_APART = [
  row('primary-print', 'I touched the mirror of the telescope.', 'reflector', [['primary-mirror', 'fingerprint', 1]], {
    noSteps: true,
    handsOver: ['primary-mirror'],
    says: ['skin acid', 'washing procedure'],
  }),
  row('primary-oil', 'Skin oil on the primary.', 'reflector', [['primary-mirror', 'skin-oil', 2]], {
    handsOver: ['primary-mirror'],
    noSteps: true,
    says: ['soon'],
  }),
  row('primary-hole', 'The coating has gone at the edge.', 'reflector', [['primary-mirror', 'coating-damage', 2]], {
    handsOver: ['primary-mirror'],
    says: ['coated anew'],
    neverSays: ['bath of water with cotton'],
  }),
  row('primary-corroded', 'Corrosion spots on the mirror.', 'reflector', [['primary-mirror', 'corrosion', 2]], {
    handsOver: ['primary-mirror'],
    says: ['new coating'],
    noSteps: true,
  }),
  row('primary-drops', 'Dried dew drops on the mirror.', 'reflector', [['primary-mirror', 'water-spot', 2]], {
    noSteps: true,
    leaves: ['primary-mirror'],
  }),
  row('primary-grease', 'Somebody wiped the secondary: it smears.', 'reflector', [['secondary-mirror', 'smear', 2]], {
    noSteps: true,
    leaves: ['secondary-mirror'],
  }),
  row('primary-pollen', 'Pollen on the primary after spring.', 'reflector', [['primary-mirror', 'pollen', 2]], {
    noSteps: true,
    leaves: ['primary-mirror'],
    says: ['each wash costs silver'],
  }),
  row('primary-salt', 'Salt air left a crust on the mirror.', 'reflector', [['primary-mirror', 'salt', 2]], {
    noSteps: true,
    handsOver: ['primary-mirror'],
  }),
  row(
    'primary-dust-print',
    'Dust for years, and now a print.',
    'reflector',
    [
      ['primary-mirror', 'dust', 3],
      ['primary-mirror', 'fingerprint', 2],
    ],
    { handsOver: ['primary-mirror'], leaves: ['primary-mirror'], noSteps: true },
  ),

  row('ring-hair', 'A hair on the o-ring.', 'port', [['o-ring', 'lint', 1]], {
    begins: { 'o-ring': ['blow', 'fingertip'] },
    never: ['shell-brush', 'body-cloth', 'glass-cloth', 'cotton-swab'],
    says: ['one hair under the ring'],
  }),
  row('ring-grit', 'Sand on the o-ring.', 'port', [['o-ring', 'grit', 2]], {
    begins: { 'o-ring': ['blow', 'fingertip'] },
    never: ['stiff-brush', 'body-cloth'],
  }),
  row('ring-salt', 'Salt crystals on the ring.', 'port', [['o-ring', 'salt', 2]], {
    does: { 'o-ring': ['fresh-water'] },
    never: ['isopropanol', 'body-cloth'],
    uses: ['single-use-pad'],
  }),
  row('ring-cut', 'A small nick in the o-ring.', 'port', [['o-ring', 'worn-seal', 1]], {
    noSteps: true,
    renews: ['o-ring'],
    comesTo: 'renew',
    says: ['before the next dive'],
    neverSays: ['may stay', 'good enough for the picture'],
  }),
  row(
    'ring-cut-field',
    'On the boat I find the ring is cut.',
    'port',
    [['o-ring', 'worn-seal', 2]],
    { noSteps: true, renews: ['o-ring'], neverSays: ['waits for home'] },
    { out: { freshWater: true } },
  ),
  row('ring-dry', 'The ring drags and looks dull.', 'port', [['o-ring', 'dry-seal', 2]], {
    does: { 'o-ring': ['grease-seal'] },
    uses: ['seal-grease'],
    says: ['maker’s'],
  }),
  row(
    'ring-dry-and-gritty',
    'The ring is dry and sandy.',
    'port',
    [
      ['o-ring', 'dry-seal', 2],
      ['o-ring', 'grit', 2],
    ],
    { never: ['seal-grease'], refuses: ['no-oil-over-grit'], does: { 'o-ring': ['fingertip'] } },
  ),
  row(
    'ring-dry-no-grease',
    'Dry ring, and none of its grease.',
    'port',
    [['o-ring', 'dry-seal', 2]],
    { noSteps: true, missing: ['seal-grease'], neverSays: ['good enough for the picture'] },
    { drawer: ['bulb-blower', 'single-use-pad'] },
  ),
  row('ring-mould', 'Mould on the ring.', 'port', [['o-ring', 'fungus-outside', 2]], { isolates: true, noSteps: true }),
  row('ring-trace-dust', 'A trace of dust on the ring before the dive.', 'port', [['o-ring', 'dust', 1]], {
    does: { 'o-ring': ['fingertip'] },
  }),
  row(
    'ring-cut-and-hair',
    'A hair on the ring, and a cut beside it.',
    'port',
    [
      ['o-ring', 'lint', 2],
      ['o-ring', 'worn-seal', 2],
    ],
    { renews: ['o-ring'] },
  ),
  row(
    'ring-field-hair',
    'Between two dives: a hair on the ring.',
    'port',
    [['o-ring', 'lint', 1]],
    { begins: { 'o-ring': ['blow', 'fingertip'] } },
    { out: { freshWater: true } },
  ),
  row('gasket-torn', 'The gasket at the mount is torn.', ['lens', { weatherSealed: true }], [['mount-gasket', 'worn-seal', 2]], {
    noSteps: true,
    handsOver: ['mount-gasket'],
    says: ['keep it dry'],
  }),
  row('gasket-lint', 'Lint on the mount gasket.', ['lens', { weatherSealed: true }], [['mount-gasket', 'lint', 2]], {
    does: { 'mount-gasket': ['fingertip'] },
    never: ['cotton-swab', 'body-cloth'],
  }),

  row('thread-grit-open', 'Sand in the open focus thread.', ['lens', COLLAPSIBLE], [['helicoid', 'grit', 2]], {
    begins: { helicoid: ['blow', 'stiff-brush', 'blow'] },
    never: ['instrument-oil'],
    says: ['stop turning it'],
  }),
  row(
    'thread-grit-and-stiff',
    'The thread is stiff, and sand is in it.',
    ['lens', COLLAPSIBLE],
    [
      ['helicoid', 'grit', 2],
      ['helicoid', 'dried-grease', 3],
    ],
    { never: ['instrument-oil', 'lubricate'], refuses: ['no-oil-over-grit'], does: { helicoid: ['blow'] } },
  ),
  row('thread-too-much-oil', 'I used too much oil on the thread.', ['lens', COLLAPSIBLE], [['helicoid', 'oil', 2]], {
    steps: { helicoid: ['dry-swab'] },
    never: ['instrument-oil'],
    neverSays: ['blades slows'],
    keepsAtHome: true,
  }),
  row('thread-loose', 'The focus ring has play.', ['lens', COLLAPSIBLE], [['helicoid', 'play', 3]], {
    noSteps: true,
    handsOver: ['helicoid'],
    never: ['lubricate'],
  }),
  row('thread-loose-trace', 'A hint of play in the focus.', ['lens', COLLAPSIBLE], [['helicoid', 'play', 1]], {
    noSteps: true,
    leaves: ['helicoid'],
    neverSays: ['good enough for the picture'],
  }),
  row('thread-grit-covered', 'It grinds in the covered thread of a modern lens.', 'lens', [['helicoid', 'grit', 3]], {
    noSteps: true,
    handsOver: ['helicoid'],
    says: ['not reached from outside'],
  }),
  row('thread-salt', 'Salt in the filter thread.', 'lens', [['filter-thread', 'salt', 2]], {
    steps: { 'filter-thread': ['damp-swab'] },
    uses: ['water'],
    never: ['isopropanol'],
  }),
  row('filter-thread-sand', 'Sand in the filter thread.', 'filter', [['filter-thread', 'grit', 2]], {
    begins: { 'filter-thread': ['blow', 'stiff-brush', 'blow'] },
    says: ['stop turning it'],
  }),
  row('mount-loose', 'The lens wobbles in its mount.', 'lens', [['lens-mount', 'play', 2]], { handsOver: ['lens-mount'], noSteps: true }),
  row('blades-rust', 'Rust on the aperture blades.', ['lens', { yearMade: 1962 }], [['aperture-blades', 'corrosion', 2]], {
    handsOver: ['aperture-blades'],
    noSteps: true,
    neverSays: ['leaked', 'caustic'],
  }),
  row('hot-shoe-weather', 'Bloom on the hot shoe.', 'mirrorless-body', [['hot-shoe', 'corrosion', 2]], {
    steps: { 'hot-shoe': ['blow', 'damp-swab', 'contact-eraser'] },
    says: ['weather'],
    neverSays: ['leaked', 'caustic'],
  }),
  row('flange-weather', 'Bloom on the flange.', 'lens', [['lens-mount', 'corrosion', 2]], {
    does: { 'lens-mount': ['damp-swab', 'contact-eraser'] },
    neverSays: ['caustic'],
  }),
  row('lens-contacts-weather', 'Green on the contacts of the lens.', 'lens', [['contacts', 'corrosion', 2]], {
    does: { contacts: ['damp-swab', 'contact-eraser'] },
    neverSays: ['caustic', 'leaked'],
  }),
  row('contacts-eaten', 'The contacts are eaten through.', 'lens', [['contacts', 'corrosion', 4]], {
    handsOver: ['contacts'],
    noSteps: true,
    neverSays: ['caustic'],
  }),
  row('card-bay-bloom', 'Bloom in the card slot.', 'mirrorless-body', [['card-bay', 'corrosion', 2]], {
    does: { 'card-bay': ['damp-swab'] },
    neverSays: ['caustic'],
  }),
] as const;
