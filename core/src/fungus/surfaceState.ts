import type { ItemKind } from '../care/kinds/index.js';
import { familyOf, type Severity, type Soil, natureOf, type Surface } from '../care/knowledge/index.js';
import type { SurfaceState } from './constants.js';

type Known = { surface: Surface; findings: readonly { soil: Soil; severity: Severity }[] };

/** What feeds mould on glass: films, skin oil, pollen, and what was not looked at. */
const isFood = ({ soil, severity }: Known['findings'][number]): boolean =>
  severity >= 2 && (['film', 'growth'].includes(natureOf(soil)) || soil === 'pollen' || soil === 'dust');

/**
 * What a thing offers to mould: clean glass hardly anything, soiled glass food. A thing nobody has looked at counts
 * as soiled; one without optics as leather, cloth or rubber.
 */
export function surfaceStateOf(kind: ItemKind, known: readonly Known[]): SurfaceState {
  if (kind === 'accessory') return 'leather-or-cloth';
  const optics = known.filter((k) => ['glass', 'inner', 'sensor', 'mirror', 'bath'].includes(familyOf(k.surface)));
  if (optics.length === 0) return 'soiled-glass';
  return optics.some((k) => k.findings.some(isFood)) ? 'soiled-glass' : 'clean-glass';
}
