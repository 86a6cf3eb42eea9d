import { kindFacts, type Work } from './kinds/index.js';
import { isFluid } from './knowledge/materials.js';
import { familyOf, surfaceFacts } from './knowledge/surfaces.js';
import { swabOnHand } from './onHand.js';
import type { Context, Step } from './types.js';

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

function sensorLine(context: Context): string[] {
  const swab = swabOnHand(context);
  if (!swab) return [];
  const lanes = swab.lanes > 1 ? `, in ${swab.lanes} lanes that overlap` : '';
  return [`Swab ${swab.widthMm} mm wide, drawn along the ${swab.axis}${lanes}. Keep the blower’s tip outside the mount.`];
}

/** What to have ready before the first step. Nothing, when there is nothing to do. */
export function preparationFor(steps: readonly Step[], context: Context): string[] {
  if (steps.length === 0) return [];
  const work = workOf(steps, context);
  const own = kindFacts(context.kind)
    .prepare.filter((line) => line.when(work))
    .map((line) => line.say);
  if (context.place === 'field') {
    const caps = kindFacts(context.kind).surfaces.some((s) => s === 'front-cap' || s === 'body-cap');
    return [`Back to the wind, item low and close to you, or into the car.${caps ? ' Caps in a closed pocket, not in the sand.' : ''}`];
  }
  const sensor = work.by('sensor-swab') ? sensorLine(context) : [];
  return ['A clear, still, dust-free table and a good slanted lamp. Hands washed; gloves if they sweat.', ...own, ...sensor];
}

/** What ends the work: air over what was wiped, caps last, and hands off. */
export function closingFor(steps: readonly Step[], context: Context): string[] {
  if (steps.length === 0) return [];
  const work = workOf(steps, context);
  const wipedGlass = steps.some((s) => familyOf(s.surface) === 'glass' && s.contact);
  const lines = wipedGlass ? ['Once more air over the glass you touched, facing down.'] : [];
  if (steps.some((s) => s.cautions.includes('mould')))
    lines.push('Seal the used wipes in a bag, throw them out, wash your hands. Keep it apart from the rest.');
  lines.push(
    ...kindFacts(context.kind)
      .close.filter((line) => line.when(work))
      .map((line) => line.say),
  );
  if (steps.some((s) => s.removes.includes('sticky-coating')))
    lines.push('Let it dry open. Look at it again in two months: a finish that was removed in part turns again where it is shut away.');
  if (wipedGlass) lines.push('Hands off the glass.');
  return lines;
}
