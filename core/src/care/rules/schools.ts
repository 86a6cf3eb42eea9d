import { ourChoice } from '../knowledge/basis.js';
import { familyOf } from '../knowledge/surfaces.js';
import { rule } from './rule.js';

const yourSchool = ourChoice('You chose this school in Settings; the plan says what the others would do.');

/** What the user's own schools rule out. */
export const schoolRules = [
  rule({
    id: 'school-no-breath',
    title: 'Your school: no breath on glass',
    message: 'Your school says never: breath is wet and not clean.',
    basis: yourSchool,
    forbids: ({ method }, { schools }) => method === 'breath' && schools.breath === 'never',
  }),
  rule({
    id: 'school-no-glass-brush',
    title: 'Your school: no bristles on glass',
    message: 'Your school keeps bristles off glass.',
    basis: yourSchool,
    forbids: ({ method, surface }, { schools }) =>
      familyOf(surface) === 'glass' &&
      ((method === 'soft-brush' && schools['glass-brush'] !== 'soft-brush') ||
        (method === 'rim-brush' && schools['glass-brush'] === 'never')),
  }),
  rule({
    id: 'school-mirror-air-only',
    title: 'Your school: only air on a reflex mirror',
    message: 'Your school leaves it at air on the {surface} until the dirt is obvious; it does not show in the picture.',
    basis: yourSchool,
    forbids: ({ method, findings }, { schools }) =>
      method === 'dab' && schools.mirror === 'air-only' && !findings.some((f) => f.severity >= 3),
  }),
  rule({
    id: 'school-sensor-service',
    title: 'Your school: the sensor goes to a workshop',
    message: 'Your school hands the sensor over: a scratched sensor is final.',
    basis: yourSchool,
    forbids: ({ method }, { schools }) => method === 'sensor-swab' && schools.sensor === 'service',
  }),
];
