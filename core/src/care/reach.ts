import { kindFacts, OPENING_BARS, type Depth, type ItemKind } from './kinds/index.js';
import { actFromAt, holds, liesOn, natureOf, type Severity, type Soil } from './soils/index.js';
import type { Surface } from './knowledge/surfaces.js';
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

/** Where what lies inside usually lies: its own record says from which severity it matters there. */
const INSIDE: readonly Surface[] = ['inner-glass', 'aperture-blades', 'helicoid'];

/** Is it worth reaching for inside? Less of it is harmless there, and dirt of other natures is not reached for at all. */
export function isWorthReaching(soil: Soil, severity: Severity): boolean {
  if (natureOf(soil) !== 'inside' && natureOf(soil) !== 'growth') return false;
  const at = INSIDE.find((surface) => liesOn(soil, surface) !== null);
  return at !== undefined && severity >= actFromAt(soil, at);
}

/** Does this thread lie open, so that a swab and a drop of oil reach it? One behind a ring is as shut as inner glass. */
export const isCoveredThread = (surface: Surface, { helicoidExposed, collapsible }: Traits): boolean =>
  surface === 'helicoid' && !helicoidExposed && !collapsible;

/** The front ring cannot be undone, nor the front glass reached, behind a filter that is stuck on. */
export const isBehindStuckFilter = (surface: Surface, { filterFitted, filterStuck }: Traits): boolean =>
  !!filterFitted && !!filterStuck && (surface === 'filter-back' || surface === 'front-glass');
export const filterBars = ({ filterFitted, filterStuck }: Traits, depth: Depth): boolean =>
  depth === 'front-group' && !!filterFitted && !!filterStuck;

/** Can growth be reached on this surface without opening anything? */
export const growthIsReachable = (surface: Surface, soil: Soil): boolean =>
  holds(soil, 'spores') && Object.keys(liesOn(soil, surface)?.takes ?? {}).length > 0;
