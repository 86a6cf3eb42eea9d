import { commonPractice } from '../knowledge/basis.js';
import { materialFacts, MATERIALS, type Material } from '../knowledge/materials.js';
import { methodFacts } from '../knowledge/methods.js';
import { familyOf, surfaceFacts } from '../knowledge/surfaces.js';
import type { Candidate } from './rule.js';
import { rule } from './rule.js';

const worst = (candidate: Candidate) => Math.max(0, ...candidate.findings.map((f) => f.severity));
/** It spoils the picture: obvious or worse. */
const spoilsThePicture = (candidate: Candidate) => worst(candidate) >= 3;

/** Methods that wait for the bench wherever one is. */
const BENCH_ONLY = [
  'solvent-wipe',
  'sensor-swab',
  'contact-eraser',
  'adhesive-remover',
  'soap-wash',
  'lubricate',
  'damp-swab',
  'chamois',
  'breath',
  'dab',
  'plastic-polish',
];

/** What the field allows: air, brush, and only if it spoils the picture a sealed wipe. */
export const placeRules = [
  rule({
    id: 'closed-in-sand-and-rain',
    title: 'Stay closed in sand and rain',
    message: 'Sand or rain is in the air: the {surface} lies behind the mount, so it stays closed until you are indoors.',
    basis: commonPractice,
    forbids: ({ surface }, { place, conditions }) =>
      place === 'field' && !!surfaceFacts(surface).nearOpening && !!(conditions.blowingSand || conditions.rain || conditions.wind),
  }),
  rule({
    id: 'bench-work-waits',
    title: 'Bench work waits for home',
    message: 'This is bench work: the {surface} is done at home, on a still and clean table.',
    basis: commonPractice,
    forbids: ({ method }, { place }) => place === 'field' && BENCH_ONLY.includes(method),
  }),
  rule({
    id: 'no-open-fluid-in-the-field',
    title: 'No open fluid in the field',
    message: 'No open fluid in the field: a sealed wipe does it, or it waits for home.',
    basis: commonPractice,
    forbids: ({ materials }, { place, schools }) =>
      place === 'field' &&
      schools['field-fluid'] === 'sealed-wipes' &&
      materials.some((m) => m in MATERIALS && !!materialFacts(m as Material).openFluid),
  }),
  rule({
    id: 'field-air-and-brush',
    title: 'In the field: air, brush, and a wipe only if it spoils the picture',
    message: 'In the field only air and brush on the {surface}, and a wipe only where the picture is spoilt. This can wait for home.',
    basis: commonPractice,
    forbids: (candidate, { place }) =>
      place === 'field' &&
      methodFacts(candidate.method).wipes &&
      (!spoilsThePicture(candidate) || !['glass', 'display'].includes(familyOf(candidate.surface))),
  }),
  rule({
    id: 'sensor-stays-closed-outdoors',
    title: 'A camera stays closed outdoors unless the picture is spoilt',
    message: 'Opening the camera outdoors lets in more than a blower takes out. Retouch, and look at the {surface} at home.',
    basis: commonPractice,
    forbids: (candidate, { place }) =>
      place === 'field' && ['sensor', 'mirror', 'matte'].includes(familyOf(candidate.surface)) && !spoilsThePicture(candidate),
  }),
];
