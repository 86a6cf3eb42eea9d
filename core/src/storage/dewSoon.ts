import type { Dew } from '../air/index.js';
import { bareTauMinutes, type TypicalThing } from './warmUp.js';

/**
 * After how many minutes out there a front takes dew that comes from a warmer room: it cools towards what the sky makes of
 * it. 0 where it is cold enough already, null where it never takes any.
 */
export function dewAfterMinutes(fromC: number, { glassC, dewPointC, dew }: Dew, thing: TypicalThing): number | null {
  if (!dew) return null;
  return fromC <= dewPointC ? 0 : bareTauMinutes(thing) * Math.log((fromC - glassC) / (dewPointC - glassC));
}
