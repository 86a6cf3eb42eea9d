import { commonPractice } from '../knowledge/basis.js';
import { methodFacts } from '../knowledge/methods.js';
import { SOILS } from '../knowledge/soils.js';
import { isOptical } from '../knowledge/surfaces.js';
import { rule, type Candidate } from './rule.js';

const wipes = (candidate: Candidate) => methodFacts(candidate.method).wipes;
const lies = (candidate: Candidate, ...soils: string[]) => candidate.findings.some((f) => f.severity > 0 && soils.includes(f.soil));

/** What may be rubbed, and when. */
export const wipingRules = [
  rule({
    id: 'grit-in-the-field',
    title: 'No wiping over grit in the field',
    message: 'Grains are seen on the {surface}: wiping would drag them across it. Blow, brush, cap it, and wait for home.',
    basis: commonPractice,
    forbids: (candidate, { place }) => place === 'field' && wipes(candidate) && lies(candidate, 'grit'),
  }),
  rule({
    id: 'dissolve-salt-first',
    title: 'Salt is dissolved, not rubbed',
    message:
      'Dried salt is hard crystals. Water dissolves it; rubbing it dry drags it across the {surface}, and alcohol does not dissolve it.',
    basis: commonPractice,
    forbids: (candidate) => lies(candidate, 'salt') && wipes(candidate) && methodFacts(candidate.method).level === 3,
  }),
  rule({
    id: 'no-dry-wipe-on-gritty-splash',
    title: 'A dried splash is soaked, not rubbed',
    message: 'A dried splash has a gritty heart: soak it, do not rub the {surface} dry.',
    basis: commonPractice,
    forbids: (candidate) =>
      isOptical(candidate.surface) && lies(candidate, 'splash', 'pollen') && methodFacts(candidate.method).level === 3,
  }),
  rule({
    id: 'no-dry-wipe-on-heavy-film',
    title: 'A plain film is not rubbed dry',
    message: 'A film as plain as this only spreads under a dry cloth: go on to the damp wipe on the {surface}.',
    basis: commonPractice,
    forbids: (candidate) =>
      isOptical(candidate.surface) &&
      candidate.method === 'dry-wipe' &&
      candidate.findings.some((f) => f.severity >= 3 && SOILS[f.soil].nature === 'film'),
  }),
  rule({
    id: 'fog-is-left',
    title: 'Fog is left to clear',
    message: 'Fog clears by itself; wiping the {surface} now only moves dirt about.',
    basis: commonPractice,
    forbids: (candidate) => isOptical(candidate.surface) && wipes(candidate) && lies(candidate, 'fog'),
  }),
];
