import { thingFacts, type Material, type Tool, type ToolRole } from './knowledge/materials.js';
import { familyOf, type Family, type Surface } from './knowledge/surfaces.js';

/** The roles that may touch each family of surfaces. */
const ROLES_FOR: Record<Family, readonly ToolRole[]> = {
  glass: ['glass', 'any'],
  sensor: ['sensor', 'any'],
  display: ['glass', 'any'],
  shell: ['shell', 'any'],
  leather: ['shell', 'glass', 'any'],
  bellows: ['shell', 'any'],
  // What is fit for glass leaves nothing on a ring; what has touched a shell does.
  seal: ['glass', 'any'],
  thread: ['shell', 'any'],
  mount: ['shell', 'any'],
  contacts: ['shell', 'any'],
  cells: ['shell', 'any'],
  bay: ['shell', 'any'],
  cap: ['shell', 'any'],
  inner: ['shell', 'any'],
  blades: ['shell', 'any'],
  mirror: ['glass', 'any'],
  matte: ['any'],
  chamber: ['any'],
  bath: [],
  track: ['any'],
  curtain: [],
  foam: ['shell', 'any'],
};

/** It may, or why not: it has to be washed first, or it is kept for something else. */
export type Touch = { ok: true } | { ok: false; reason: 'not-clean' } | { ok: false; reason: 'kept-for'; role: ToolRole };

/**
 * May this tool or material touch this surface, by its role and state?
 * A tool's own mark (`role`) counts before the role it is sold for: a glass cloth demoted to the shell stays there.
 */
export function mayTouch(thing: { id: Tool | Material; role?: ToolRole; state?: 'clean' | 'dirty' }, surface: Surface): Touch {
  const role = thing.role ?? thingFacts(thing.id).role;
  if (thing.state === 'dirty') return { ok: false, reason: 'not-clean' };
  return ROLES_FOR[familyOf(surface)].includes(role) ? { ok: true } : { ok: false, reason: 'kept-for', role };
}
