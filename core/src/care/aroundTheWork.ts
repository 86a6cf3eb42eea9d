import { kindFacts, type Line, type LineId, type Work } from './kinds/index.js';
import { isFluid } from './knowledge/materials.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import { spreads } from './spreading.js';
import { swabOnHand } from './onHand.js';
import type { Context, SaidLine, Step } from './types.js';

/** What the steps of a plan do, as the lines around them ask. */
function workOf(steps: readonly Step[], { traits, schools }: Context): Work {
  const surfaces = new Set(steps.map((s) => s.surface));
  const methods = new Set(steps.map((s) => s.method));
  return {
    traits,
    schools,
    on: (...asked) => asked.some((s) => surfaces.has(s)),
    by: (...asked) => asked.some((m) => methods.has(m)),
    wet: steps.some((s) => s.uses.some((u) => isFluid(u.material) || u.material === 'sealed-wipe')),
    open: [...surfaces].some((s) => surfaceFacts(s).nearOpening),
  };
}

function sensorLine(context: Context): SaidLine[] {
  const swab = swabOnHand(context);
  return swab ? [{ line: 'swab', widthMm: swab.widthMm, axis: swab.axis, lanes: swab.lanes }] : [];
}

const say = (line: LineId): SaidLine => ({ line });
const saidFor = (lines: readonly Line[], work: Work): SaidLine[] => lines.filter((l) => l.when(work)).map((l) => say(l.line));

/** What to have ready before the first step. Nothing, when there is nothing to do. */
export function preparationFor(steps: readonly Step[], context: Context): SaidLine[] {
  if (steps.length === 0) return [];
  const work = workOf(steps, context);
  if (context.place === 'field') {
    const caps = kindFacts(context.kind).surfaces.some((s) => s === 'front-cap' || s === 'body-cap');
    const lines = kindFacts(context.kind).prepare.filter((l) => l.outdoors);
    return [{ line: 'back-to-the-wind', caps }, ...saidFor(lines, work)];
  }
  const sensor = work.by('sensor-swab') ? sensorLine(context) : [];
  return [say('still-table'), ...saidFor(kindFacts(context.kind).prepare, work), ...sensor];
}

/** It took something that air would carry about. */
const spreadBy = ({ surface, removes }: Step): boolean => removes.some((soil) => spreads(soil, surface));

/** What ends the work: air over what was wiped, caps last, and hands off. */
export function closingFor(steps: readonly Step[], context: Context): SaidLine[] {
  if (steps.length === 0) return [];
  const work = workOf(steps, context);
  const wipedGlass = steps.some((s) => familyOf(s.surface) === 'glass' && s.contact);
  const bears = steps.some((s) => familyOf(s.surface) === 'glass' && s.contact && !spreadBy(s));
  const washedCaps = steps.some((s) => familyOf(s.surface) === 'cap' && spreadBy(s));
  return [
    ...(bears ? [say('air-over-touched-glass')] : []),
    ...(steps.some((s) => s.cautions.includes('mould')) ? [say('seal-the-wipes')] : []),
    ...saidFor(kindFacts(context.kind).close, work).map((l) => (l.line === 'caps-on' && washedCaps ? say('washed-caps-on') : l)),
    ...(steps.some((s) => s.removes.includes('sticky-coating')) ? [say('dry-open-look-in-two-months')] : []),
    ...(wipedGlass ? [say('hands-off-the-glass')] : []),
  ];
}

/** What ends the work as it was done: glass that was not touched wants no air, and where nothing touched no wipe is thrown out. */
export function closingAsDone(close: readonly SaidLine[], contacts: Partial<Record<Surface, number>>): SaidLine[] {
  const touched = Object.keys(contacts) as Surface[];
  const said = ({ line }: SaidLine): boolean =>
    line === 'air-over-touched-glass' ? touched.some((s) => familyOf(s) === 'glass') : line !== 'seal-the-wipes' || touched.length > 0;
  return close.filter(said);
}
