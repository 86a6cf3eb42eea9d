import { accessErrors, type Keeper, type KeeperUpdate, type NewKeeper, sameName } from '@bright-keeper/contract';
import { problem } from '../http/index.js';
import { LIMITS } from '../limits.js';
import type { Devices } from './devices.js';
import { type AccessFile, ALONE, type KeptKeeper } from './kept.js';

const trimmed = (name: string): string => name.trim().replaceAll(/\s+/g, ' ');

/** A refusal that stands beside the field it is about. */
const besideField = (code: 'own-name-missing' | 'name-taken', field: keyof NewKeeper) =>
  problem(accessErrors, code, { fields: { [field]: accessErrors[code].title } });

/** Who keeps the household. One alone has no name and is asked for none; from the second on, each is known by theirs. */
export class Keepers {
  constructor(
    private readonly file: AccessFile,
    private readonly devices: Devices,
  ) {}

  all(): readonly KeptKeeper[] {
    return this.file.get().keepers;
  }

  /** Whether they have to be told apart. */
  areSeveral(): boolean {
    return this.all().length > 1;
  }

  find(id: string): KeptKeeper | null {
    return this.all().find((keeper) => keeper.id === id) ?? null;
  }

  /** Who is meant by a name: where there is but one, that one, whatever was typed. */
  named(name: string): KeptKeeper | null {
    if (!this.areSeveral()) return this.all()[0] ?? null;
    return this.all().find((keeper) => sameName(keeper.name) === sameName(name)) ?? null;
  }

  /** For whom whoever sits at the machine and has said no name acts. */
  firstOwner(): KeptKeeper | null {
    return this.all().find(({ role }) => role === 'owner') ?? null;
  }

  /** All of them as one of them sees them; none while there is but one. */
  seenBy(id: string | null, nowMs: number): Keeper[] {
    if (!this.areSeveral()) return [];
    const devices = this.devices.all(nowMs);
    return this.all().map(({ passphrase, ...keeper }) => ({
      ...keeper,
      hasPassphrase: passphrase !== null,
      devices: devices.filter(({ keeperId }) => keeperId === keeper.id).length,
      isThis: keeper.id === id,
    }));
  }

  /** @throws ProblemError 409 where a name is taken or missing, or they are too many. */
  add(id: string, { name, role, ownName }: NewKeeper): void {
    this.file.change(({ keepers }) => {
      const [alone = ALONE] = keepers;
      if (keepers.length <= 1 && alone.name === '' && ownName === undefined) throw besideField('own-name-missing', 'ownName');
      if (keepers.length >= LIMITS.access.keepers) throw problem(accessErrors, 'too-many-keepers');
      const before = keepers.length > 1 ? keepers : [{ ...alone, name: trimmed(ownName ?? alone.name) }];
      if (before.some((one) => sameName(one.name) === sameName(name))) throw besideField('name-taken', 'name');
      return { keepers: [...before, { id, name: trimmed(name), role, passphrase: null }] };
    });
  }

  /** @throws ProblemError 404, or 409 where the name is taken or no owner would be left. */
  update(id: string, { name, role }: KeeperUpdate): void {
    this.change(id, (keeper, others) => {
      if (others.some((one) => sameName(one.name) === sameName(name))) throw besideField('name-taken', 'name');
      return { ...keeper, name: trimmed(name), role };
    });
  }

  /** @param id of whom; null for the owner of a household that nobody was let into yet. */
  setPassphrase(id: string | null, passphrase: string): void {
    if (id === null) this.file.change(() => ({ keepers: [{ ...ALONE, passphrase }] }));
    else this.change(id, (keeper) => ({ ...keeper, passphrase }));
  }

  /** Takes a passphrase and every device away, for one who lost them: a new code brings them in again. */
  takeBack(id: string): void {
    this.change(id, (keeper, others) => {
      if (!others.some(({ role, passphrase }) => role === 'owner' && passphrase !== null)) throw problem(accessErrors, 'last-owner');
      return { ...keeper, passphrase: null };
    });
    this.devices.removeOf(id);
  }

  /** Another passphrase in the place of a lost one, and no device that came before it. */
  reset(id: string | null, passphrase: string): void {
    this.setPassphrase(id, passphrase);
    if (id !== null) this.devices.removeOf(id);
  }

  /** Lets one go with every device, at once. What they did stays in the log under their name. */
  remove(id: string): void {
    this.change(id, () => null);
    this.devices.removeOf(id);
  }

  private change(id: string, change: (keeper: KeptKeeper, others: readonly KeptKeeper[]) => KeptKeeper | null): void {
    this.file.change(({ keepers }) => {
      const keeper = keepers.find((one) => one.id === id);
      if (!keeper) throw problem(accessErrors, 'no-such-keeper');
      const next = change(
        keeper,
        keepers.filter((one) => one !== keeper),
      );
      const left = keepers.flatMap((one) => (one === keeper ? (next ?? []) : one));
      if (!left.some(({ role }) => role === 'owner')) throw problem(accessErrors, 'last-owner');
      return { keepers: left };
    });
  }
}
