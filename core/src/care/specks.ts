import type { Finding } from './types.js';

/** So many specks that show are more than a few (our choice: a clean is worth it, whoever does it). */
const MANY = 9;

/**
 * Specks that a frame shows, as a look at the sensor would find them. A trace is what shows at the very smallest apertures
 * only, and is left; what shows at the apertures in use is more than that.
 */
export const specksFound = (shows: number): Finding[] =>
  shows === 0 ? [] : [{ surface: 'sensor-cover', soil: 'dust', severity: shows < MANY ? 2 : 3 }];
