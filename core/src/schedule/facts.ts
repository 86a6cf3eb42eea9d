import type { Because, Finding, Verdict } from '../care/index.js';
import type { ItemKind } from '../care/kinds/index.js';
import type { Surface, Traits } from '../care/knowledge/index.js';
import type { Assessment } from '../fungus/index.js';
import type { NextClean, SensorAdvice } from '../sensor/index.js';
import type { DesiccantKind, Disagreement, Leaving, TypicalThing, Wrapping } from '../storage/index.js';
import type { DrawerThing } from '../supplies/index.js';
import type { Day } from './day.js';
import type { Exposure, UseUnit } from './triggers.js';

export type SurfaceFacts = {
  surface: Surface;
  verdict: Verdict;
  findings: Omit<Finding, 'surface'>[];
  because: Because;
  /** When it was last seen so; left out where nobody kept it. */
  knownSince?: string;
};
export type OpenWorkFacts = { work: 'look' | 'cleaning' | 'teardown'; id: string; startedAt: string };
/** Where a thing lies; `since` is an instant. */
export type StayFacts = {
  placeId: string;
  name: string;
  forTravel: boolean;
  since: string;
  /** Does air move through it by itself? Left out: it does. */ aired?: boolean;
};

/** A stay that is over, between two instants. */
export type PastStayFacts = { placeId: string; name: string; since: string; until: string };

/** What the test frames of a body say of its sensor. */
export type SensorFacts = {
  /** When the last one was taken, ISO 8601. */
  frameAt: string;
  advice: SensorAdvice;
  /** Specks that show at the apertures in use. */
  shows: number;
  /** When a clean will be worth it, from then. */
  next: NextClean | null;
};

export type ThingFacts = {
  id: string;
  name: string;
  kind: ItemKind;
  traits: Traits;
  status: 'in-use' | 'quarantined';
  addedAt: string;
  /** How many days after it came its first look is due, where it came in among many; left out, at once. */
  turn?: number;
  surfaces: readonly SurfaceFacts[];
  open: readonly OpenWorkFacts[];
  stay: StayFacts | null;
  /** Where it lay before. */
  stayed?: readonly PastStayFacts[];
  sensor?: SensorFacts | null;
  /** What its plan at home takes at most, minutes, where something is to be cleaned. */
  cleanMinutes?: number;
};

export type PlaceGel = {
  kind: DesiccantKind;
  massG: number;
  left: number;
  spentOn: string | null;
  knownFrom: 'measured' | 'reckoned' | 'indicator';
};
export type PlaceClimateFacts = {
  id: string;
  name: string;
  highPct: number;
  assessment: Assessment | null;
  gel: PlaceGel | null;
  /** The gel in it shows its state by its colour, and since when it lies there. */
  indicatorSince: string | null;
  dampSince: string | null;
  /** When its air was seen to stand over its band, between two instants. */
  dampSpells: readonly { from: string; until: string }[];
  drySince: string | null;
  /** Two hygrometers in it that disagree now; null where none do. */
  apart: Disagreement | null;
  /** When the coming season takes it out of its band; null where it stays, is out already, or nobody can tell. */
  leaves: Leaving | null;
};

export type HygrometerFacts = {
  id: string;
  name: string;
  outdoor: boolean;
  placeName: string | null;
  addedAt: string;
  silent: boolean;
  lastHeardAt: string | null;
  /** It says that its battery is low: since when, when it said so last, and how full it is; null or left out where it does not. */
  batteryLow?: { since: string; at: string; pct: number | null } | null;
  /** Of a weather station: from when a bare front takes dew tonight; null or left out where it foretells none. */
  dewFrom?: string | null;
};
export type SupplyFacts = DrawerThing & { id: string; addedAt: string };
export type TimerFacts = {
  id: string;
  itemId: string | null;
  itemName: string | null;
  size: TypicalThing | null;
  wrapping: Wrapping;
  startedAt: string;
  endsAt: string;
};

/** What happened on an outing, as far as care has to know. */
export type OutingFacts = {
  id: string;
  name: string;
  from: Day;
  to: Day;
  /** When it was written down. */
  notedAt: string;
  itemIds: readonly string[];
  met: readonly Exposure[];
  counts: Partial<Record<UseUnit, number>>;
  /** One comes in from the cold. */
  isCold?: boolean;
  /** Glass stands under a clear night sky. */
  isUnderSky?: boolean;
  /** Of a thing whose use was counted by itself. */
  countsOf?: Readonly<Record<string, Partial<Record<UseUnit, number>>>>;
};

/** Everything the agenda is made from, besides the journal and the rhythms. */
export type Facts = {
  timeZone: string;
  things: readonly ThingFacts[];
  places: readonly PlaceClimateFacts[];
  hygrometers: readonly HygrometerFacts[];
  supplies: readonly SupplyFacts[];
  outings: readonly OutingFacts[];
  timers: readonly TimerFacts[];
};

export const NO_FACTS: Omit<Facts, 'timeZone'> = { things: [], places: [], hygrometers: [], supplies: [], outings: [], timers: [] };
