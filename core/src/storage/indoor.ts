import { type Basis, published } from '../care/knowledge/index.js';

export const INDOOR_BASIS: Basis = published('EN 15026, annex C: indoor climate from outdoor temperature, normal occupancy (from memory)');

const between = (value: number, [from, to]: [number, number], [low, high]: [number, number]): number =>
  low + (high - low) * Math.min(1, Math.max(0, (value - from) / (to - from)));

/** The climate of a lived-in room from the day's mean temperature outdoors, for planning where nothing was measured. */
export const indoorFromOutdoor = (outdoorC: number): { temperatureC: number; humidityPct: number } => ({
  temperatureC: between(outdoorC, [10, 20], [20, 25]),
  humidityPct: between(outdoorC, [-10, 20], [30, 60]),
});

/** A room nobody measured is taken to be this: as damp as a careful keeper fears (our choice). */
export const ASSUMED_ROOM = { temperatureC: 20, humidityPct: 65 } as const;
