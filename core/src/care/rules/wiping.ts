import { commonPractice } from '../knowledge/basis.js';
import { materialFacts, MATERIALS, type Material } from '../knowledge/materials.js';
import { methodFacts } from '../knowledge/methods.js';
import { SOILS } from '../knowledge/soils.js';
import { isOptical } from '../knowledge/surfaces.js';
import { lies, rule, type Candidate } from './rule.js';

const wipes = (candidate: Candidate) => methodFacts(candidate.method).wipes;
const contact = (candidate: Candidate) => methodFacts(candidate.method).contact;

const holdsAlcohol = ({ materials }: Candidate) =>
  materials.some((m) => m in MATERIALS && materialFacts(m as Material).contains.includes('alcohol'));
/** Water alone, or with soap in it: what dissolves salt. */
const bringsWater = (candidate: Candidate) =>
  candidate.method === 'fresh-water' || (candidate.materials.includes('water') && !holdsAlcohol(candidate));
/** By then the crystals are gone: on every surface water is the first thing that salt lets through. */
const WATERED = ['fresh-water', 'damp-swab', 'soap-wash', 'damp-wipe'] as const;
const crystalsLie = (candidate: Candidate) => lies(candidate, 'salt') && !WATERED.some((m) => candidate.after.includes(m));

/** What may be rubbed, and when. */
export const wipingRules = [
  rule({
    id: 'grit-in-the-field',
    title: 'No wiping over grit in the field',
    basis: commonPractice,
    forbids: (candidate, { place }) => place === 'field' && wipes(candidate) && lies(candidate, 'grit'),
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
      isOptical(candidate.surface) &&
      lies(candidate, 'splash', 'pollen') &&
      methodFacts(candidate.method).level === 3 &&
      !candidate.after.some((m) => methodFacts(m).level > 3),
  }),
  rule({
    id: 'no-dry-wipe-on-heavy-film',
    title: 'A plain film is not rubbed dry',
    basis: commonPractice,
    forbids: (candidate) =>
      isOptical(candidate.surface) &&
      candidate.method === 'dry-wipe' &&
      candidate.findings.some((f) => f.severity >= 3 && SOILS[f.soil].nature === 'film'),
  }),
  rule({
    id: 'fog-is-left',
    title: 'Fog is left to clear',
    basis: commonPractice,
    forbids: (candidate) => isOptical(candidate.surface) && wipes(candidate) && lies(candidate, 'fog'),
  }),
  rule({
    id: 'growth-meets-what-is-thrown-away',
    title: 'What meets fungus or mould is thrown away',
    basis: commonPractice,
    forbids: (candidate) => lies(candidate, 'fungus-outside') && contact(candidate) && candidate.tool !== null,
  }),
];
