import type { fungus, storage } from '@bright-keeper/core';
import type { HomeToBe } from '../storage/index.js';

/** How much growth is to be feared for one thing over all its stays. */
export type ItemExposure = {
  surfaceState: fungus.SurfaceState;
  /** Null when no place it lay in was ever measured. */
  assessment: fungus.Assessment | null;
  /** The one answer to whether it is safe. */
  standing: storage.Standing;
  /** Days of its history that were measured, of all it has been kept. */
  measuredDays: number;
  keptDays: number;
  /** It has fungus, or is in quarantine for it: it lives alone. */
  sick: boolean;
  /** Null where that was not found. */
  home: HomeToBe | null;
};
