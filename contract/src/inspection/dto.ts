import type { care } from '@bright-keeper/core';
import type { LookAnswer } from './schema.js';

export type LookDoc = {
  id: string;
  itemId: string;
  itemName: string;
  version: number;
  startedAt: string;
  finishedAt: string | null;
  /** The surface one stood at when it was last saved. */
  at: care.Surface | null;
  answers: LookAnswer[];
};
