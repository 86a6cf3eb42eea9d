import { ourChoice } from '../knowledge/basis.js';
import { natureOf } from '../soils/index.js';
import { familyOf } from '../knowledge/surfaces.js';
import { rule } from './rule.js';

const yourSchool = ourChoice('You chose this school in Settings; the plan says what the others would do.');

/** A film this plain dims the finder (common practice). */
const FILM_WORTH_A_DAB = 2;

/** What the user's own schools rule out. */
export const schoolRules = [
  rule({
    id: 'school-no-breath',
    title: 'Your school: no breath on glass',
    basis: yourSchool,
    forbids: ({ method }, { schools }) => method === 'breath' && schools.breath === 'never',
  }),
  rule({
    id: 'school-no-glass-brush',
    title: 'Your school: no bristles on glass',
    basis: yourSchool,
    forbids: ({ method, surface }, { schools }) =>
      ['glass', 'mirror'].includes(familyOf(surface)) &&
      ((method === 'soft-brush' && schools['glass-brush'] !== 'soft-brush') ||
        (method === 'rim-brush' && schools['glass-brush'] === 'never')),
  }),
  rule({
    id: 'school-mirror-air-and-brush',
    title: 'Your school: air and brush for loose dirt on a reflex mirror',
    basis: yourSchool,
    forbids: ({ surface, method, findings }, { schools }) =>
      familyOf(surface) === 'mirror' &&
      method === 'dab' &&
      schools.mirror === 'air-and-brush' &&
      !findings.some((f) => f.severity >= FILM_WORTH_A_DAB && natureOf(f.soil) !== 'loose'),
  }),
  rule({
    id: 'school-sensor-service',
    title: 'Your school: the sensor goes to a workshop',
    basis: yourSchool,
    forbids: ({ method }, { schools }) => method === 'sensor-swab' && schools.sensor === 'service',
  }),
];
