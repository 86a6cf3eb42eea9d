import { commonPractice, type Basis } from '../knowledge/basis.js';
import type { HazardId } from '../knowledge/hazards.js';
import type { Method } from '../knowledge/methods.js';
import type { Family, Surface } from '../knowledge/surfaces.js';

/** 0 none, 1 trace (seen only under a strong light), 2 light, 3 obvious, 4 heavy. */
export type Severity = 0 | 1 | 2 | 3 | 4;
export const SEVERITY_NAMES = ['none', 'trace', 'light', 'obvious', 'heavy'] as const;

/**
 * The nature of a soil decides the first move: what is loose is blown away, what dissolves is dissolved, what passes is
 * waited for, water that got in is dried or handed over, what lies inside is not reached from outside, what is worn is
 * renewed, what dried out is fed, and damage is not dirt at all.
 */
export type SoilNature =
  | 'loose'
  | 'film'
  | 'spot'
  | 'soluble'
  | 'bonded'
  | 'passing'
  | 'flooded'
  | 'inside'
  | 'growth'
  | 'tacky'
  | 'corrosion'
  | 'dried-out'
  | 'worn'
  | 'damage';

/**
 * What is in it that a rule has to know, whatever it is called: hard `grains` that scratch when dragged, `grease` that
 * spoils a brush, what `smears` under a dry cloth, `spores` or `splinters` that air would spread.
 */
export type Content = 'grains' | 'grease' | 'smears' | 'spores' | 'splinters';

/** How a soil is drawn on the light path and in the pattern pictures. */
export type SoilPattern =
  'specks' | 'grains' | 'fibres' | 'whorl' | 'drops' | 'veil' | 'arcs' | 'crystals' | 'blob' | 'threads' | 'scratch' | 'patch';

/** Why it is worth a touch where it lies, and why so little of it may stay. */
export type Reason = { act: string; leave?: string };
/** Between which severities a rung is worth trying on it. */
export type Bounds = { from?: Severity; upTo?: Severity };
export type Takes = Partial<Record<Method, Bounds>>;

/** How one soil lies on one family of surfaces. */
export type Lies = Reason & {
  /** The rungs of that family's ladder that take it; none where `ends` says what becomes of it. */
  takes?: Takes;
  /** What finishes after a damp pass where a smear of it stays. */
  finish?: Takes;
  /** Where no rung takes it: a workshop, living with it, a new one, or waiting. */
  ends?: 'workshop' | 'accept' | 'renew' | 'wait';
  /** Its place in the list a look offers there, the likeliest first; left out where a look does not ask for it. */
  asked?: number;
  /** The severity from which it is worth a touch here, where that is another than elsewhere. */
  actFrom?: 1 | 2 | 3 | 4;
};

/**
 * A soil, whole: what it is, where it may show and how it is asked for there, what takes it off, why it matters there,
 * what people call it, what it can do to whom. `checkSoil` refuses a record with a part missing, by name.
 */
export type SoilFacts = {
  name: string;
  nature: SoilNature;
  pattern: SoilPattern;
  holds: readonly Content[];
  /** What gives it away under the lamp. */
  tell: string;
  /** The severity from which it is worth a touch; below it the gentle answer is to leave it. */
  actFrom: 1 | 2 | 3;
  /** What it does, wherever it lies. */
  why: string;
  /** By family of surface: what is not written here it does not lie on. */
  on: Partial<Record<Family, Lies>>;
  /** Surfaces where it is asked for, or matters, unlike on the rest of their family; null where it cannot lie. */
  at: Partial<Record<Surface, Partial<Lies> | null>>;
  /** Surfaces alone on which it can lie, where not all of the family. */
  onlyAt: readonly Surface[] | null;
  /** What people say for it. */
  words: readonly string[];
  /** Cautions that belong to touching it. */
  hazards: readonly HazardId[];
  basis: Basis;
};

type Given = Pick<SoilFacts, 'name' | 'nature' | 'pattern' | 'tell' | 'actFrom' | 'why' | 'on' | 'words'> &
  Partial<Pick<SoilFacts, 'holds' | 'at' | 'onlyAt' | 'hazards' | 'basis'>>;

/** A soil of common practice, with what most soils have none of filled in. */
export const soil = (given: Given): SoilFacts => ({ holds: [], at: {}, onlyAt: null, hazards: [], basis: commonPractice, ...given });

export const always: Bounds = {};
export const from = (severity: Severity): Bounds => ({ from: severity });
export const upTo = (severity: Severity): Bounds => ({ upTo: severity });
/** These rungs, at every severity. */
export const by = (...methods: Method[]): Takes => Object.fromEntries(methods.map((m) => [m, always]));
