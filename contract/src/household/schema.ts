import Joi from 'joi';
import { id } from '../joi.js';

/** How the program and what it stands on are doing. */
export type Health = {
  version: string;
  /** The server’s clock, ISO 8601. */
  now: string;
  /** `ours`: whether the data still lies where this program opened it. */
  database: { kind: 'embedded' | 'postgres'; answers: boolean; ours: boolean };
  /** The last moment written that lies ahead of the clock; null where none does. One of the two is wrong. */
  clock: { datedAhead: string | null };
  /** Null where the data lies on no disk of this machine. */
  disk: { freeBytes: number; marginBytes: number; enough: boolean } | null;
  /** The last good backup; late when a household that has something in it went two days without one. Null in memory. */
  backup: { lastAt: string | null; late: boolean; trouble: string | null } | null;
};

/** What proves that the program that answers holds the folder in which its secret lies. */
export type Holder = { proof: string };
export type ByNonce = { nonce: string };
export const nonceParam = Joi.object<ByNonce>({ nonce: id().required() });

/** A backup that was read back when it was made, and found whole. */
export type BackupFile = { name: string; madeAt: string; bytes: number };

export type Backups = {
  /** Where they are put. */
  folder: string;
  /** Newest first. */
  files: BackupFile[];
  /** Why the last try failed; null when it did not. */
  trouble: string | null;
};

export type BackupFolder = { folder: string };
const MAX_PATH = 1000;
export const backupFolder = Joi.object<BackupFolder>({ folder: Joi.string().trim().max(MAX_PATH).required() });

/** How many rows of a table a file brings, held against what is here. */
export type TableMerge = { table: string; rows: number; fresh: number; same: number; changed: number };

/** What taking a file in would do. */
export type MergePreview = {
  madeAt: string;
  program: string;
  tables: TableMerge[];
};

/** What was taken in, or restored. */
export type TakenIn = { tables: number; rows: number };

const BACKUP_NAME = /^bright-keeper-\d{4}-\d{2}-\d{2}T\d{4}(\d{2})?Z\.zip$/;
export type ByBackupName = { name: string };
export const backupName = Joi.object<ByBackupName>({ name: Joi.string().pattern(BACKUP_NAME).required() });
