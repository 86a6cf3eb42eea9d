import canonicalizeModule from 'canonicalize';
import type { Finding, ItemKind, Traits, Verdict } from '../care/index.js';
import type { Surface } from '../care/knowledge/index.js';
import type { ThingLogData } from '../schedule/index.js';

// The package is a function in CommonJS; its types tell of a module with one.
const canonicalize = canonicalizeModule as unknown as (input: unknown) => string;

/** What a condition report may tell beside what the thing is: whoever makes it chooses. */
export const REPORT_PARTS = ['serial', 'prices', 'surfaces', 'photographs', 'air', 'care', 'opened', 'measured', 'notes'] as const;
export type ReportPart = (typeof REPORT_PARTS)[number];

/** A surface as the last look or clean left it; nothing but its name where nobody has looked. */
export type ReportedSurface = {
  surface: Surface;
  name: string;
  findings: Omit<Finding, 'surface'>[];
  verdict?: Verdict;
  asOf?: string;
  says: string;
};
/** What was done or happened, at its time, in words. */
export type ReportedEntry = { at: string; what: string; lines: string[] };

/** A thing in a report: every part that was chosen is there, though it may have nothing to tell; no other is. */
export type ReportedThing = {
  name: string;
  kind: ItemKind;
  traits: Traits;
  /** Since when anything is noted of it: of what was before nothing is known here. */
  notedSince: string;
  /** What is written down of it, name by name. */
  facts: [string, string][];
  surfaces?: ReportedSurface[];
  /** JPEG in base64 (RFC 4648), and how many more there are. */
  photographs?: { of: string; at: string; jpeg: string }[];
  photographsLeftOut?: number;
  air?: string[];
  care?: ReportedEntry[];
  opened?: ReportedEntry[];
  measured?: ReportedEntry[];
};

/** The state of things as one household has noted it, by what was seen and measured. */
export type ConditionReport = {
  format: 'condition-report';
  edition: 1;
  madeAt: string;
  /** By whose clock its sentences tell time. */
  timeZone: string;
  parts: ReportPart[];
  things: ReportedThing[];
};

/** A report with the household's signature under it (Ed25519, RFC 8032): key and signature in base64url (RFC 4648). */
export type SignedReport = {
  report: ConditionReport;
  signature: { algorithm: 'Ed25519'; publicKey: string; value: string };
};

/** What is signed, in UTF-8: the report in the one way JSON can be written down canonically (RFC 8785). */
export const signedText = (report: ConditionReport): string => canonicalize(report);

/** What of a thing's log is its care: what was seen, done and met. Who borrowed it and where it lay is nobody else's. */
const CARE = [
  'look',
  'clean',
  'care',
  'outdoors',
  'frame',
  'quarantined',
  'released',
  'cap-missing',
] as const satisfies ThingLogData['kind'][];
export const isCare = ({ kind }: ThingLogData): boolean => (CARE as readonly string[]).includes(kind);

type Entry = { at: string; data: ThingLogData };
export type Opening =
  | { at: string; by: 'keeper'; data: Extract<ThingLogData, { kind: 'opened' }> }
  /** It was at a workshop; what was done there is not known from that. */
  | { at: string; by: 'workshop'; to: string | null; backAt: string | null };

/** Who had it open, oldest first: the keeper, or a workshop it was sent to. @param log oldest first. */
export function openingsOf(log: readonly Entry[]): Opening[] {
  return log.flatMap(({ at, data }, i): Opening[] => {
    if (data.kind === 'opened') return [{ at, by: 'keeper', data }];
    if (data.kind !== 'away' || data.why !== 'service') return [];
    const next = log.slice(i + 1).find((e) => e.data.kind === 'back' || e.data.kind === 'away');
    return [{ at, by: 'workshop', to: data.to ?? null, backAt: next?.data.kind === 'back' ? next.at : null }];
  });
}
