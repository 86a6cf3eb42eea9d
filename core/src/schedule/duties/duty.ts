import type { Basis, Material, Surface, Tool } from '../../care/knowledge/index.js';
import type { SensorAdvice } from '../../sensor/index.js';
import type { TypicalThing, Wrapping, AlertFacts } from '../../storage/index.js';
import type { Verdict } from '../../care/index.js';
import type { ItemKind } from '../../care/kinds/index.js';
import type { SettledBy } from '../settling.js';
import type { DueBecause } from '../because.js';
import type { Day } from '../day.js';
import type {
  Facts,
  HygrometerFacts,
  OpenWorkFacts,
  OutingFacts,
  PlaceClimateFacts,
  SupplyFacts,
  SurfaceFacts,
  ThingFacts,
  TimerFacts,
} from '../facts.js';
import type { Gravity } from '../gravity.js';
import type { AwayReason, DatedEntry, Journal } from '../journal.js';
import type { Rhythm, RhythmChange } from '../rhythms.js';
import type { SetUpId } from '../setUps.js';
import type { NamedSubject, SubjectKind } from '../subjects.js';
import type { Foretold, Use } from '../triggers.js';

/** What the person does in the application that counts as having done it. */
export const DONE_BY = [
  'look',
  'mark',
  'plan',
  'go-on',
  'timer',
  'warm-up',
  'gel',
  'place',
  'what-if',
  'hygrometer',
  'salt-test',
  'wash',
  'drawer',
  'move',
  'back',
  'frame',
] as const;
export type DoneBy = (typeof DONE_BY)[number];

/** What a duty stands on, as facts; the sentence is made in `words`. */
export type DutyFacts =
  | {
      says: 'rhythm';
      because: DueBecause[];
      /** What has to be seen, and how much of it was. */ sight?: { asked: Surface[]; seen: Surface[] };
    }
  /** The last look asks for it. */
  | { says: 'need'; verdict: Exclude<Verdict, 'leave'>; surfaces: SurfaceFacts[] }
  | ({ says: 'open-work' } & OpenWorkFacts)
  | {
      says: 'warming';
      timerId: string;
      itemId: string | null;
      size: TypicalThing | null;
      wrapping: Wrapping;
      startedAt: string;
      endsAt: string;
    }
  | ({ says: 'air' } & AlertFacts & { placeId: string | null; since: string | null })
  | { says: 'salt-test'; lastAt: string | null }
  /** It says so itself; null where it does not say how full. */
  | { says: 'battery'; pct: number | null }
  | { says: 'cloth'; uses: number; washedOn: Day | null; dirty: boolean }
  | { says: 'stock'; thing: Material | Tool; stock: number }
  | { says: 'caps'; missing: Surface[] }
  /** @param agreed the day was agreed, and not only that it has been long */
  | { says: 'away'; why: AwayReason; until: Day; agreed: boolean; to?: string }
  /** The last test frame asks for it, or will before long. */
  | { says: 'sensor'; advice: SensorAdvice; shows: number; frameOn: Day; /** Where it was cleaned since. */ cleanedOn?: Day }
  /** By which station, and from which hour of the household's day. */
  | { says: 'dew'; by: string; fromHour: number }
  | { says: 'outing'; when: 'before' | 'tonight' | 'coming-in'; from: Day; things: { id: string; name: string }[] };

/** Between which local days a duty is done: not before the first, best on the second, at the latest on the third. */
export type Window = { earliest: Day; due: Day; latest: Day };
/** A duty as its record finds it for one subject. */
export type Found = {
  window: Window;
  facts: DutyFacts;
  /** Where it is graver or longer than its kind in general. */
  gravity?: Gravity;
  minutes?: number;
  estimate?: { from: Day; to: Day };
  /** What tells several of one subject apart. */
  part?: string;
  /** What has settled it before, where seeing does; it numbers the occurrences. */
  settled?: readonly DatedEntry[];
};

export type Context = {
  facts: Facts;
  journal: Journal;
  changes: readonly RhythmChange[];
  /** An instant, and the household's day it lies on. */
  now: string;
  today: Day;
  /** How far ahead what recurs is followed. */
  until: Day;
  usesOf: (itemId: string) => readonly Use[];
  /** What the air of a place foretells; nothing of one that is not measured. */
  foretold: (placeId: string) => readonly Foretold[];
  /** Does the air where this thing lies ask for closer looks? */
  fungusRisk: (thing: ThingFacts) => boolean;
};

type Described = {
  name: string;
  /** What the log says once it is done, where that is not its name. */
  done?: string;
  /** What doing it means, in one line. */
  what: string;
  gravity: Gravity;
  setUp: SetUpId;
  minutes: number;
  doneBy: DoneBy;
  /** Present where it recurs: the default, which the keeper may change. */
  rhythm?: Rhythm;
  basis: Basis;
};

type SubjectFacts = {
  thing: ThingFacts;
  place: PlaceClimateFacts;
  hygrometer: HygrometerFacts;
  supply: SupplyFacts;
  outing: OutingFacts;
  household: TimerFacts;
};

/**
 * What is known of a kind of duty: plain data, which the pages read without the code that finds out when it is due. One
 * about things names the kinds it is for; `checkDuty` refuses one that nothing can make due or settle.
 */
export type DutyKind = Described & { about: SubjectKind; kinds: readonly ItemKind[] | 'every'; settledBy: SettledBy };

/** Is it a duty of such a thing at all? */
export const isForKind = ({ kinds }: DutyKind, kind: ItemKind): boolean => kinds === 'every' || kinds.includes(kind);

/** Of each subject it falls due for: what is at hand, and what follows that. */
export type Finder = (code: string, context: Context) => { subject: NamedSubject; found: Found[] }[];

/** When a duty falls due for a subject of its sort. */
export type Due<K extends SubjectKind> = {
  appliesTo?: (subject: SubjectFacts[K], context: Context, code: string) => boolean;
  dueFrom: (subject: SubjectFacts[K], context: Context, code: string) => Found[];
};

const finderFor =
  <K extends SubjectKind>(all: (facts: Facts) => readonly SubjectFacts[K][], named: (subject: SubjectFacts[K]) => NamedSubject) =>
  ({ appliesTo, dueFrom }: Due<K>): Finder =>
  (code, context) =>
    all(context.facts).flatMap((subject) => {
      if (appliesTo && !appliesTo(subject, context, code)) return [];
      const found = dueFrom(subject, context, code);
      return found.length > 0 ? [{ subject: named(subject), found }] : [];
    });

export const thingSubject = ({ id, name, kind }: ThingFacts): NamedSubject => ({ kind: 'thing', id, name, itemKind: kind });
export const ofThings = finderFor<'thing'>((f) => f.things, thingSubject);
export const ofPlaces = finderFor<'place'>(
  (f) => f.places,
  ({ id, name }) => ({ kind: 'place', id, name }),
);
export const ofHygrometers = finderFor<'hygrometer'>(
  (f) => f.hygrometers,
  ({ id, name }) => ({ kind: 'hygrometer', id, name }),
);
export const ofOutings = finderFor<'outing'>(
  (f) => f.outings,
  ({ id, name }) => ({ kind: 'outing', id, name }),
);
