import type { Request } from 'express';

/** Who asks: whoever is at the machine itself, or somebody on its network, who may be let in. */
export type Asker = {
  from: 'machine' | 'network';
  source: string;
  device: string | null;
  /** Whether an owner's hand is known to be at it: on the machine, or by the passphrase just given. */
  isOwner: boolean;
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
