import { holdsCells, type Surface } from './knowledge/surfaces.js';
import { holds, natureOf, type Soil } from './soils/index.js';
import type { Finding } from './types.js';

/*
 * Rule 29: what air would spread. Spores and splinters do wherever they lie; bloom does where it is what leaked from a
 * cell, and is weather elsewhere.
 */

/** Would air, bristles or a dry cloth carry this about? */
export const spreads = (soil: Soil, surface: Surface): boolean =>
  holds(soil, 'spores') || holds(soil, 'splinters') || (natureOf(soil) === 'corrosion' && holdsCells(surface));

/** Does something lie there that air would carry about? */
export const spreadingAt = (surface: Surface, findings: readonly Pick<Finding, 'soil' | 'severity'>[]): boolean =>
  findings.some((f) => f.severity > 0 && spreads(f.soil, surface));
