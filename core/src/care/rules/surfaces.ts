import { commonPractice } from '../knowledge/basis.js';
import { MATERIALS, materialFacts, type Material } from '../knowledge/materials.js';
import { methodFacts } from '../knowledge/methods.js';
import { isOnHand } from '../onHand.js';
import { familyOf, isOptical } from '../knowledge/surfaces.js';
import { isPlasticOptic } from './plastic.js';
import { spreadingAt } from '../spreading.js';
import { lies, rule, type Candidate } from './rule.js';

/** By what is in it, not by its name (rule 34). */
const isSolvent = (material: Candidate['materials'][number]): boolean =>
  material === 'window-cleaner' ||
  (material in MATERIALS && materialFacts(material as Material).contains.some((c) => SOLVENTS.includes(c)));
const SOLVENTS: readonly string[] = ['alcohol', 'acetone', 'ammonia'];

/** What single surfaces bear at all: the strictest rules, asked first, so that theirs is the reason one reads. */
export const surfaceRules = [
  rule({
    id: 'air-first',
    title: 'Air comes before any touch on glass',
    basis: commonPractice,
    forbids: ({ surface, method, findings }, context) =>
      isOptical(surface) &&
      methodFacts(method).contact &&
      !spreadingAt(surface, findings) &&
      !lies({ findings }, 'passing') &&
      !isOnHand('bulb-blower', surface, context),
  }),
  rule({
    id: 'nothing-dry-on-a-sensor',
    title: 'Nothing dry, and no brush, on a sensor',
    basis: commonPractice,
    forbids: ({ surface, method }) => familyOf(surface) === 'sensor' && methodFacts(method).contact && method !== 'sensor-swab',
  }),
  rule({
    id: 'mirror-is-never-stroked',
    title: 'A reflex mirror is never stroked',
    basis: commonPractice,
    forbids: ({ surface, method }) =>
      familyOf(surface) === 'mirror' && methodFacts(method).contact && method !== 'dab' && method !== 'soft-brush',
  }),
  rule({
    id: 'only-air-on-a-focusing-screen',
    title: 'Only air on a focusing screen',
    basis: commonPractice,
    forbids: ({ surface, method }) => familyOf(surface) === 'matte' && methodFacts(method).contact,
  }),
  rule({
    id: 'mirror-box-by-air-only',
    title: 'A mirror box is blown out, nothing goes in',
    basis: commonPractice,
    forbids: ({ surface, method }) => familyOf(surface) === 'chamber' && methodFacts(method).contact,
  }),
  rule({
    id: 'soft-coating',
    title: 'Bare and soft old glass bears no solvent, a soft layer and plastic no carbon',
    basis: commonPractice,
    forbids: ({ surface, method, materials }, context) => {
      if (familyOf(surface) !== 'glass') return false;
      const { coating } = context.traits;
      if (method === 'carbon-tip') return coating === 'single' || isPlasticOptic(surface, context);
      return (coating === 'single' || coating === 'none') && !isPlasticOptic(surface, context) && materials.some(isSolvent);
    },
  }),
  rule({
    id: 'shutter-curtain-is-not-touched',
    title: 'A shutter curtain is neither touched nor blown at',
    basis: commonPractice,
    forbids: ({ surface, method }) => familyOf(surface) === 'curtain' && method !== 'leave' && method !== 'service',
  }),
  rule({
    id: 'converted-sensor-by-air',
    title: 'A converted sensor: air, and the converter’s own word',
    basis: commonPractice,
    forbids: ({ surface, method }, { traits }) => familyOf(surface) === 'sensor' && methodFacts(method).contact && !!traits.sensorConverted,
  }),
  rule({
    id: 'telescope-mirrors-are-bathed',
    title: 'Telescope mirrors are not for this ladder',
    words: ['wash telescope mirror', 'dusty telescope mirror', 'clean primary mirror'],
    basis: commonPractice,
    forbids: ({ surface, method }) => familyOf(surface) === 'bath' && method !== 'leave' && method !== 'service',
  }),
  rule({
    id: 'no-canned-air-inside',
    title: 'No canned air inside a camera or on glass',
    words: ['compressed air', 'air duster', 'can of air', 'spray duster', 'compressor'],
    basis: commonPractice,
    forbids: ({ surface, method }) =>
      method === 'canned-air' && (isOptical(surface) || ['mount', 'contacts', 'chamber', 'track', 'curtain'].includes(familyOf(surface))),
  }),
  rule({
    id: 'polish-bare-acrylic-only',
    title: 'Polish is for uncoated acrylic',
    basis: commonPractice,
    forbids: ({ surface, method }, { traits }) =>
      method === 'plastic-polish' && !(traits.opticMaterial === 'acrylic' && traits.coating === 'none' && familyOf(surface) === 'glass'),
  }),
  rule({
    id: 'no-household-wipes',
    title: 'No shirt tails, handkerchiefs or household tissue on optics',
    words: ['shirt', 't-shirt', 'tissue paper', 'toilet paper', 'kitchen roll', 'handkerchief', 'napkin', 'paper towel on glass'],
    basis: commonPractice,
    forbids: (candidate) =>
      (isOptical(candidate.surface) || familyOf(candidate.surface) === 'display') &&
      candidate.materials.some((m) => m === 'household-tissue' || m === 'shirt-tail' || m === 'paper-towel'),
  }),
];
