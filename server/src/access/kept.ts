import {
  accessErrors,
  DEVICE_NAME_MAX,
  KEEPER_NAME_MAX,
  ROLES,
  SESSION_DAYS,
  uuidText,
  type PairedDevice,
  type Role,
} from '@bright-keeper/contract';
import Joi from 'joi';
import { defineDocument, MachineDocument } from '../db/index.js';
import { problem } from '../http/index.js';

/** A device that is let in, by what its cookie holds: only hashes are kept. */
export type KeptDevice = {
  id: string;
  keeperId: string;
  name: string;
  cameBy: PairedDevice['cameBy'];
  addedAt: string;
  seenAt: string;
  seenFrom: string;
  /** What it shows, since when. */
  hash: string;
  hashSince: string;
  /** What it was given to show from now on and has not shown yet: an answer may be lost on its way. */
  nextHashes: string[];
  /** What it showed before, and until when that still counts: several requests are under way at once. */
  lastHash: string | null;
  lastUntil: string | null;
  /** When the passphrase was last given on it. */
  provedAt: string | null;
};

/** One who keeps the household. The only one may have no name. */
export type KeptKeeper = {
  id: string;
  name: string;
  role: Role;
  /** Argon2id, with its salt and its costs (PHC string format); null where none was chosen. */
  passphrase: string | null;
};

/** Who may come in from the network, and whether it is answered at all. */
type KeptAccess = {
  /** One owner at least; nobody before the first passphrase. */
  keepers: KeptKeeper[];
  open: boolean;
  sessionDays: number;
  devices: KeptDevice[];
  /** Keys that may come unencrypted, as hashes, and whose they are. */
  unencrypted: { id: string; hash: string }[];
};

const hash = () => Joi.string().hex().length(64);
const instant = () => Joi.string().isoDate();
/** Whoever begins a household has this id on every machine: who may come in is about one machine, and two never meet. */
export const FIRST_OWNER = '00000000-0000-4000-8000-000000000001';
export const ALONE: KeptKeeper = { id: FIRST_OWNER, name: '', role: 'owner', passphrase: null };

type AccessV1 = Omit<KeptAccess, 'keepers' | 'devices'> & { passphrase: string | null; devices: Omit<KeptDevice, 'keeperId'>[] };
/** There was one passphrase, and all devices were its owner's. */
function withKeepers(data: unknown): KeptAccess {
  const { passphrase, devices, ...rest } = data as AccessV1;
  const isAnybody = passphrase !== null || devices.length > 0;
  return {
    ...rest,
    keepers: isAnybody ? [{ ...ALONE, passphrase }] : [],
    devices: devices.map((device) => ({ ...device, keeperId: FIRST_OWNER })),
  };
}

const ACCESS = defineDocument<KeptAccess>({
  name: 'access',
  version: 2,
  schema: Joi.object({
    keepers: Joi.array()
      .items(
        Joi.object({
          id: Joi.string().pattern(uuidText).required(),
          name: Joi.string().allow('').max(KEEPER_NAME_MAX).required(),
          role: Joi.valid(...ROLES).required(),
          passphrase: Joi.string()
            .pattern(/^\$argon2id\$/)
            .required()
            .allow(null),
        }),
      )
      .required(),
    open: Joi.boolean().required(),
    sessionDays: Joi.number().integer().min(SESSION_DAYS.least).max(SESSION_DAYS.most).required(),
    devices: Joi.array()
      .items(
        Joi.object({
          id: Joi.string().pattern(uuidText).required(),
          keeperId: Joi.string().pattern(uuidText).required(),
          name: Joi.string().max(DEVICE_NAME_MAX).required(),
          cameBy: Joi.valid('code', 'passphrase').required(),
          addedAt: instant().required(),
          seenAt: instant().required(),
          seenFrom: Joi.string().allow('').required(),
          hash: hash().required(),
          hashSince: instant().required(),
          nextHashes: Joi.array().items(hash()).required(),
          lastHash: hash().required().allow(null),
          lastUntil: instant().required().allow(null),
          provedAt: instant().required().allow(null),
        }),
      )
      .required(),
    unencrypted: Joi.array()
      .items(Joi.object({ id: Joi.string().pattern(uuidText).required(), hash: hash().required() }))
      .required(),
  }),
  upgrades: { 1: withKeepers },
});

const NOBODY: KeptAccess = { keepers: [], open: false, sessionDays: SESSION_DAYS.usual, devices: [], unencrypted: [] };

/** Who may come in: a restored household lets nobody back in who was let go. What cannot be read lets nobody in. */
export class AccessFile extends MachineDocument<KeptAccess> {
  constructor(dataDir: string | null) {
    super(dataDir, {
      at: ['access', 'access.json'],
      kind: ACCESS,
      none: NOBODY,
      unreadable: 'who may come in cannot be read: nobody is let in from the network',
      refusal: () => problem(accessErrors, 'access-unreadable'),
    });
  }
}
