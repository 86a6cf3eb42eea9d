import { type Because, contextOf, type Finding, type Verdict, verdictFor } from '../care/index.js';
import type { ItemKind } from '../care/kinds/index.js';
import { type Schools, natureOf, type Surface, type Traits } from '../care/knowledge/index.js';
import { surfacesOf } from '../care/kinds/index.js';

export type SurfaceVerdict = { surface: Surface; verdict: Verdict; because: Because };

type Thing = { kind: ItemKind; traits: Traits };

/** The verdict for one surface from what was seen on it: leave, clean, isolate or hand over, and why. */
export function assessSurface(item: Thing, findings: readonly Finding[], schools?: Partial<Schools>): Omit<SurfaceVerdict, 'surface'> {
  const context = contextOf({ item, place: 'home', ...(schools ? { schools } : {}) });
  return verdictFor(findings, context);
}

/** The verdict for every surface of a thing; surfaces without findings are left. */
export const assess = (item: Thing, findings: readonly Finding[], schools?: Partial<Schools>): SurfaceVerdict[] =>
  surfacesOf(item.kind, item.traits).map((surface) => ({
    surface,
    ...assessSurface(
      item,
      findings.filter((f) => f.surface === surface),
      schools,
    ),
  }));

/** The finding that is drawn for a surface: the one at its worst, damage after dirt where they tie. */
export function mostTelling(findings: readonly Finding[]): Finding | null {
  const weight = (f: Finding) => f.severity * 2 + (natureOf(f.soil) === 'damage' ? 0 : 1);
  return findings.reduce<Finding | null>((worst, f) => (f.severity > 0 && (!worst || weight(f) > weight(worst)) ? f : worst), null);
}
