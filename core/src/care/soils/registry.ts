import { familyOf, type Surface } from '../knowledge/surfaces.js';
import { FILMS } from './films.js';
import { GRAINS } from './grains.js';
import { INSIDE } from './inside.js';
import { LOOSE } from './loose.js';
import type { Content, Lies, Severity, SoilFacts, SoilNature } from './soil.js';
import { SPOTS } from './spots.js';
import { WEAR } from './wear.js';
import { WETNESS } from './wetness.js';

/** Every soil. A new one is one record in the file of its kind; `checkSoil` says what it still lacks. */
export const SOILS = { ...LOOSE, ...GRAINS, ...FILMS, ...SPOTS, ...WETNESS, ...INSIDE, ...WEAR } satisfies Record<string, SoilFacts>;

export type Soil = keyof typeof SOILS;
export const SOIL_IDS = Object.keys(SOILS) as Soil[];
export const soilFacts = (id: Soil): SoilFacts => SOILS[id];
export const natureOf = (id: Soil): SoilNature => soilFacts(id).nature;
export const holds = (id: Soil, content: Content): boolean => soilFacts(id).holds.includes(content);

/** How a soil lies on a surface; null where nobody wrote that it can. */
export function liesOn(id: Soil, surface: Surface): Lies | null {
  const { on, at, onlyAt } = soilFacts(id);
  const here = on[familyOf(surface)];
  const special = at[surface];
  if (!here || special === null || (onlyAt && !onlyAt.includes(surface))) return null;
  return special ? { ...here, ...special } : here;
}

/** What a look at this surface offers to name, the likeliest first. */
export const soilsAskedAt = (surface: Surface): Soil[] =>
  SOIL_IDS.flatMap((id) => {
    const asked = liesOn(id, surface)?.asked;
    return asked === undefined ? [] : [{ id, asked }];
  })
    .sort((a, b) => a.asked - b.asked)
    .map((s) => s.id);

/** Everything that can lie on this surface. */
export const soilsOn = (surface: Surface): Soil[] => SOIL_IDS.filter((id) => liesOn(id, surface) !== null);

/** The severity from which it is worth a touch there. */
export const actFromAt = (id: Soil, surface: Surface): Severity => liesOn(id, surface)?.actFrom ?? soilFacts(id).actFrom;

/** Why this soil is worth a touch on this surface. What nobody wrote of it there is said so, never in another family's words. */
export const whyAct = (id: Soil, surface: Surface): string => liesOn(id, surface)?.act ?? unwritten(id);
/** Why so little of this soil may stay on this surface. */
export const whyLeave = (id: Soil, surface: Surface): string => {
  const lies = liesOn(id, surface);
  return lies?.leave ?? lies?.act ?? unwritten(id);
};
const unwritten = (id: Soil): string => `Not known to lie there: ${soilFacts(id).name}. Look again, and name what it is.`;
