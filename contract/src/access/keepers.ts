import Joi from 'joi';
import { id } from '../joi.js';

/** What a keeper may do: everything; everything but letting others in; or look only. */
export const ROLES = ['owner', 'keeper', 'reader'] as const;
export type Role = (typeof ROLES)[number];

export const KEEPER_NAME_MAX = 40;

/** Names are compared as people say them: capitals and double spaces tell nobody apart. */
export const sameName = (name: string): string => name.normalize('NFKC').trim().replaceAll(/\s+/g, ' ').toLowerCase();

const keeperName = () =>
  Joi.string()
    .max(KEEPER_NAME_MAX)
    .pattern(/\S/)
    .messages({ 'string.empty': 'Give a name, as you call each other.', 'string.pattern.base': 'Give a name, as you call each other.' });
const role = () => Joi.string().valid(...ROLES);

/** One more keeper. `ownName`: what whoever was alone until now is called from here on. */
export type NewKeeper = { name: string; role: Role; ownName?: string };
export const newKeeper = Joi.object<NewKeeper>({ name: keeperName().required(), role: role().required(), ownName: keeperName() });

export type KeeperUpdate = { name: string; role: Role };
export const keeperUpdate = Joi.object<KeeperUpdate>({ name: keeperName().required(), role: role().required() });

/** For whom a code lets a device in; for whoever asks unless said. */
export type CodeFor = { keeperId?: string };
export const codeFor = Joi.object<CodeFor>({ keeperId: id() });

/** One of several who keep the household, as the others see it. */
export type Keeper = {
  id: string;
  name: string;
  role: Role;
  hasPassphrase: boolean;
  /** So many devices of theirs are let in. */
  devices: number;
  /** Whether it is the one who asks. */
  isThis: boolean;
};
