import { customType } from 'drizzle-orm/pg-core';
import type Joi from 'joi';

/** Turns the data of one version into that of the next. */
export type Upgrade = (data: unknown) => unknown;

/**
 * A kind of document kept as JSON in a column, as `{ v, data }`: what it is called, which version is written now,
 * how each earlier version becomes the next, and the shape that is checked when it is read.
 */
export type DocumentKind<T> = {
  name: string;
  version: number;
  schema: Joi.Schema;
  /** By the version they start from: one for each before the present one. */
  upgrades: Readonly<Record<number, Upgrade>>;
  /** What is kept of it, where the tables of knowledge tell the rest, and how it is made whole again. */
  lay?: (value: T) => unknown;
  makeWhole?: (kept: never) => T;
};

/** Where documents of a kind lie; a row may be without one only where that is said. */
export type DocumentColumn = {
  table: string;
  column: string;
  key: readonly string[];
  kind: DocumentKind<unknown>;
  isOptional?: true;
};

/** A document that cannot be read: it was written by a newer program, or it is not what its kind is. */
export class UnreadableDocument extends Error {
  constructor(
    readonly document: string,
    detail: string,
  ) {
    super(`${document}: ${detail}`);
  }
}

/** @throws Error when a version has no way to the next one. */
export function defineDocument<T>(kind: DocumentKind<T>): DocumentKind<T> {
  for (let v = 1; v < kind.version; v++)
    if (!kind.upgrades[v]) throw new Error(`document ${kind.name}: there is no upgrade from version ${v} to ${v + 1}`);
  return kind;
}

type Kept = { v: number; data: unknown };
const isKept = (raw: unknown): raw is Kept => typeof raw === 'object' && raw !== null && 'v' in raw && 'data' in raw;

/** The data in the present version; not checked yet. */
export function upgraded<T>({ name, version, upgrades }: DocumentKind<T>, raw: unknown): unknown {
  if (!isKept(raw) || !(raw.v >= 1)) throw new UnreadableDocument(name, 'it carries no version');
  if (raw.v > version) throw new UnreadableDocument(name, `version ${raw.v} is newer than ${version}: start the newer program`);
  let { data } = raw;
  for (let v = raw.v; v < version; v++) data = upgrades[v]!(data);
  return data;
}

/** @throws UnreadableDocument naming the place in it that is not as it should be. */
export function readDocument<T>(kind: DocumentKind<T>, raw: unknown): T {
  const data = upgraded(kind, raw);
  const { error } = kind.schema.validate(data, { abortEarly: true, convert: false });
  if (error) throw new UnreadableDocument(kind.name, `${error.details[0]!.path.join('.')}: ${error.message}`);
  return kind.makeWhole ? kind.makeWhole(data as never) : (data as T);
}

export const keptDocument = <T>(kind: DocumentKind<T>, value: T): Kept => ({ v: kind.version, data: kind.lay ? kind.lay(value) : value });

/** A column that holds documents of one kind: versioned when written, upgraded and checked when read. */
export const document = <T>(column: string, kind: DocumentKind<T>) =>
  customType<{ data: T; driverData: unknown }>({
    dataType: () => 'jsonb',
    toDriver: (value) => JSON.stringify(keptDocument(kind, value)),
    fromDriver: (raw) => readDocument(kind, typeof raw === 'string' ? (JSON.parse(raw) as unknown) : raw),
  })(column);
