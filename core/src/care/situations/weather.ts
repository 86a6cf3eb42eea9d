import { ourChoice } from '../knowledge/basis.js';
import { row } from './row.js';

const LENS_WITH_FILTER = ['lens', { filterFitted: true }] as ['lens', { filterFitted: true }];

/** Sand, rain, wind, frost, dew and salt water: the weather decides before the dirt does. */
export const WEATHER = [
  row(
    'field-blowing-sand',
    'Sand is flying, the front is full of it.',
    'lens',
    [['front-glass', 'grit', 4]],
    {
      noSteps: true,
      waits: ['front-glass'],
      refuses: ['put-away-in-sand-and-rain'],
      says: ['cap it and put it away'],
    },
    { out: { blowingSand: true } },
  ),
  row(
    'field-heavy-rain',
    'Pouring rain, drops on the front and a print.',
    'lens',
    [['front-glass', 'fingerprint', 4]],
    { noSteps: true, waits: ['front-glass'], says: ['put it away'] },
    { out: { rain: true } },
  ),
  row(
    'field-print-grit-salt-rain',
    'Print, grit and salt on the filter, and it rains.',
    LENS_WITH_FILTER,
    [
      ['filter-front', 'fingerprint', 3],
      ['filter-front', 'grit', 2],
      ['filter-front', 'salt', 2],
    ],
    { noSteps: true, waits: ['filter-front'], keepsAtHome: true, refuses: ['put-away-in-sand-and-rain'] },
    { out: { rain: true } },
  ),
  row(
    'home-print-grit-salt',
    'Print, grit and salt on the filter, now at home.',
    LENS_WITH_FILTER,
    [
      ['filter-front', 'fingerprint', 3],
      ['filter-front', 'grit', 2],
      ['filter-front', 'salt', 2],
    ],
    { begins: { 'filter-front': ['blow', 'fresh-water', 'damp-wipe'] }, never: ['soft-brush', 'dry-wipe'] },
    {
      bench: { taps: ['no-change'], ends: { 'filter-front': 'stopped-by-grit' }, touches: 0 },
    },
  ),
  row(
    'field-salt-no-water',
    'Spray dried on the filter, no fresh water along.',
    LENS_WITH_FILTER,
    [['filter-front', 'salt', 3]],
    {
      noSteps: true,
      waits: ['filter-front'],
      refuses: ['no-water-out-here', 'no-alcohol-over-salt'],
      never: ['sealed-wipe'],
      keepsAtHome: true,
    },
    { out: {} },
  ),
  row(
    'field-salt-with-water',
    'Spray dried on the filter, and I brought fresh water.',
    LENS_WITH_FILTER,
    [['filter-front', 'salt', 2]],
    { begins: { 'filter-front': ['blow', 'fresh-water'] } },
    { out: { freshWater: true } },
  ),
  row(
    'field-salt-shell-with-water',
    'Salt on the shell, fresh water in the boat.',
    'mirrorless-body',
    [['body-shell', 'salt', 3]],
    { begins: { 'body-shell': ['blow', 'fresh-water'] } },
    { out: { freshWater: true } },
  ),
  row(
    'field-salt-contacts',
    'Salt on the contacts, out on the boat with fresh water.',
    'mirrorless-body',
    [['contacts', 'salt', 2]],
    { noSteps: true, waits: ['contacts'], keepsAtHome: true },
    { out: { freshWater: true } },
  ),
  row(
    'field-rear-wind',
    'Dust on the rear glass, and it is windy.',
    'lens',
    [['rear-glass', 'dust', 4]],
    { noSteps: true, waits: ['rear-glass'], refuses: ['stay-closed-in-the-wind'] },
    { out: { wind: true } },
  ),
  row(
    'field-frost',
    'Minus five, a print on the front.',
    'lens',
    [['front-glass', 'fingerprint', 4]],
    {
      never: ['wet-wipe', 'sealed-wipe'],
      refuses: ['no-fluid-in-frost-or-dew'],
    },
    { out: { temperatureC: -5 } },
  ),
  row(
    'field-dew',
    'Dew is falling at the telescope, the objective has a print.',
    'refractor',
    [['objective', 'fingerprint', 4]],
    {
      never: ['wet-wipe'],
      refuses: ['no-fluid-in-frost-or-dew'],
      waits: ['objective'],
    },
    { out: { temperatureC: 8, humidityPct: 98 } },
  ),
  row(
    'field-shell-sand',
    'Sand on the shell, wind has dropped.',
    'slr-body',
    [['body-shell', 'grit', 3]],
    {
      steps: { 'body-shell': ['blow', 'stiff-brush', 'blow'] },
      uses: ['shell-brush'],
      says: ['caps in a closed pocket'],
    },
    { out: {} },
  ),
  row(
    'field-eyepiece-dew',
    'The eyepiece is smeared, by night, dry air.',
    'eyepiece',
    [['eye-lens', 'skin-oil', 3]],
    { does: { 'eye-lens': ['wet-wipe', 'carbon-tip'] } },
    { out: { temperatureC: 12, humidityPct: 60 } },
  ),
  row(
    'field-bottle-school-cold',
    'Small bottle, but it freezes.',
    'lens',
    [['front-glass', 'fingerprint', 3]],
    { never: ['lens-fluid'], refuses: ['no-fluid-in-frost-or-dew'] },
    {
      out: { temperatureC: -1 },
      schools: { 'field-fluid': 'small-bottle' },
      basis: ourChoice('Zero degrees is where we draw the line.'),
    },
  ),
] as const;
