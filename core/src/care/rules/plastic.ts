import { surfaceFacts, type Surface } from '../knowledge/surfaces.js';
import type { Context } from '../types.js';

/** Plastic all through: either by its nature or because this thing's optic is acrylic. */
export const isPlasticOptic = (surface: Surface, { traits }: Pick<Context, 'traits'>): boolean => {
  const { family, stuff } = surfaceFacts(surface);
  if (family === 'display') return true;
  return family === 'glass' && (stuff === 'plastic' || traits.opticMaterial === 'acrylic');
};
