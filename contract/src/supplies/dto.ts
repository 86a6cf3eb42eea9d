import type { care } from '@bright-keeper/core';
import type { SupplyInput } from './schema.js';

export type Supply = SupplyInput & { id: string; version: number; role: care.ToolRole; usesSinceWash: number };
/** An empty drawer means that none is kept: plans then assume everything is at hand. */
export type Drawer = { supplies: Supply[] };
