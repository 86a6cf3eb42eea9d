import type { Role } from '@bright-keeper/contract';
import type { Request } from 'express';
import type { KeptKeeper } from './kept.js';

/** Who asks: whoever is at the machine itself, or somebody on its network, who may be let in. */
export type Asker = {
  from: 'machine' | 'network';
  source: string;
  device: string | null;
  /** Who it is; null for a stranger, and at the machine while nobody there has said. */
  keeper: Pick<KeptKeeper, 'id' | 'name' | 'role'> | null;
  /** Whether it is sure that it is them and not who found their device: at the machine, or by the passphrase just given. */
  isProved: boolean;
};

const askers = new WeakMap<Request, Asker>();
export const noteAsker = (request: Request, asker: Asker): void => void askers.set(request, asker);

/** @throws Error where nobody looked who asks: nothing is answered then. */
export function askerOf(request: Request): Asker {
  const asker = askers.get(request);
  if (!asker) throw new Error(`Nobody looked who asks for ${request.method} ${request.path}.`);
  return asker;
}

export const isIn = ({ from, device }: Asker): boolean => from === 'machine' || device !== null;

/** Whoever is at the machine and has said no name holds all of it in their hands. */
export const roleOf = ({ from, keeper }: Asker): Role => keeper?.role ?? (from === 'machine' ? 'owner' : 'reader');

/** As whom the log tells of them; null where there is nobody to be told from. */
export const handOf = ({ keeper }: Asker): string | null => keeper?.name || null;
