import type { Soil } from '../../care/soils/index.js';
import { ASK_IDS, type AskId, askFacts, type Phase } from './asks.js';
import type { Weather } from './ground.js';
import { type GroundId, groundFacts } from './registry.js';

/** Where an outing goes and in which weather, as far as it is known. */
export type Going = { grounds: readonly GroundId[]; weather: readonly Weather[] };

const holds = ({ in: only }: { in?: Weather }, weather: readonly Weather[]): boolean => only === undefined || weather.includes(only);

/** What these grounds ask for in a phase, each once, in the order in which it is done. */
export function asksOf({ grounds, weather }: Going, phase: Phase): AskId[] {
  const asked = new Set(
    grounds.flatMap((id) =>
      groundFacts(id)
        .asks.filter((ask) => holds(ask, weather))
        .map(({ ask }) => ask),
    ),
  );
  return ASK_IDS.filter((id) => asked.has(id) && askFacts(id).phase === phase);
}

/** Does one come in from the cold there, and does glass stand under a clear night sky? The agenda asks by it. */
export function skyAndCold(going: Going): { isCold: boolean; isUnderSky: boolean } {
  const asked = asksOf(going, 'there');
  return { isCold: asked.includes('closed-before-warm'), isUnderSky: asked.includes('strap-before-dew') };
}

/** Something that may come home from an outing, and how likely it is that a thing which is out all the days brings it, 0 to 1. */
export type Expected = { soil: Soil; likelihood: number };

/** What may dirty gear out there, the likeliest first: each day anew, by the worst of the grounds one is on. @param days at least 1. */
export function dirtOf({ grounds, weather }: Going, days: number): Expected[] {
  const aDay = new Map<Soil, number>();
  for (const id of grounds) {
    const spared = new Map<Soil, number>();
    for (const dirt of groundFacts(id).dirt.filter((d) => holds(d, weather)))
      spared.set(dirt.soil, (spared.get(dirt.soil) ?? 1) * (1 - dirt.aDay));
    for (const [soil, chance] of spared) aDay.set(soil, Math.max(aDay.get(soil) ?? 0, 1 - chance));
  }
  return [...aDay]
    .map(([soil, chance]) => ({ soil, likelihood: 1 - (1 - chance) ** Math.max(1, days) }))
    .sort((a, b) => b.likelihood - a.likelihood || a.soil.localeCompare(b.soil));
}
