import type { care } from '@bright-keeper/core';
import type { SupplyInput } from './schema.js';

export type Supply = SupplyInput & { id: string; version: number; role: care.ToolRole; usesSinceWash: number };
/** An empty drawer means that none is kept; one that is not all there is leaves the rest assumed at hand. */
export type Drawer = { supplies: Supply[]; isAll: boolean };
