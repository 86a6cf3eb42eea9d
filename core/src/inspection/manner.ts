import type { Soil } from '../care/knowledge/index.js';

/** How a surface is looked at: the lamp, the angle, and what may lie there, likeliest first. */
export type LookManner = { lamp: string; angle: string; handling: string; mayShow: readonly Soil[] };
