import { swabOnHand } from './swabOnHand.js';
import type { ItemKind } from './knowledge/kinds.js';
import { familyOf, surfaceFacts } from './knowledge/surfaces.js';
import type { Context, Step } from './types.js';

const touches = (steps: readonly Step[], surface: string) => steps.some((s) => s.surface === surface);
const nearOpening = (steps: readonly Step[]) => steps.some((s) => surfaceFacts(s.surface).nearOpening);

/** What a kind asks for before its ladder is climbed. */
const BY_KIND: Partial<Record<ItemKind, string[]>> = {
  compact: [
    'Switch on so that the lens comes out, then take the battery out so that it stays out. Battery back in at the end; check that it runs.',
  ],
  eyepiece: ['Wash your face: lashes and cheeks dirty an eye lens again at once. Eyecup off.'],
  binocular: ['Wash your face: lashes and cheeks dirty an eye lens again at once. Fold the eyecups down.'],
  port: ['Rinse it in fresh water and let it dry. Find out whether it is glass or acrylic before any fluid: it decides.'],
  refractor: ['Tube level or pointing a little down, so that dust falls away from the glass.'],
  phone: ['Switch the screen off; nothing wet near the openings.'],
};

function preparationAtHome(steps: readonly Step[], context: Context): string[] {
  const { kind, traits } = context;
  const lines = ['A clear, still, dust-free table and a good slanted lamp. Hands washed; gloves if they sweat.'];
  if (kind === 'lens' && nearOpening(steps))
    lines.push('Clean the body cap, then take the lens off over the table and cap the body. Never stand the lens on its rear element.');
  if (kind === 'lens' && traits.zoomExtends) lines.push('Set the zoom where it is longest.');
  if (kind === 'mirrorless-body' || kind === 'slr-body')
    lines.push('Lens off, body cap on until the mount’s turn. Switch off; take the battery out before bay or contacts.');
  lines.push(...(BY_KIND[kind] ?? []));
  if (traits.filterFitted && !traits.filterStuck && (touches(steps, 'filter-back') || touches(steps, 'front-glass')))
    lines.push('Unscrew the filter when its turn comes; it lies face up on a clean cloth.');
  if (steps.some((s) => s.method === 'sensor-swab')) {
    const swab = swabOnHand(context);
    if (swab)
      lines.push(
        `Battery full or on mains. Swab ${swab.widthMm} mm wide, drawn along the ${swab.axis}${swab.lanes > 1 ? `, in ${swab.lanes} lanes that overlap` : ''}. Keep the blower’s tip outside the mount.`,
      );
  }
  return lines;
}

/** What to have ready before the first step. Nothing, when there is nothing to do. */
export function preparationFor(steps: readonly Step[], context: Context): string[] {
  if (steps.length === 0) return [];
  if (context.place === 'home') return preparationAtHome(steps, context);
  return ['Back to the wind, item low and close to you, or into the car. Caps in a closed pocket, not in the sand.'];
}

/** The protecting filter, as the user’s school has it. */
function filterLine({ kind, traits, schools }: Context): string[] {
  if (kind !== 'lens' || traits.filterStuck) return [];
  switch (schools.filter) {
    case 'always':
      return ['A checked, clean filter goes back on.'];
    case 'harsh-places':
      return traits.filterFitted ? ['The filter goes back on before sand, spray or a crowd; otherwise it may stay off.'] : [];
    case 'never':
      return traits.filterFitted ? ['Your school leaves the filter off: keep it in its case.'] : [];
    default:
      return schools.filter satisfies never;
  }
}

/** What ends the work: caps last, and hands off. */
export function closingFor(steps: readonly Step[], context: Context): string[] {
  if (steps.length === 0) return [];
  const lines = [...filterLine(context)];
  if (steps.some((s) => familyOf(s.surface) === 'sensor')) lines.push('Take one more test frame with the lens you will use next.');
  lines.push(context.kind === 'filter' ? 'Blow out its case and put it away.' : 'Blow out the caps and put them on.');
  if (steps.some((s) => s.cautions.includes('mould')))
    lines.push('Seal the used wipes in a bag, throw them out, wash your hands. Keep it apart from the rest.');
  lines.push('Hands off the glass.');
  return lines;
}
