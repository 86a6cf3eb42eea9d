import type { Outfit } from './equip.js';
import { materialFacts } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import { schoolFacts, type SchoolId } from './knowledge/schools.js';
import { familyOf, type Family, type Surface } from './knowledge/surfaces.js';
import type { Context, SchoolNote } from './types.js';

/** Which schools have a say in which method, on which families of surface. */
const SAY: Partial<Record<Method, readonly { school: SchoolId; on: readonly Family[] }[]>> = {
  'soft-brush': [{ school: 'glass-brush', on: ['glass'] }],
  'rim-brush': [{ school: 'glass-brush', on: ['glass'] }],
  'dry-wipe': [
    { school: 'wipe', on: ['glass', 'display'] },
    { school: 'motion', on: ['glass'] },
  ],
  breath: [{ school: 'breath', on: ['glass'] }],
  'damp-wipe': [
    { school: 'solvent', on: ['glass'] },
    { school: 'wipe', on: ['glass', 'display'] },
    { school: 'motion', on: ['glass'] },
  ],
  dab: [{ school: 'mirror', on: ['mirror'] }],
  'wet-wipe': [{ school: 'field-fluid', on: ['glass', 'display'] }],
  'solvent-wipe': [{ school: 'motion', on: ['glass'] }],
  'adhesive-remover': [{ school: 'sticky', on: ['shell'] }],
  'sensor-swab': [
    { school: 'sensor', on: ['sensor'] },
    { school: 'sensor-stroke', on: ['sensor'] },
  ],
};

export function schoolNote(school: SchoolId, followed: string): SchoolNote {
  const others = Object.keys(schoolFacts(school).choices).filter((choice) => choice !== followed);
  return { school, followed, others: others.map((choice) => ({ choice })) };
}

/** “No alcohol” means none: where nothing else takes it, the step says that it departs (rule 34). */
const departsFromAlcoholFree = ({ uses }: Outfit, { solvent }: Context['schools']): boolean =>
  solvent === 'alcohol-free' && uses.some((u) => materialFacts(u.material).contains.includes('alcohol'));

/** Which schools this step followed, and what the other ones would say. */
export function schoolNotesFor(method: Method, surface: Surface, outfit: Outfit, { schools }: Context): SchoolNote[] {
  const family = familyOf(surface);
  const heard = (SAY[method] ?? []).filter((s) => s.on.includes(family)).map((s) => s.school);
  const onEyepiece: SchoolId[] = surface === 'eye-lens' && method === 'damp-wipe' ? ['spray'] : [];
  const notes = [...heard, ...onEyepiece].map((school) => schoolNote(school, schools[school]));
  if (!departsFromAlcoholFree(outfit, schools)) return notes;
  return [...notes.filter((n) => n.school !== 'solvent'), { ...schoolNote('solvent', schools.solvent), departs: true }];
}
