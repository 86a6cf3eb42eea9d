import type { Finding, ItemKind, Outcome, Place, Traits, Verdict } from '../care/index.js';
import type { Depth } from '../care/kinds/index.js';
import type { HappeningId, Method, Surface } from '../care/knowledge/index.js';
import type { FileRole, Gone, Particulars } from '../gear/index.js';
import type { Light } from '../inspection/index.js';
import type { GelAct } from '../storage/index.js';
import { inOrder, localDay, type Day } from './day.js';
import type { DutyCode } from './duties/index.js';
import type { SubjectRef } from './subjects.js';

/** Why a thing is not here. */
export const AWAY_REASONS = ['service', 'loan', 'trip', 'other'] as const;
export type AwayReason = (typeof AWAY_REASONS)[number];
/** Why a duty was passed over. */
export const SKIP_REASONS = ['not-needed', 'done-elsewhere', 'no-time', 'lived-with', 'other'] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];

/** What stood in the fields of a thing before they were changed. */
export type FieldsBefore = {
  name?: string;
  kind?: ItemKind;
  traits?: Traits;
  notes?: string;
  acquiredOn?: Day | null;
  belongsTo?: string | null;
};

/** What a look found, and what was noted at it. */
export type LookSaid = {
  verdicts: { surface: Surface; verdict: Verdict; findings: Omit<Finding, 'surface'>[] }[];
  notes: { surface: Surface; note: string }[];
};

/** What was done with a thing, or what happened to it. */
export type ThingEntry =
  | { kind: 'added' | 'imported' | 'restored' | 'quarantined' | 'released' }
  /** Taken off the shelf; why it is the household's no more, where it is gone for good. */
  | { kind: 'archived'; gone?: Gone }
  /** Some of several equal ones became a line of their own; or it is such a line, and of what. */
  | { kind: 'split'; of: 'from' | 'off'; name: string; count: number }
  /** A picture or a paper of it that is kept no more. */
  | { kind: 'file-removed'; role: FileRole; name: string }
  /** What was changed, and what stood there before: of its particulars, and of its other fields; earlier versions did not keep that. */
  | { kind: 'edited'; changed: string[]; was?: Particulars; before?: FieldsBefore }
  | (LookSaid & {
      kind: 'look';
      lookId: string;
      looked: number;
      /** Which surfaces were answered; left out by an earlier version, whose looks count for all. */
      seen?: Surface[];
      /** How many photographs were taken. */
      photos?: number;
      /** By what light, where many were told of at once. */
      light?: Light;
      /** What was said of it before it was corrected. */
      before?: LookSaid;
    })
  | {
      kind: 'clean';
      cleaningId: string;
      place: Place;
      outcomes: Partial<Record<Surface, Outcome>>;
      contacts: Partial<Record<Surface, number>>;
      methods: Method[];
      minutes: number;
      /** A sticky finish was worked on: what is left of it is pressed again. */
      tacky?: boolean;
    }
  /** A test frame of its sensor was read. */
  | { kind: 'frame'; frameId: string; fNumber: number; specks: number }
  | { kind: 'moved'; placeName: string | null }
  /** Since when it lies where it does was corrected; what was said before. */
  | { kind: 'stay-told'; placeName: string | null; since: string; before: { placeId: string; placeName: string; since: string } }
  | { kind: 'outdoors'; happening: HappeningId }
  | { kind: 'opened'; depth: Depth; stages: number }
  /** Surfaces put off in the field. */
  | { kind: 'left-for-home'; surfaces: Surface[] }
  /** Something it shared a place with went into quarantine; `name` is null where an earlier version did not keep it. */
  | { kind: 'neighbour-isolated'; name: string | null }
  /** One of its caps is lost; that it has one again is ticked off. */
  | { kind: 'cap-missing'; surface: Surface }
  /** Since when it is not here, until when if that was agreed, whom it is with, and what a workshop asks for it. */
  | { kind: 'away'; why: AwayReason; until: Day | null; to?: string; estimate?: number }
  | { kind: 'back' };

/** What can be done to any duty, whatever it is about. */
export type DutyEntry =
  /** Ticked off: it was done by doing it. */
  | { kind: 'care'; task: DutyCode }
  | { kind: 'skipped'; task: DutyCode; reason: SkipReason; note: string }
  | { kind: 'snoozed'; task: DutyCode; until: Day }
  /** Put on a day by the keeper, and kept there; null lets it go again. */
  | { kind: 'planned'; task: DutyCode; day: Day | null }
  /** Takes back an earlier entry: as if it had never been written. */
  | { kind: 'undone'; entryId: string };

export type JournalData =
  | ThingEntry
  | DutyEntry
  /** A salt test of a hygrometer. */
  | { kind: 'salt-test' }
  /** What was done to a place and its desiccant. */
  | { kind: 'place-opened' }
  | ({ kind: 'gel' } & { act: GelAct['kind'] })
  | { kind: 'washed' };

/** What is said of the calendar alone: a thing's own log does not tell it. */
export const OF_THE_CALENDAR = ['snoozed', 'planned', 'undone'] as const satisfies DutyEntry['kind'][];
/** What a thing's own log tells. */
export type ThingLogData = ThingEntry | Exclude<DutyEntry, { kind: (typeof OF_THE_CALENDAR)[number] }>;

export type JournalKind = JournalData['kind'];
export type Entry = { id: string; at: string; subject: SubjectRef; data: JournalData };
/** An entry with the household's day it was written on. */
export type DatedEntry = Entry & { day: Day };

/** Entries that may be taken back: those that only say something, and changed nothing else. */
export const UNDOABLE: readonly JournalKind[] = ['care', 'skipped', 'snoozed', 'planned', 'away', 'back', 'cap-missing', 'washed'];

/** It was passed over. */
export const isSkipped = (data: JournalData, code: string): boolean => data.kind === 'skipped' && data.task === code;
/** It was ticked off or passed over: the next one is counted from then. */
export const isTicked = (data: JournalData, code: string): boolean => (data.kind === 'care' && data.task === code) || isSkipped(data, code);

/**
 * The journal by subject, oldest first, without what was taken back, and without what is dated after the day of `now`:
 * that was written by a clock that ran ahead, and nobody knows when it was done.
 */
export class Journal {
  private readonly bySubject = new Map<SubjectRef['kind'], Map<string, DatedEntry[]>>();

  constructor(entries: readonly Entry[], timeZone: string, now: string) {
    const undone = new Set(entries.flatMap((e) => (e.data.kind === 'undone' ? [e.data.entryId] : [])));
    const today = localDay(now, timeZone);
    const standing = entries.filter((e) => e.data.kind !== 'undone' && !undone.has(e.id));
    for (const entry of standing.sort((a, b) => inOrder(a.at, b.at) || inOrder(a.id, b.id))) {
      const { kind, id } = entry.subject;
      const dated = { ...entry, day: localDay(entry.at, timeZone) };
      if (dated.day > today) continue;
      const ofKind = this.bySubject.get(kind) ?? new Map<string, DatedEntry[]>();
      this.bySubject.set(kind, ofKind);
      const there = ofKind.get(id);
      if (there) there.push(dated);
      else ofKind.set(id, [dated]);
    }
  }

  of({ kind, id }: SubjectRef): readonly DatedEntry[] {
    return this.bySubject.get(kind)?.get(id) ?? [];
  }

  /** What was written about the same subject after an entry; of one instant, by the order of writing. */
  after(entry: DatedEntry): readonly DatedEntry[] {
    const all = this.of(entry.subject);
    return all.slice(all.findIndex((e) => e.id === entry.id) + 1);
  }

  last(subject: SubjectRef, matches: (data: JournalData) => boolean): DatedEntry | null {
    const all = this.of(subject);
    for (let i = all.length - 1; i >= 0; i--) if (matches(all[i]!.data)) return all[i]!;
    return null;
  }

  count(subject: SubjectRef, matches: (data: JournalData) => boolean): number {
    let n = 0;
    for (const { data } of this.of(subject)) if (matches(data)) n++;
    return n;
  }
}
