import type { care, schedule } from '@bright-keeper/core';
import type { Neighbour } from '../storage/places.js';
import type { ImportMapping, ItemInput, ItemStatus } from './schema.js';

export type SurfaceState = {
  surface: care.Surface;
  findings: { soil: care.Soil; severity: care.Severity }[];
  verdict: care.Verdict;
  because: care.Because;
  /** Instant of the look or clean this is known from. */
  knownSince: string;
};

export type Due = schedule.DueWindow & { id: string; task: schedule.TaskId; because: schedule.DueBecause[] };

export type Item = ItemInput & {
  id: string;
  version: number;
  status: ItemStatus;
  archivedAt: string | null;
  createdAt: string;
  updatedAt: string;
};

/** A thing as the shelf shows it. */
export type ShelfItem = Item & {
  surfaces: SurfaceState[];
  /** Gravest verdict over its surfaces; null when it was never looked at. */
  verdict: care.Verdict | null;
  nextDue: Due | null;
};
export type Shelf = { items: ShelfItem[]; nextCursor: string | null; total: number };

/** A thing with everything its page shows. */
export type ItemPage = ShelfItem & {
  due: Due[];
  /** Touches per surface over the last 12 months. */
  contacts: Partial<Record<care.Surface, number>>;
  /** A gentle word about surfaces that are touched without evidence or more than their peers. */
  gentleWords: Partial<Record<care.Surface, care.GentleWord>>;
  /** Where it lies; null when nobody has said. */
  place: { id: string; name: string; since: string } | null;
  /** What shared a place with it in the last 12 weeks it was kept with others; only while it is in quarantine. */
  neighbours: Neighbour[];
  openTeardownId: string | null;
  openLookId: string | null;
  openCleaningId: string | null;
};

export type LogData =
  | { kind: 'added' | 'imported' | 'archived' | 'restored' | 'quarantined' | 'released' }
  | { kind: 'edited'; changed: string[] }
  | {
      kind: 'look';
      lookId: string;
      verdicts: { surface: care.Surface; verdict: care.Verdict; findings: { soil: care.Soil; severity: care.Severity }[] }[];
      notes: { surface: care.Surface; note: string }[];
      looked: number;
    }
  | {
      kind: 'clean';
      cleaningId: string;
      place: care.Place;
      outcomes: Partial<Record<care.Surface, care.Outcome>>;
      contacts: Partial<Record<care.Surface, number>>;
      methods: care.Method[];
      minutes: number;
    }
  | { kind: 'care'; task: schedule.TaskId }
  | { kind: 'moved'; placeName: string | null }
  | { kind: 'outdoors'; happening: care.HappeningId }
  | { kind: 'opened'; depth: care.Depth; stages: number };
export type LogEntry = { id: string; itemId: string; at: string; data: LogData };
export type Log = { entries: LogEntry[]; nextCursor: string | null };

export type ImportRow = { line: number; input: ItemInput | null; cells: Record<string, string>; errors: Record<string, string> };
export type ImportPreview = {
  encoding: string;
  delimiter: string;
  columns: string[];
  mapping: ImportMapping;
  total: number;
  good: number;
  bad: number;
  /** Every bad row up to a limit, and the first good ones. */
  rows: ImportRow[];
  /** What was noticed about the file as a whole. */
  notices: string[];
};
export type ImportResult = { imported: number };
