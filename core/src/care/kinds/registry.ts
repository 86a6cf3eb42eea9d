import type { Surface } from '../knowledge/surfaces.js';
import { accessory } from './accessory.js';
import { binocular } from './binocular.js';
import { compact } from './compact.js';
import { drone } from './drone.js';
import { eyepiece } from './eyepiece.js';
import { filmCamera } from './filmCamera.js';
import { filter } from './filter.js';
import { flash } from './flash.js';
import type { Kind } from './kind.js';
import { lens } from './lens.js';
import { mirrorlessBody } from './mirrorlessBody.js';
import { phone } from './phone.js';
import { port } from './port.js';
import { reflector } from './reflector.js';
import { refractor } from './refractor.js';
import { slrBody } from './slrBody.js';
import { teleconverter } from './teleconverter.js';
import { viewfinderLoupe } from './viewfinderLoupe.js';

/** Every kind of thing: the one place where a new one is listed. */
export const KINDS = {
  lens,
  filter,
  'mirrorless-body': mirrorlessBody,
  'slr-body': slrBody,
  compact,
  'film-camera': filmCamera,
  drone,
  flash,
  phone,
  teleconverter,
  eyepiece,
  binocular,
  refractor,
  reflector,
  port,
  'viewfinder-loupe': viewfinderLoupe,
  accessory,
} as const satisfies Record<string, Kind>;

export type ItemKind = keyof typeof KINDS;
export const ITEM_KINDS = Object.keys(KINDS) as ItemKind[];
export const kindFacts = (kind: ItemKind): Kind => KINDS[kind];

/** Relations of the working order that belong to single kinds. */
export const KIND_RELATIONS: readonly (readonly [Surface, Surface])[] = ITEM_KINDS.flatMap((kind) => kindFacts(kind).before);
