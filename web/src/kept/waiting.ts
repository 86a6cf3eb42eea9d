import type {
  Cleaning,
  HandReading,
  HappenedOutdoors,
  LookAnswer,
  LookDoc,
  LookPhotoQuery,
  Problem,
  TimerInput,
  WaitForHome,
} from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';

/** The version of what is written here; one from a later program is left alone by this one. */
export const WAITING_VERSION = 1;

type Common = {
  v: number;
  /** Of the document itself, made here where it began here. */
  id: string;
  /** The thing it is about; null where it is about none. */
  itemId: string | null;
  /** What it is about, by name. */
  name: string;
  /** The order in which all of it is carried over, whatever this device's clock does. */
  seq: number;
  /** When it was first kept, ms, by this device's clock. */
  keptMs: number;
  /** Counts with every change, so that what is changed while it is on its way stays. */
  rev: number;
  /** Why the household did not take it; null while that was not tried, or it did not answer. */
  trouble: Problem | null;
};

export type WaitingLook = Common & { kind: 'look'; look: LookDoc; base: LookAnswer[] | null; endedMs: number | null };
export type WaitingCleaning = Common & {
  kind: 'cleaning';
  cleaning: Cleaning;
  schools: Partial<care.Schools>;
  base: care.BenchEvent[] | null;
  endedMs: number | null;
};
export type WaitingPhoto = Common & LookPhotoQuery & { kind: 'photo'; lookId: string; file: Blob };
export type WaitingHappening = Common & { kind: 'happened'; happened: HappenedOutdoors };
export type WaitingForHome = Common & { kind: 'for-home'; what: WaitForHome };
export type WaitingReading = Common & {
  kind: 'reading';
  reading: HandReading & { at: string };
  /** The hygrometer it was read from; null where the place has none yet and one is made with it. */
  deviceId: string | null;
  place: { id: string; name: string } | null;
};
export type WaitingTimer = Common & { kind: 'timer'; timer: TimerInput };

/** Something that was done here and that the household does not know yet. */
export type Waiting = WaitingLook | WaitingCleaning | WaitingPhoto | WaitingHappening | WaitingForHome | WaitingReading | WaitingTimer;

/** Of which thing, and in which order: what is common to all that is kept. */
export type About = Pick<Common, 'id' | 'itemId' | 'name'>;

/** Something new to be kept. */
export const freshly = (about: About, now: Date): Common => ({
  v: WAITING_VERSION,
  ...about,
  seq: 0,
  keptMs: now.getTime(),
  rev: 0,
  trouble: null,
});
