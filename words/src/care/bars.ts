import type { care } from '@bright-keeper/core';
import { ruleInGeneral } from './rules.js';

const BARS: Record<care.Bar, string> = {
  flash: 'A body, or anything with a flash, holds a charge that can kill long after the battery is out. It is never opened by its owner.',
  'centred-front':
    'It was set up on a bench, front to back and side to side: undone, it no longer draws sharp. Only its maker or a workshop opens it.',
  'lithium-inside': 'A glued lithium battery lies behind its back: pierced or bent it burns. Only a workshop opens it.',
  'shutter-inside': 'Its shutter sits between its rings, set to hundredths: only a workshop opens it.',
  'nothing-behind-a-ring': 'There is no ring to undo: every face of it is reached from outside.',
  radioactive: ruleInGeneral('no-opening-of-radioactive-glass'),
  electronic: ruleInGeneral('no-opening-of-electronics'),
};

/** Why a thing is not opened by its owner. */
export const barWords = (bar: care.Bar): string => BARS[bar];
