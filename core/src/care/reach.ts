import { kindFacts, OPENING_BARS, type Depth, type ItemKind } from './kinds/index.js';
import type { Severity, Soil } from './knowledge/soils.js';
import { familyOf, type Surface } from './knowledge/surfaces.js';
import type { Traits } from './knowledge/traits.js';

/*
 * The one place that says whether dirt can be reached, and by whom (rule 26). Triage, plan, opening advice, look,
 * teardown and handbook quote it.
 */

/** Why a thing is not opened by its owner. */
export const BARS = [...OPENING_BARS, 'radioactive', 'electronic'] as const;
export type Bar = (typeof BARS)[number];
export type Ring = Exclude<Depth, 'deeper'>;

type Thing = { kind: ItemKind; traits: Traits };

/** Why its owner never opens this thing; null when a mechanical ring may be undone. Traits with their defaults filled in. */
export function openingBar({ kind, traits }: Thing): Bar | null {
  const { opening } = kindFacts(kind);
  if (traits.radioactiveGlass) return 'radioactive';
  if (opening.by === 'workshop') return opening.bar;
  if (traits.popupFlash) return 'flash';
  return traits.electronicContacts ? 'electronic' : null;
}

/** How dirt inside a thing is reached: oil on a thread that lies open, one ring undone by its owner, or a workshop. */
export type InsideReach = { by: 'open-thread' } | { by: 'owner'; rings: readonly Ring[] } | { by: 'workshop'; bar: Bar };

/** Blades and a covered focus thread lie behind the front; glass may lie behind either ring. */
const RINGS_TO: Partial<Record<Surface, readonly Ring[]>> = { 'aperture-blades': ['front-group'], helicoid: ['front-group'] };

export function reachInside(surface: Surface, soil: Soil, thing: Thing): InsideReach {
  const { traits } = thing;
  const lies = surface === 'helicoid' && soil === 'dried-grease' && (traits.helicoidExposed || traits.collapsible);
  if (lies && !traits.radioactiveGlass) return { by: 'open-thread' };
  const bar = openingBar(thing);
  return bar ? { by: 'workshop', bar } : { by: 'owner', rings: RINGS_TO[surface] ?? ['front-group', 'rear-group'] };
}

/** From which severity on it is worth reaching for what lies inside; the rest is harmless (common practice). */
const WORTH_FROM: Partial<Record<Soil, Severity>> = { fungus: 1, haze: 2, oil: 2, 'dried-grease': 2, 'internal-dust': 4 };
export const isWorthReaching = (soil: Soil, severity: Severity): boolean => severity >= (WORTH_FROM[soil] ?? 5);

/** The front ring cannot be undone, nor the front glass reached, behind a filter that is stuck on. */
export const isBehindStuckFilter = (surface: Surface, { filterFitted, filterStuck }: Traits): boolean =>
  !!filterFitted && !!filterStuck && (surface === 'filter-back' || surface === 'front-glass');
export const filterBars = ({ filterFitted, filterStuck }: Traits, depth: Depth): boolean =>
  depth === 'front-group' && !!filterFitted && !!filterStuck;

/** Can growth be reached on this surface without opening anything? */
export const growthIsReachable = (surface: Surface, soil: Soil): boolean =>
  soil === 'fungus-outside' && !['inner', 'sensor', 'mirror', 'matte', 'chamber', 'bath'].includes(familyOf(surface));
