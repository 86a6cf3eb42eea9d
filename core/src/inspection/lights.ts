import { surfacesOf, type ItemKind } from '../care/kinds/index.js';
import { familyOf, type Family, type Surface, type Traits } from '../care/knowledge/index.js';

/** By what light one looked: each shows what the one before it shows, and more. */
export const LIGHTS = ['daylight', 'lamp', 'torch'] as const;
export type Light = (typeof LIGHTS)[number];

/**
 * The least light that shows a family of surfaces, as the protocol looks at it (common practice): daylight the outside, a
 * strong lamp from the side the faces of glass and what lies open, a torch through it what lies further in. A sensor is seen
 * in a test frame, by no light.
 */
const SHOWN_BY: Record<Family, Light | 'test-frame'> = {
  shell: 'daylight',
  display: 'daylight',
  leather: 'daylight',
  glass: 'lamp',
  mount: 'lamp',
  contacts: 'lamp',
  cells: 'lamp',
  cap: 'lamp',
  seal: 'lamp',
  thread: 'lamp',
  foam: 'lamp',
  bay: 'lamp',
  bath: 'lamp',
  mirror: 'lamp',
  matte: 'lamp',
  chamber: 'lamp',
  track: 'lamp',
  curtain: 'lamp',
  inner: 'torch',
  blades: 'torch',
  bellows: 'torch',
  sensor: 'test-frame',
};

/** The surfaces of a thing that such a light shows, in the order light meets them. */
export function shownBy(light: Light, kind: ItemKind, traits: Traits = {}): Surface[] {
  const lights = LIGHTS.slice(0, LIGHTS.indexOf(light) + 1) as readonly string[];
  return surfacesOf(kind, traits).filter((surface) => lights.includes(SHOWN_BY[familyOf(surface)]));
}
