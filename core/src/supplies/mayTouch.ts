import { thingFacts, type Material, type Tool, type ToolRole } from '../care/knowledge/materials.js';
import { familyOf, surfaceFacts, type Family, type Surface } from '../care/knowledge/surfaces.js';

/** The roles that may touch each family of surfaces. */
const ROLES_FOR: Record<Family, readonly ToolRole[]> = {
  glass: ['glass', 'any'],
  sensor: ['sensor', 'any'],
  display: ['glass', 'any'],
  shell: ['shell', 'any'],
  mount: ['shell', 'any'],
  contacts: ['shell', 'any'],
  cap: ['shell', 'any'],
  inner: ['shell', 'any'],
  mirror: ['glass', 'any'],
  matte: ['any'],
  chamber: ['any'],
  bath: [],
};

/**
 * May this tool or material touch this surface, by its role and state?
 * A tool's own mark (`role`) counts before the role it is sold for: a glass cloth demoted to the shell stays there.
 */
export function mayTouch(
  thing: { id: Tool | Material; role?: ToolRole; state?: 'clean' | 'dirty' },
  surface: Surface,
): { ok: boolean; reason?: string } {
  const soldFor = thingFacts(thing.id);
  const role = thing.role ?? soldFor.role;
  if (thing.state === 'dirty') return { ok: false, reason: `The ${soldFor.name} is not clean: wash it or take a fresh one.` };
  if (!ROLES_FOR[familyOf(surface)].includes(role))
    return { ok: false, reason: `The ${soldFor.name} is kept for ${role}; it does not touch the ${surfaceFacts(surface).name}.` };
  return { ok: true };
}
