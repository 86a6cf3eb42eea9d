import { element, rect, type Section } from '../section.js';
import { openCase, size } from './frame.js';

export const phoneSection = (): Section => ({
  ...size,
  body: [rect(262, 22, 44, 286)],
  outline: [element(250, 22, 14, 4, 0, 82)],
  regions: [
    { surface: 'phone-lens', d: rect(236, 56, 16, 52), at: [244, 82] },
    { surface: 'body-shell', d: 'M254 16H312V24H262V306H312V314H254z', at: [258, 200] },
    { surface: 'screen', d: rect(308, 26, 16, 278), at: [316, 120] },
    { surface: 'port-covers', d: rect(272, 290, 22, 14), at: [283, 297] },
    openCase(480),
  ],
});
