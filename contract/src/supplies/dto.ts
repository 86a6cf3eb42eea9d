import type { care } from '@bright-keeper/core';
import type { SupplyInput } from './schema.js';

export type Supply = Required<SupplyInput> & { id: string; version: number; role: care.ToolRole; usesSinceWash: number };
/**
 * An empty drawer means that none is kept; one that is not all there is leaves the rest assumed at hand.
 *
 * @param along the kit of an outing that is under way, by its name; null where there is none.
 */
export type Drawer = { supplies: Supply[]; isAll: boolean; along: string | null };
