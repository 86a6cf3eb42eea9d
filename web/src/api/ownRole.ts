import { ROLES, type Role } from '@bright-keeper/contract';
import { outside } from '../outside';

const HEADER = 'keeper-role';
const PLACE = 'own-role';

const roleIn = (text: string | null): Role | null => ROLES.find((role) => role === text) ?? null;

/** What whoever is at this browser may do, as the household last said; null where it is kept by one alone, and nothing is said. */
class OwnRole {
  private role: Role | null | undefined;
  private readonly listeners = new Set<() => void>();

  readonly get = (): Role | null => {
    if (this.role === undefined) this.role = roleIn(outside.recall(PLACE));
    return this.role;
  };

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Said with every answer of the household; remembered, so that it is known out of its reach as well. */
  heardIn(headers: Headers): void {
    const said = roleIn(headers.get(HEADER));
    if (said === this.get()) return;
    this.role = said;
    outside.remember(PLACE, said);
    for (const listener of this.listeners) listener();
  }
}

export const ownRole = new OwnRole();
