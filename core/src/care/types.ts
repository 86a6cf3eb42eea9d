import type { Because, Lack } from './because.js';
import type { HeldOpen, SwabStrokes } from '../sensor/index.js';
import type { Basis } from './knowledge/basis.js';
import type { HazardId } from './knowledge/hazards.js';
import type { ItemKind, LineId } from './kinds/index.js';
import type { Amount, Use } from './knowledge/amounts.js';
import type { Material, Tool, ToolRole } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import type { SchoolId, Schools } from './knowledge/schools.js';
import type { Severity, Soil } from './soils/index.js';
import type { Measure, Surface } from './knowledge/surfaces.js';
import type { Traits } from './knowledge/traits.js';
import type { Ring } from './reach.js';
import type { Refused, Rule, RuleId } from './rules/index.js';

export type Place = 'home' | 'field';
export type Finding = {
  surface: Surface;
  soil: Soil;
  severity: Severity;
  /** How far across the largest one is, mm, where that was said. */
  sizeMm?: number;
};
/** The weather, and whether fresh water was brought along: outdoors it is not assumed. */
export type Conditions = {
  wind?: boolean;
  blowingSand?: boolean;
  rain?: boolean;
  temperatureC?: number;
  humidityPct?: number;
  freshWater?: boolean;
};

/** A tool or material that is there: where it may be used, and whether it is fit to be used now. */
export type OnHand = {
  id: Tool | Material;
  role?: ToolRole;
  state?: 'clean' | 'dirty';
  /** What one unit cost; the usual price where it is not said. */ unitPrice?: number;
  /** How wide a sensor swab is; the right width where it is not said. */ widthMm?: number;
  /** Which one of the drawer it is, and what it is called there. */ thingId?: string;
  label?: string;
};

export type PlanRequest = {
  item: { kind: ItemKind; traits: Traits };
  findings: Finding[];
  place: Place;
  conditions?: Conditions;
  schools?: Partial<Schools>;
  /** Left out: everything is assumed to be at hand. */
  onHand?: OnHand[];
  /** The list is not all there is: what it does not name is assumed, what it names counts as it says. */
  moreOnHand?: boolean;
  /** The dry run of a sensor clean has been done once; left out: it has not. */
  sensorRehearsed?: boolean;
  /** Outdoors, the kit whose things are at hand, where one was named: so that the same is asked again. */
  kit?: string;
};

export type Motion =
  | 'none'
  | 'air'
  | 'flick-out'
  | 'brush-off'
  | 'spiral-out'
  | 'straight-then-out'
  | 'lay-and-lift'
  | 'run-round'
  | 'lift-off'
  | 'one-way'
  | 'there-and-back'
  | 'roll'
  | 'rub'
  | 'work-through';
export type Orientation = 'facing-down' | 'facing-up' | 'mount-down' | 'any';

/**
 * What to look for after a step. `asks: 'clean'` asks how the surface is as a whole;
 * `asks: 'grains'` asks only whether loose grains are left, because wiping waits for that answer, and
 * `asks: 'crystals'` whether salt is left, because nothing but water goes over it;
 * `asks: 'turning'` asks how hard a thread turns now.
 */
export type Look = { asks: 'clean' | 'grains' | 'crystals' | 'turning' };

/** How hard a ring turns, easiest first. */
export const EFFORTS = ['free', 'light', 'firm', 'hard', 'stuck'] as const;
export type Effort = (typeof EFFORTS)[number];

/** What a wet sensor clean needs beside the swab: how it is drawn, and how the sensor is held open. */
export type SensorWork = { strokes: SwabStrokes; heldOpen: HeldOpen; stabilised: boolean; rehearseFirst: boolean };

/** One thing of the drawer that a step takes in hand: this cloth, this pack. Without an id the drawer does not list it. */
export type Taken = { id: Tool | Material; thingId?: string; label?: string };

/** Which school a step followed, and what else it knows. */
export type SchoolNote = {
  school: SchoolId;
  followed: string;
  others: { choice: string }[];
  /** The step departs from it all the same: nothing that follows it takes this. */
  departs?: boolean;
};

export type Step = {
  /** `surface/pass/method`: stable for the same request. */
  id: string;
  surface: Surface;
  method: Method;
  level: number;
  /** A pass begins with air; within it the contact level never goes down. */
  pass: number;
  removes: Soil[];
  tool: Tool | null;
  /** The fluid where there is one, else what wipes; `uses` has all of it. */
  material: Material | null;
  amount: Amount | null;
  uses: Use[];
  /** The very things of the drawer, one for the tool and one for each material. */
  takes: Taken[];
  /** Where a fluid goes: on what wipes, or as one fine mist from about 30 cm; null without a fluid. */
  fluidGoes: 'on-wipe' | 'far-mist' | null;
  motion: Motion;
  orientation: Orientation;
  minutes: number;
  contact: boolean;
  /** Only for a wet sensor clean. */
  sensor: SensorWork | null;
  /** How often the step may be tried before climbing. */
  tries: number;
  look: Look | null;
  /** The step this one completes: it is done whenever that one was, whatever the look said. */
  completes: string | null;
  /** After the last try without result: go on to the next rung, or stop on this surface. */
  onNoChange: 'climb' | 'stop';
  cautions: HazardId[];
  basis: Basis;
  schoolNotes: SchoolNote[];
};

/** What was considered and ruled out: a way of doing it, or one thing to do it with. */
export type Refusal = { method?: Method; tool?: Tool; material?: Material | Contraband } & Refused;
/** What people reach for and never should. */
export type Contraband = 'household-tissue' | 'shirt-tail' | 'window-cleaner';

/** The rung `open-group`, or `lubricate` on a thread behind a ring, with what has to be settled before it. */
export type OpeningOffer = {
  surface: Surface;
  soil: Soil;
  severity: Severity;
  method: 'open-group' | 'lubricate';
  rings: readonly Ring[];
  /** A filter is stuck on: it comes off first, or the front ring stays where it is. */
  filterFirst: boolean;
} & Because;

export type Missing = { tool?: Tool; material?: Material; for: Surface[]; substitute?: Tool | Material } & Lack;
/** A hazard, before the first step that meets it; what to do and wear stands with the hazard. */
export type Caution = { hazard: HazardId; before: string };

/** A line of what to do before or after the work. */
export type SaidLine =
  { line: LineId } | ({ line: 'swab' } & Pick<SwabStrokes, 'widthMm' | 'axis' | 'lanes'>) | { line: 'back-to-the-wind'; caps: boolean };

/**
 * The whole plan in one line. `apart`: the thing is moved away from the rest first. `measures`: what "good enough" is
 * measured by where something is left.
 */
export type Summary = {
  says:
    | 'clean'
    | 'put-away'
    | 'weigh-opening'
    | 'wait-for-home'
    | 'wait-to-clear'
    | 'let-dry'
    | 'salt-water-inside'
    | 'free-the-filter'
    | 'renew'
    | 'drawer-lacks'
    | 'hand-over'
    | 'leave';
  apart: boolean;
  surfaces: number;
  measures: Measure[];
};

/** Until when something waits: home, until the fog has cleared or the water dried, until the filter is off. */
export const WAITS_UNTIL = ['home', 'clear', 'dry', 'filter-off'] as const;
export type WaitsUntil = (typeof WAITS_UNTIL)[number];

/** One surface, the dirt on it, and why it is dealt with as it is. */
type Entry = { surface: Surface; soil?: Soil } & Because;

export type CleaningPlan = {
  steps: Step[];
  /** First steps of surfaces that one set-up exposes: air in one go, then one look at all of them. */
  rounds: string[][];
  /** What to do before the first step and after the last one, in order. */
  prepare: SaidLine[];
  close: SaidLine[];
  refused: Refusal[];
  /** Why what is cleaned is worth a touch, where it lies. */
  worthIt: (Entry & { soil: Soil })[];
  leaveAlone: Entry[];
  deferred: (Entry & { until: WaitsUntil })[];
  handOver: (Entry & { costHint?: number })[];
  /** What no cleaning mends and no workshop is needed for: a new one goes in. */
  replace: Entry[];
  /** What lies behind a ring its owner may undo: not a step, but a question to weigh first. */
  openings: OpeningOffer[];
  /** What usually comes with it and is worth a look of its own. */
  alsoLook: Entry[];
  isolate: Entry | null;
  missing: Missing[];
  cautions: Caution[];
  totals: { minutes: number; contacts: number; materials: Use[]; cost: number };
  summary: Summary;
};

/** Everything a decision may look at, made once from the request. */
export type Context = {
  kind: ItemKind;
  traits: Traits;
  place: Place;
  conditions: Conditions;
  schools: Schools;
  onHand: OnHand[] | null;
  moreOnHand: boolean;
  sensorRehearsed: boolean;
  /** The rules the plan is held to: all of them, but for a check that switches one off. */
  rules: readonly Rule<RuleId>[];
};
