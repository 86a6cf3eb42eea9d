import type { care } from '@bright-keeper/core';
import { ruleInGeneral } from './rules.js';

const BARS: Record<care.Bar, string> = {
  flash: 'A body, or anything with a flash, holds a charge that can kill long after the battery is out. It is never opened by its owner.',
  'centred-front': 'Its front cell was centred on a bench: undone, it no longer draws a sharp star. Only its maker or a workshop opens it.',
  'lithium-inside': 'A glued lithium battery lies behind its back: pierced or bent it burns. Only a workshop opens it.',
  'nothing-behind-a-ring': 'There is no ring to undo: every face of it is reached from outside.',
  radioactive: ruleInGeneral('no-opening-of-radioactive-glass'),
  electronic: ruleInGeneral('no-opening-of-electronics'),
};

/** Why a thing is not opened by its owner. */
export const barWords = (bar: care.Bar): string => BARS[bar];
