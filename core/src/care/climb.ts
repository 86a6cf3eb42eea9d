import type { Because, Lack } from './because.js';
import { adaptMethod, outfitsFor, thingsOf, type Outfit } from './equip.js';
import { LADDERS, type Rung } from './knowledge/ladders.js';
import type { Material, Tool } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import { holds, liesOn, natureOf, type Soil } from './soils/index.js';
import { spreads, spreadingAt } from './spreading.js';
import { familyOf, type Surface } from './knowledge/surfaces.js';
import { isOnHand, kindOfThing, lackOf } from './onHand.js';
import { firstRefusal } from './rules/index.js';
import type { Context, Finding, Missing, Refusal } from './types.js';

/** A rung that passed the rules and for which there is something in the drawer. */
export type AllowedRung = { method: Method; outfit: Outfit; removes: Soil[]; finisher: boolean; last: boolean };
/** A rung that would have taken something, and what stood against it. */
type LostRung = { removes: Soil[]; because: Because };

/** What of these findings a rung takes, as the record of each soil says. */
function removedBy({ method, finisher }: Rung, findings: readonly Finding[]): Soil[] {
  return findings
    .filter(({ soil, surface, severity }) => {
      const lies = liesOn(soil, surface);
      const bounds = (finisher ? lies?.finish : lies?.takes)?.[method];
      return bounds && severity >= (bounds.from ?? 1) && severity <= (bounds.upTo ?? 4);
    })
    .map((f) => f.soil);
}

/** Something the drawer lacks or holds in no fit state, and what stands in for it. */
function missingEntry(id: Tool | Material, surface: Surface, context: Context, standIn?: Tool | Material): Missing {
  return { ...kindOfThing(id), for: [surface], ...lackOf(id, surface, context), ...(standIn ? { substitute: standIn } : {}) };
}

type Choice = { outfit: Outfit | null; refusal: Refusal | null; missing: Missing[] };

/** The best outfit that the rules allow and the drawer holds; with it or instead of it, what is missing or why not. */
function chooseOutfit(method: Method, surface: Surface, findings: readonly Finding[], after: readonly Method[], context: Context): Choice {
  let best: Outfit | null = null;
  let chosen: Outfit | null = null;
  let refusal: Choice['refusal'] = null;
  for (const outfit of outfitsFor(method, surface, findings, context)) {
    const materials = outfit.uses.map((u) => u.material);
    const broken = firstRefusal({ surface, method, tool: outfit.tool, materials, findings, after }, context);
    if (broken) {
      refusal ??= { method, ...broken };
      continue;
    }
    best ??= outfit;
    if (!thingsOf(outfit).every((id) => isOnHand(id, surface, context))) continue;
    chosen = outfit;
    break;
  }
  if (!best) return { outfit: null, refusal, missing: [] };
  const lacking = thingsOf(best).filter((id) => !isOnHand(id, surface, context));
  const standIn = chosen ? thingsOf(chosen).find((id) => !thingsOf(best).includes(id)) : undefined;
  return { outfit: chosen, refusal: null, missing: lacking.map((id) => missingEntry(id, surface, context, standIn)) };
}

/** Why a rung is lost, without what it belongs to. */
function becauseOf({ refusal, missing: [lack] }: Choice): Because {
  if (refusal) return ruled(refusal);
  return lack ? lackAlone(lack) : { reason: 'no-gentle-way' };
}
export const ruled = ({ reason, rule, surface }: Refusal): Because => ({ reason, rule, surface });
export function lackAlone({ tool: _, material: __, for: ___, substitute: ____, ...lack }: Missing): Lack {
  return lack;
}

export type Climb = { rungs: AllowedRung[]; lost: LostRung[]; refused: Refusal[]; missing: Missing[] };

const DAMP: readonly Method[] = ['damp-wipe', 'wet-wipe', 'solvent-wipe'];
/** A dry finisher stands in for a damp pass up to here; more it would only spread (our choice). */
const STANDS_IN_UP_TO = 3;

/** One rung put before rules and drawer, in the order they are climbed. */
function tryRung(rung: Rung, removes: Soil[], climb: Climb, surface: Surface, findings: readonly Finding[], context: Context): void {
  const method = adaptMethod(rung.method, surface, context);
  const twin = climb.rungs.find((r) => r.method === method && r.finisher === !!rung.finisher && r.last === !!rung.last);
  if (twin) {
    twin.removes = [...new Set([...twin.removes, ...removes])];
    return;
  }
  const after = climb.rungs.map((r) => r.method);
  const choice = chooseOutfit(method, surface, findings, after, context);
  const told = climb.refused.some((r) => r.method === method && r.rule === choice.refusal?.rule);
  if (choice.refusal && !told) climb.refused.push(choice.refusal);
  climb.missing.push(...choice.missing);
  if (choice.outfit) climb.rungs.push({ method, outfit: choice.outfit, removes, finisher: !!rung.finisher, last: !!rung.last });
  else climb.lost.push({ removes, because: becauseOf(choice) });
}

/** Grains and crystals go first even where growth lies; all else comes off with it (rules 28 and 35). */
const comesWithSpreading = (removes: readonly Soil[], surface: Surface): boolean =>
  removes.some((soil) => spreads(soil, surface) || natureOf(soil) === 'soluble' || holds(soil, 'grains'));

/** What takes growth or a crust takes what lies with it: nothing dry is tried there first. */
function withTheRest(removes: readonly Soil[], wanted: readonly Finding[], surface: Surface): Soil[] {
  if (!removes.some((soil) => spreads(soil, surface))) return [...removes];
  const light = wanted.filter((f) => ['loose', 'film', 'spot', 'bonded'].includes(natureOf(f.soil)) && !holds(f.soil, 'grains'));
  return [...new Set([...removes, ...light.map((f) => f.soil)])];
}

/** Air comes first though it takes nothing of what lies there; a stiff thread and a fogged finder ask for none. */
const isBlownFirst = (surface: Surface, wanted: readonly Finding[]): boolean =>
  familyOf(surface) !== 'thread' && wanted.some((f) => natureOf(f.soil) !== 'passing');

/** The first thing one would do is blow: where that would spread what lies there, the plan says so. */
function refuseAir(rung: Rung, removes: Soil[], climb: Climb, surface: Surface, findings: readonly Finding[], context: Context): void {
  if (rung.method === 'blow') tryRung(rung, removes, climb, surface, findings, context);
}

/** The rungs worth climbing for these findings, each with what the rules and the drawer say of it. */
export function climbLadder(surface: Surface, wanted: readonly Finding[], findings: readonly Finding[], context: Context): Climb {
  const climb: Climb = { rungs: [], lost: [], refused: [], missing: [] };
  const ladder = LADDERS[familyOf(surface)];
  const isSpread = spreadingAt(surface, findings);
  const climbed = (rung: Rung) => {
    const removes = removedBy(rung, wanted);
    // Grains are blown and brushed, and lifted only where air would spread what lies with them.
    if (rung.method === 'dab' && !isSpread && familyOf(surface) !== 'mirror') return;
    if (isSpread && !comesWithSpreading(removes, surface)) return refuseAir(rung, removes, climb, surface, findings, context);
    if (removes.length > 0 || (rung.method === 'blow' && isBlownFirst(surface, wanted)))
      tryRung(rung, isSpread ? withTheRest(removes, wanted, surface) : removes, climb, surface, findings, context);
  };
  for (const rung of ladder.filter((r) => !r.finisher && !r.last)) climbed(rung);
  const dampCame = climb.rungs.some((r) => DAMP.includes(r.method));
  const servedDry = (soil: Soil) => climb.rungs.some((r) => r.removes.includes(soil));
  for (const rung of ladder.filter((r) => r.finisher && !isSpread)) {
    // Without a damp pass a finisher is all there is: it takes what a dry pad can.
    const open = wanted.filter((f) => dampCame || (f.severity <= STANDS_IN_UP_TO && !servedDry(f.soil)));
    const removes = removedBy(rung, open);
    if (removes.length === 0) continue;
    tryRung({ ...rung, ...(dampCame ? {} : { finisher: undefined }) }, removes, climb, surface, findings, context);
  }
  for (const rung of ladder.filter((r) => r.last)) climbed(rung);
  // A finisher that waits for the bench is no temptation out there: nobody reaches for it.
  const finishers = ladder.filter((r) => r.finisher).map((r) => r.method);
  climb.refused = climb.refused.filter((r) => !(r.rule === 'bench-work-waits' && r.method && finishers.includes(r.method)));
  // A finisher that is not at hand is no lack: the clean ends without it.
  climb.missing = climb.missing.filter((m) => !(dampCame && m.tool && FINISHING_TOOLS.includes(m.tool)));
  return climb;
}
const FINISHING_TOOLS: readonly Tool[] = ['carbon-pen', 'chamois'];
