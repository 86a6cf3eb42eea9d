import { commonPractice } from '../knowledge/basis.js';
import { materialFacts, MATERIALS, type Material } from '../knowledge/materials.js';
import { methodFacts, type Method } from '../knowledge/methods.js';
import { holds, natureOf } from '../soils/index.js';
import { familyOf, isOptical, surfaceFacts } from '../knowledge/surfaces.js';
import { spreadingAt } from '../spreading.js';
import { grainsLie, lies, liesWith, rule, type Candidate } from './rule.js';

const wipes = (candidate: Candidate) => methodFacts(candidate.method).wipes;
const contact = (candidate: Candidate) => methodFacts(candidate.method).contact;

const holdsAlcohol = ({ materials }: Candidate) =>
  materials.some((m) => m in MATERIALS && materialFacts(m as Material).contains.includes('alcohol'));
/** Water alone, or with soap in it: what dissolves salt. */
const bringsWater = (candidate: Candidate) =>
  candidate.method === 'fresh-water' || (candidate.materials.includes('water') && !holdsAlcohol(candidate));
/** By then the crystals are gone: on every surface water is the first thing that salt lets through. */
const WATERED = ['fresh-water', 'damp-swab', 'soap-wash', 'damp-wipe', 'damp-pad'] as const;
const crystalsLie = (candidate: Candidate) => lies(candidate, 'soluble') && !WATERED.some((m) => candidate.after.includes(m));

const BRUSHES: readonly Method[] = ['soft-brush', 'stiff-brush', 'rim-brush'];
/** What stirs up whatever lies there. */
const STIRS: readonly Method[] = [
  'blow',
  'canned-air',
  ...BRUSHES,
  'dry-wipe',
  'dry-swab',
  'carbon-tip',
  'chamois',
  'breath',
  'contact-eraser',
];

/** Dried mud that no water has softened yet, under anything that wipes (rule 35). */
const hardenedMud = (candidate: Candidate): boolean =>
  (isOptical(candidate.surface) || familyOf(candidate.surface) === 'display') &&
  wipes(candidate) &&
  candidate.findings.some((f) => f.severity > 0 && natureOf(f.soil) === 'spot' && holds(f.soil, 'grains')) &&
  !SOFTENS.includes(candidate.method) &&
  !candidate.after.some((m) => SOFTENS.includes(m));
const SOFTENS: readonly Method[] = ['fresh-water', 'damp-swab'];

/** What may be rubbed, and when. */
export const wipingRules = [
  rule({
    id: 'fog-is-left',
    title: 'Fog is left to clear',
    basis: commonPractice,
    forbids: (candidate) =>
      isOptical(candidate.surface) && contact(candidate) && candidate.method !== 'dry-swab' && lies(candidate, 'passing'),
  }),
  rule({
    id: 'air-spreads-it',
    title: 'Mould, splinters and what leaked meet no air, no bristle and no dry cloth',
    basis: commonPractice,
    forbids: ({ surface, method, findings }) => STIRS.includes(method) && spreadingAt(surface, findings),
  }),
  rule({
    id: 'no-bristles-over-grease',
    title: 'Grease and glue are not brushed',
    basis: commonPractice,
    forbids: (candidate) => BRUSHES.includes(candidate.method) && liesWith(candidate, 'grease'),
  }),
  rule({
    id: 'soft-finish-is-not-rubbed',
    title: 'A gluey or flaking finish is not rubbed dry',
    basis: commonPractice,
    forbids: (candidate) => (BRUSHES.includes(candidate.method) || candidate.method === 'dry-wipe') && lies(candidate, 'tacky'),
  }),
  rule({
    id: 'no-oil-over-grit',
    title: 'No oil and no grease over grains',
    basis: commonPractice,
    forbids: (candidate) => ['lubricate', 'grease-seal'].includes(candidate.method) && liesWith(candidate, 'grains'),
  }),
  rule({
    id: 'leather-is-never-soaked',
    title: 'Leather is never soaked',
    basis: commonPractice,
    forbids: ({ surface, method }) => surfaceFacts(surface).stuff === 'leather' && ['soap-wash', 'fresh-water'].includes(method),
  }),
  rule({
    id: 'grit-in-the-field',
    title: 'No wiping over grit in the field',
    basis: commonPractice,
    forbids: (candidate, { place }) => place === 'field' && wipes(candidate) && grainsLie(candidate),
  }),
  rule({
    id: 'no-alcohol-over-salt',
    title: 'No alcohol and no sealed wipe over salt',
    basis: commonPractice,
    forbids: (candidate) => crystalsLie(candidate) && holdsAlcohol(candidate),
  }),
  rule({
    id: 'dissolve-salt-first',
    title: 'Salt is dissolved before anything else',
    basis: commonPractice,
    forbids: (candidate) => crystalsLie(candidate) && contact(candidate) && !bringsWater(candidate),
  }),
  rule({
    id: 'no-dry-wipe-on-gritty-splash',
    title: 'A dried splash is soaked, not rubbed',
    basis: commonPractice,
    forbids: (candidate) =>
      hardenedMud(candidate) ||
      (isOptical(candidate.surface) &&
        liesWith(candidate, 'smears') &&
        methodFacts(candidate.method).level === 3 &&
        !candidate.after.some((m) => methodFacts(m).level > 3)),
  }),
  rule({
    id: 'no-dry-wipe-on-heavy-film',
    title: 'A plain film is not rubbed dry',
    basis: commonPractice,
    forbids: (candidate) =>
      isOptical(candidate.surface) &&
      candidate.method === 'dry-wipe' &&
      candidate.findings.some((f) => f.severity >= 3 && natureOf(f.soil) === 'film'),
  }),
  rule({
    id: 'growth-meets-what-is-thrown-away',
    title: 'What meets mould, splinters or a leak is thrown away',
    basis: commonPractice,
    forbids: (candidate) => spreadingAt(candidate.surface, candidate.findings) && contact(candidate) && candidate.tool !== null,
  }),
];
