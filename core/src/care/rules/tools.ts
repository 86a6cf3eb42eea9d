import { commonPractice } from '../knowledge/basis.js';
import { mayTouch } from '../mayTouch.js';
import { rule } from './rule.js';

export const toolRules = [
  rule({
    id: 'tool-roles',
    title: 'What has touched a shell never touches glass',
    words: ['same cloth for everything', 'one cloth for body and lens', 'mixed up cloths'],
    basis: commonPractice,
    forbids: ({ tool, surface }) => tool !== null && !mayTouch({ id: tool }, surface).ok,
  }),
];
