import { commonPractice, ourChoice } from '../knowledge/basis.js';
import { isFluid, MATERIALS, materialFacts, type Material } from '../knowledge/materials.js';
import { familyOf, isOptical, surfaceFacts } from '../knowledge/surfaces.js';
import { isPlasticOptic } from './plastic.js';
import { rule, type Candidate } from './rule.js';

const knownMaterials = (candidate: Candidate): Material[] => candidate.materials.filter((m): m is Material => m in MATERIALS);
const contains = (candidate: Candidate, ...what: string[]) =>
  knownMaterials(candidate).some((m) => materialFacts(m).contains.some((c) => what.includes(c)));
const fluids = (candidate: Candidate) => knownMaterials(candidate).filter(isFluid);

/** Which fluid may meet which surface. */
export const fluidRules = [
  rule({
    id: 'no-solvent-on-plastic',
    title: 'No alcohol, acetone, ammonia or window cleaner on plastic optics',
    words: [
      'window cleaner',
      'glass cleaner',
      'ammonia',
      'acetone',
      'nail varnish remover',
      'alcohol on acrylic',
      'plexiglass',
      'polycarbonate',
      'acrylic dome',
    ],
    basis: commonPractice,
    forbids: (candidate, context) =>
      isPlasticOptic(candidate.surface, context) &&
      (contains(candidate, 'alcohol', 'acetone', 'ammonia', 'peroxide') || candidate.materials.includes('window-cleaner')),
  }),
  rule({
    id: 'makers-cleaner-only',
    title: 'A coating whose maker names a cleaner',
    basis: commonPractice,
    forbids: (candidate, { traits }) =>
      !!traits.makerForbidsFluids &&
      familyOf(candidate.surface) === 'glass' &&
      (fluids(candidate).some((m) => m !== 'maker-fluid' && m !== 'water') || candidate.materials.includes('sealed-wipe')),
  }),
  rule({
    id: 'barely-damp-near-the-mount',
    title: 'Nothing wet near the mount opening',
    basis: commonPractice,
    forbids: ({ surface, method }) =>
      !!surfaceFacts(surface).nearOpening && !isOptical(surface) && ['fresh-water', 'soap-wash', 'damp-wipe', 'wet-wipe'].includes(method),
  }),
  rule({
    id: 'no-fluid-near-a-joint',
    title: 'No fluid near a motor’s joint',
    basis: commonPractice,
    forbids: (candidate) => candidate.surface === 'gimbal' && fluids(candidate).length > 0,
  }),
  rule({
    id: 'wash-only-what-comes-off',
    title: 'Only what comes off is washed',
    basis: commonPractice,
    forbids: ({ surface, method }) => method === 'soap-wash' && !surfaceFacts(surface).comesOff,
  }),
  rule({
    id: 'no-solvent-on-rubber',
    title: 'No solvent on rubber',
    basis: ourChoice('Practice allows a hidden test patch; we prefer to refuse where nothing but rubber is at stake.'),
    forbids: (candidate) => surfaceFacts(candidate.surface).stuff === 'rubber' && candidate.method === 'solvent-wipe',
  }),
];
