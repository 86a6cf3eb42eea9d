import { bestStrokes, swabFor, type SwabStrokes } from '../sensor/swabs.js';
import { mayTouch } from '../supplies/mayTouch.js';
import type { Context } from './types.js';

/**
 * How the sensor would be swabbed with what is in the drawer: the width that needs the fewest lanes. A swab whose
 * width nobody wrote down counts as the right one; null when every swab on hand is too wide for this sensor.
 */
export function swabOnHand({ traits, onHand }: Pick<Context, 'traits' | 'onHand'>): SwabStrokes | null {
  const format = traits.sensorFormat ?? 'full-frame';
  const swabs = (onHand ?? []).filter((thing) => thing.id === 'sensor-swab' && mayTouch(thing, 'sensor-cover').ok);
  const widths = swabs.map((s) => s.widthMm).filter((w) => w !== undefined);
  return widths.length === 0 || widths.length < swabs.length ? swabFor(format) : bestStrokes(format, widths);
}
