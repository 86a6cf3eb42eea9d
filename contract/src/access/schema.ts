import Joi from 'joi';
import { id } from '../joi.js';
import { KEEPER_NAME_MAX, type Keeper } from './keepers.js';

/** As short as a passphrase may be: four short words (OWASP ASVS 4.0.3, 2.1.1: twelve characters at least). */
const PASSPHRASE_MIN = 12;
/** As long as it may be (ASVS 2.1.2: 64 must be possible, more than 128 must not). */
export const PASSPHRASE_MAX = 128;
/** Fewer different characters than this are a row of keys, and no passphrase. */
const PASSPHRASE_DIFFERENT = 5;

/** How long a device that does not come stays let in, days. */
export const SESSION_DAYS = { least: 1, usual: 30, most: 365 } as const;

/** A code for pairing is so many digits: two groups of four, to be read across a room. */
export const CODE_DIGITS = 8;
/** It holds for so long. */
export const CODE_MINUTES = 10;

export const DEVICE_NAME_MAX = 60;

/** What a phone or browser is called before anybody names it. */
const deviceName = () =>
  Joi.string()
    .max(DEVICE_NAME_MAX)
    .pattern(/\S/)
    .messages({ 'string.pattern.base': 'Give it a name, so that you know it again in the list.' })
    .required();

/** Letters that look alike are the same, whichever keyboard they come from. */
export const sameWay = (passphrase: string): string => passphrase.normalize('NFKC');

export type NewPassphrase = { passphrase: string; /** Whether whoever is let in now has to come anew. */ endOthers: boolean };
export const newPassphrase = Joi.object<NewPassphrase>({
  passphrase: Joi.string()
    .min(PASSPHRASE_MIN)
    .max(PASSPHRASE_MAX)
    .custom((value: string, helpers) =>
      new Set(sameWay(value)).size >= PASSPHRASE_DIFFERENT
        ? value
        : helpers.message({ custom: 'That is too easily guessed: use at least five different characters, better four words.' }),
    )
    .messages({ 'string.min': `At least ${PASSPHRASE_MIN} characters: four words that have nothing to do with each other are good.` })
    .required(),
  endOthers: Joi.boolean().required(),
});

export type NetworkUpdate = { open: boolean; sessionDays: number };
export const networkUpdate = Joi.object<NetworkUpdate>({
  open: Joi.boolean().required(),
  sessionDays: Joi.number().integer().min(SESSION_DAYS.least).max(SESSION_DAYS.most).required(),
});

export type Pairing = { code: string; name: string };
export const pairing = Joi.object<Pairing>({
  code: Joi.string()
    .pattern(/^\d{8}$/)
    .messages({ 'string.pattern.base': 'The code is eight digits.' })
    .required(),
  name: deviceName(),
});

/** `keeper`: which of several one is, by name. */
export type SignIn = { passphrase: string; name: string; keeper?: string };
/** A wrong one is told as wrong, however it looks. */
const anyPassphrase = () => Joi.string().max(PASSPHRASE_MAX).required();
export const signIn = Joi.object<SignIn>({
  passphrase: anyPassphrase(),
  name: deviceName(),
  keeper: Joi.string().max(KEEPER_NAME_MAX).allow(''),
});

export type Proof = { passphrase: string };
export const proof = Joi.object<Proof>({ passphrase: anyPassphrase() });

/** Whether the key of a hygrometer or a calendar address may come unencrypted: the key as it was just made, or null for no more. */
export type UnencryptedKey = { id: string; key: string | null };
export const unencryptedKey = Joi.object<UnencryptedKey>({
  id: id().required(),
  key: Joi.string().max(100).required().allow(null),
});

/** A phone or browser that is let in from the network. */
export type PairedDevice = {
  id: string;
  name: string;
  cameBy: 'code' | 'passphrase';
  addedAt: string;
  seenAt: string;
  /** The address it was last seen at. */
  seenFrom: string;
  /** When it has to come anew, if it is not seen before. */
  endsAt: string;
  /** Whether it is the one that asks. */
  isThis: boolean;
  /** Whose it is, where there are several keepers. */
  keeper: string | null;
};

/** Why the network is not answered although it should be, or not as it should. */
export type NetworkTrouble = 'port-taken' | 'no-address' | 'certificate-unreadable' | 'certificate-ended';

/** How the network is answered. */
export type NetworkState = {
  /** Whether it is to be answered. */
  open: boolean;
  /** Whether this program can be opened to it at all. */
  possible: boolean;
  /** Where it answers now, over TLS. */
  addresses: string[];
  /** Where a phone begins that does not trust it yet, in plain HTTP; empty with a certificate that phones trust already. */
  beginAt: string[];
  /** Where keys that may come unencrypted are answered. */
  unencryptedAt: string[];
  /** SHA-256 of the household's own authority, to be compared by eye; null with another's certificate. */
  fingerprint: string | null;
  /** Until when the present certificate holds; the household's own is renewed by itself. */
  certificateUntil: string | null;
  trouble: NetworkTrouble | null;
};

/** Who may come in, as whoever is in sees it. */
export type Access = {
  isIn: true;
  from: 'machine' | 'network';
  /** Whether whoever asks has one; at the machine, the owner. */
  hasPassphrase: boolean;
  /** All who keep this household; empty while it is one alone. */
  keepers: Keeper[];
  /** Whether whoever asks may let others in, once the passphrase was given. */
  mayLetIn: boolean;
  sessionDays: number;
  network: NetworkState;
  devices: PairedDevice[];
  /** Until when a code lets a device in; null where none does: it was used, has ended, or was guessed at. */
  codeUntil: string | null;
  /** The hygrometers and calendar addresses whose keys may come unencrypted, by id. */
  unencrypted: string[];
  /** Until when this browser counts as having given the passphrase just now; null where it has to be given for what only an owner may do. */
  provedUntil: string | null;
};

/** What whoever is not in is told: that somebody is here, and whether there are several of whom one has to say which. */
export type Outsider = { isIn: false; asksName: boolean };

/** A code that lets one device in, once. */
export type PairingCode = { code: string; endsAt: string };
