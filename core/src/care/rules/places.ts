import { commonPractice, ourChoice } from '../knowledge/basis.js';
import { isFluid, isOpenFluid, MATERIALS, type Material } from '../knowledge/materials.js';
import { methodFacts } from '../knowledge/methods.js';
import { familyOf, surfaceFacts } from '../knowledge/surfaces.js';
import type { Context } from '../types.js';
import { lies, rule, type Candidate } from './rule.js';

const worst = (candidate: Candidate) => Math.max(0, ...candidate.findings.map((f) => f.severity));
/** It spoils the picture: obvious or worse. */
const spoilsThePicture = (candidate: Candidate) => worst(candidate) >= 3;
const known = ({ materials }: Candidate): Material[] => materials.filter((m): m is Material => m in MATERIALS);
const isWet = (candidate: Candidate) => known(candidate).some((m) => isFluid(m) || m === 'sealed-wipe');

/** Methods that wait for the bench wherever one is. */
const BENCH_ONLY = [
  'solvent-wipe',
  'sensor-swab',
  'contact-eraser',
  'adhesive-remover',
  'soap-wash',
  'lubricate',
  'pick',
  'feed-leather',
  'damp-swab',
  'chamois',
  'breath',
  'dab',
  'plastic-polish',
  'open-group',
];

/** Salt is the one thing that is wiped outdoors before it spoils a picture: it eats while it waits. */
const takesSaltWithWater = (candidate: Candidate) => candidate.method === 'fresh-water' && lies(candidate, 'soluble');
/** A ring is made clean before the next dive, and a fogged finder is dried, whatever the picture shows. */
const cannotWait = (candidate: Candidate) => familyOf(candidate.surface) === 'seal' || lies(candidate, 'passing');

const FREEZING_C = 0;
/** From here on dew settles on whatever is a little cooler than the air (our choice). */
const DEW_FALLS_PCT = 95;
const freezesOrSmears = ({ conditions }: Context): boolean =>
  (conditions.temperatureC ?? 20) <= FREEZING_C || (conditions.humidityPct ?? 50) >= DEW_FALLS_PCT;

/** In this weather nothing at all is done outdoors, whatever else would be said of it. */
export const weatherRules = [
  rule({
    id: 'put-away-in-sand-and-rain',
    title: 'In blowing sand or heavy rain it is put away',
    basis: commonPractice,
    forbids: ({ method }, { place, conditions }) =>
      place === 'field' && method !== 'leave' && !!(conditions.blowingSand || conditions.rain),
  }),
] as const;

/** What the field allows: air, brush, and only if it spoils the picture a sealed wipe. */
export const placeRules = [
  rule({
    id: 'stay-closed-in-the-wind',
    title: 'Stay closed in the wind',
    basis: commonPractice,
    forbids: ({ surface }, { place, conditions }) => place === 'field' && !!surfaceFacts(surface).nearOpening && !!conditions.wind,
  }),
  rule({
    id: 'bench-work-waits',
    title: 'Bench work waits for home',
    basis: commonPractice,
    forbids: ({ method }, { place }) => place === 'field' && BENCH_ONLY.includes(method),
  }),
  rule({
    id: 'no-open-fluid-in-the-field',
    title: 'No open fluid in the field',
    basis: commonPractice,
    forbids: (candidate, { place, schools }) =>
      place === 'field' && schools['field-fluid'] === 'sealed-wipes' && known(candidate).some(isOpenFluid),
  }),
  rule({
    id: 'no-water-out-here',
    title: 'Fresh water is not at hand outdoors unless you brought it',
    basis: commonPractice,
    forbids: (candidate, { place, conditions }) => place === 'field' && !conditions.freshWater && candidate.materials.includes('water'),
  }),
  rule({
    id: 'no-fluid-in-frost-or-dew',
    title: 'No fluid outdoors in frost or dew',
    basis: ourChoice('Fluids that dry in seconds at a bench stay wet in damp cold air; 0 °C and 95 % are where we draw the line.'),
    forbids: (candidate, context) => context.place === 'field' && isWet(candidate) && freezesOrSmears(context),
  }),
  rule({
    id: 'field-air-and-brush',
    title: 'In the field: air, brush, and a wipe only if it spoils the picture',
    basis: commonPractice,
    forbids: (candidate, { place }) =>
      place === 'field' &&
      methodFacts(candidate.method).wipes &&
      !takesSaltWithWater(candidate) &&
      !cannotWait(candidate) &&
      (!spoilsThePicture(candidate) || !['glass', 'display'].includes(familyOf(candidate.surface))),
  }),
  rule({
    id: 'sensor-stays-closed-outdoors',
    title: 'A camera stays closed outdoors unless the picture is spoilt',
    basis: commonPractice,
    forbids: (candidate, { place }) =>
      place === 'field' &&
      ['sensor', 'mirror', 'matte', 'chamber', 'track', 'curtain', 'foam'].includes(familyOf(candidate.surface)) &&
      !spoilsThePicture(candidate),
  }),
];
