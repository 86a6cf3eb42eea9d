import type { Method } from './methods.js';
import type { Severity, Soil } from './soils.js';
import type { Family } from './surfaces.js';

/** One rung: what a method takes off a family of surfaces, and between which severities it is worth trying. */
export type Rung = {
  method: Method;
  removes: Partial<Record<Soil, { from?: Severity; upTo?: Severity }>>;
  /** Comes after a damp rung, in a pass of its own that begins with air, where a smear stays. */
  finisher?: true;
};

const always = {};
const each = <S extends Soil>(...soils: S[]) => Object.fromEntries(soils.map((s) => [s, always])) as Record<S, typeof always>;
const rung = (method: Method, removes: Rung['removes']): Rung => ({ method, removes });
const finisher = (method: Method, removes: Rung['removes']): Rung => ({ method, removes, finisher: true });

const LOOSE = ['dust', 'grit', 'lint', 'pollen'] as const;
const FILMS = ['fingerprint', 'skin-oil', 'grease', 'smear'] as const;

/**
 * The ladder of each family, rungs in the order they are climbed. Common practice throughout; the bounds on
 * severity say where a gentler rung would only spread the dirt. Salt is taken by water and by nothing else.
 */
export const LADDERS: Record<Family, readonly Rung[]> = {
  glass: [
    rung('blow', each(...LOOSE)),
    rung('soft-brush', { ...each(...LOOSE), splash: always }),
    rung('dry-wipe', { dust: { from: 2 }, lint: { from: 2 }, smear: { upTo: 2 }, fingerprint: { upTo: 2 } }),
    rung('carbon-tip', { smear: { upTo: 2 }, 'skin-oil': { upTo: 2 } }),
    rung('breath', { 'water-spot': { upTo: 3 }, smear: { upTo: 2 } }),
    rung('fresh-water', each('salt', 'splash')),
    rung('damp-wipe', each(...FILMS, 'water-spot', 'splash', 'pollen')),
    rung('solvent-wipe', { ...each('adhesive', 'fungus-outside'), grease: { from: 3 } }),
    rung('plastic-polish', each('fine-scratch')),
    finisher('chamois', { 'skin-oil': { from: 3 }, grease: { from: 3 } }),
    finisher('carbon-tip', each(...FILMS)),
    finisher('breath', each(...FILMS, 'water-spot')),
  ],
  sensor: [
    rung('blow', each(...LOOSE)),
    rung('sensor-swab', each('dust', 'lint', 'pollen', 'grease', 'smear', 'water-spot', 'fingerprint', 'skin-oil', 'splash')),
  ],
  display: [
    rung('blow', each(...LOOSE)),
    rung('soft-brush', each('grit')),
    rung('dry-wipe', { ...each('dust', 'lint'), fingerprint: { upTo: 2 }, 'skin-oil': { upTo: 2 }, smear: { upTo: 2 } }),
    rung('fresh-water', each('salt', 'splash')),
    rung('damp-wipe', each(...FILMS, 'water-spot', 'splash', 'pollen', 'adhesive', 'fungus-outside')),
  ],
  shell: [
    rung('blow', each(...LOOSE)),
    rung('stiff-brush', each(...LOOSE, 'splash')),
    rung('dry-wipe', {
      dust: always,
      lint: always,
      fingerprint: always,
      smear: always,
      'skin-oil': { upTo: 2 },
      'water-spot': { upTo: 2 },
    }),
    rung('fresh-water', each('salt', 'splash')),
    rung('damp-wipe', each(...FILMS, 'water-spot', 'splash', 'pollen', 'corrosion', 'fungus-outside', 'adhesive')),
    rung('soap-wash', each('grease', 'skin-oil', 'splash', 'salt', 'adhesive', 'fungus-outside')),
    rung('solvent-wipe', each('adhesive', 'fungus-outside')),
    rung('adhesive-remover', each('sticky-coating')),
  ],
  mount: [
    rung('blow', each(...LOOSE)),
    rung('dry-wipe', { ...each('dust', 'lint', 'pollen'), fingerprint: always, smear: always, 'skin-oil': always }),
    rung('damp-swab', each(...FILMS, 'water-spot', 'splash', 'salt', 'corrosion', 'pollen', 'adhesive', 'fungus-outside')),
  ],
  contacts: [
    rung('blow', each(...LOOSE)),
    rung('dry-wipe', each('dust', 'lint', 'pollen', 'fingerprint', 'skin-oil', 'smear')),
    rung('damp-swab', each(...FILMS, 'water-spot', 'splash', 'salt', 'corrosion', 'adhesive', 'fungus-outside')),
    rung('contact-eraser', each('corrosion', 'grease', 'smear')),
  ],
  cap: [
    rung('blow', each(...LOOSE)),
    rung('stiff-brush', each(...LOOSE, 'splash')),
    rung('soap-wash', each(...FILMS, 'water-spot', 'splash', 'salt', 'pollen', 'adhesive', 'fungus-outside')),
  ],
  // The silver lies bare: air, a brush without weight, and at most a damp tissue laid on and lifted.
  mirror: [
    rung('blow', each(...LOOSE)),
    rung('soft-brush', each(...LOOSE)),
    rung('dab', each('dust', 'lint', 'pollen', 'fingerprint', 'skin-oil', 'grease', 'smear', 'water-spot', 'splash')),
  ],
  matte: [rung('blow', each(...LOOSE))],
  chamber: [rung('blow', each(...LOOSE))],
  bath: [],
  inner: [rung('lubricate', each('dried-grease'))],
};
