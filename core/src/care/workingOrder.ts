import { BEFORE } from './knowledge/order.js';
import { SURFACE_IDS, type Surface } from './knowledge/surfaces.js';

/**
 * Every surface in one order that respects all "before" relations (Kahn's algorithm; among surfaces that are
 * free at the same time, the one named first in the surface table goes first, so the order never changes).
 *
 * @throws Error naming the surfaces of a cycle, which only a wrong table can cause.
 */
export function sortByRelations(surfaces: readonly Surface[], before: readonly (readonly [Surface, Surface])[]): Surface[] {
  const waiting = new Map(surfaces.map((s) => [s, before.filter(([, later]) => later === s).length]));
  const order: Surface[] = [];
  while (waiting.size > 0) {
    const free = surfaces.find((s) => waiting.get(s) === 0);
    if (!free) throw new Error(`the working order has a cycle among: ${[...waiting.keys()].join(', ')}; remove one relation`);
    waiting.delete(free);
    order.push(free);
    for (const [earlier, later] of before) if (earlier === free && waiting.has(later)) waiting.set(later, waiting.get(later)! - 1);
  }
  return order;
}

const RANK = new Map(sortByRelations(SURFACE_IDS, BEFORE).map((surface, rank) => [surface, rank]));

/** The place of a surface in the working order; lower is earlier. */
export const workingRank = (surface: Surface): number => RANK.get(surface)!;

/** The same surfaces in working order. */
export const inWorkingOrder = (surfaces: readonly Surface[]): Surface[] => [...surfaces].sort((a, b) => workingRank(a) - workingRank(b));
