import { frontMark, markShowsFrom, usualMark } from '../sensor/index.js';
import { natureOf, type Severity, type Soil } from './soils/index.js';
import type { Surface } from './knowledge/surfaces.js';
import type { Traits } from './knowledge/traits.js';
import type { Finding } from './types.js';

/** What lies here lies far in front of the pupil: each point of the picture is made by a beam much wider than a speck. */
const IN_FRONT: readonly Surface[] = ['filter-front', 'filter-back', 'front-glass'];
/** So much of it is not single specks any more, but a veil over the whole face. */
const VEIL: Severity = 3;

/** May how large the largest one is decide whether it matters: a speck or a blemish on the front, and no film? */
export const isMeasured = (surface: Surface, soil: Soil): boolean =>
  IN_FRONT.includes(surface) && (soil === 'dust' || soil === 'lint' || natureOf(soil) === 'damage');

export type FrontMarkFacts = { sizeMm: number; focalMm: number; fNumber: number; visible: boolean; showsFrom: number | null };

/**
 * Can what was found ever show in a picture, for its size, at the smallest aperture in use? Null where its size, the
 * lens's focal length or that aperture was not said, and where it is more than single specks.
 */
export function frontMarkOf(finding: Finding, { focalMm, smallestFNumber: fNumber }: Traits): FrontMarkFacts | null {
  const { surface, soil, severity, sizeMm } = finding;
  if (!sizeMm || !focalMm || !fNumber || !isMeasured(surface, soil)) return null;
  if (natureOf(soil) !== 'damage' && severity >= VEIL) return null;
  const mark = usualMark(sizeMm, focalMm);
  return { sizeMm, focalMm, fNumber, visible: frontMark({ ...mark, fNumber }).visible, showsFrom: markShowsFrom(mark) };
}
