import { type Family, familyOf, type Material, type Surface, thingFacts, type Tool, type ToolRole } from '../care/knowledge/index.js';

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
