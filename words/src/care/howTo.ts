import { care } from '@bright-keeper/core';

/** What is being done, as far as the words for the hand depend on it. */
type Doing = { method: care.Method; surface: care.Surface; removes: readonly care.Soil[] };

const ON_SURFACE: Partial<Record<care.Surface, Partial<Record<care.Method, string>>>> = {
  'mirror-box': { blow: 'Mirror down and mount down: blow. Then raise the mirror and blow once more. No cloth goes in.' },
  'inner-barrel': { blow: 'Drawn out to its longest, facing down: blow round it, so that nothing is carried inward.' },
};
const ON_FAMILY: Partial<Record<care.Family, Partial<Record<care.Method, string>>>> = {
  sensor: { blow: 'Mount facing down, the blower’s tip outside the mount: two or three puffs. More only builds static.' },
  mirror: {
    blow: 'Mount facing down, mirror down: short puffs across it. The nozzle never touches.',
    'soft-brush': 'A soft brush kept for glass, its own weight only, from the hinge outward.',
  },
  glass: { 'damp-swab': 'Tissue wrapped loosely round the swab, barely damp: centre outward, then the dry end picks up.' },
  cells: {
    'dry-wipe': 'A clean corner of the body cloth along the plates, battery out, no pressure.',
    'damp-swab': 'Battery out. Cotton swab barely damp: touch off the excess first. Along spring and plate, then the dry end.',
  },
  thread: {
    'stiff-brush': 'Along the turns and away from the opening, nothing turned meanwhile. Then air.',
    'dry-swab': 'A dry cotton swab along the turns: what oil you can see comes off, no more.',
  },
  leather: { 'damp-wipe': 'A cloth wrung out until it is barely damp, one pass, then dry in moving air away from heat.' },
  contacts: {
    'dry-wipe': 'A clean corner of the body cloth along the pins, no pressure, a fresh patch for each pass.',
    'damp-swab': 'Cotton swab barely damp: touch off the excess first. Along the pins, then the dry end.',
  },
  mount: {
    'dry-wipe': 'Opening down: a clean corner of the body cloth round the ring, away from the opening.',
    'damp-swab': 'Opening down. Cotton swab barely damp: touch off the excess first. Several passes round, then the dry end.',
  },
  shell: {
    'damp-wipe': 'A cloth wrung out until it is barely damp, along the seams and not into them, then dry.',
    'dry-wipe': 'Body cloth, a fresh patch as each one dirties. Never a cloth that is kept for glass.',
  },
  display: { 'damp-wipe': 'Barely damp, edge to edge, twice: skin oil comes in layers. Then dry.' },
};
const OFF_GROWTH =
  'Gloves on. Barely damp, one light pass inward from its edge, a fresh piece for each; then dry. Each goes into a bag that is sealed and thrown away.';

/** How it is done here, as one hand would tell another. */
export function howTo({ method, surface, removes }: Doing): string {
  const wiped = ['damp-wipe', 'solvent-wipe', 'damp-swab', 'dab'].includes(method);
  if (wiped && removes.some((soil) => care.spreads(soil, surface))) return OFF_GROWTH;
  return ON_SURFACE[surface]?.[method] ?? ON_FAMILY[care.familyOf(surface)]?.[method] ?? care.methodFacts(method).how;
}
