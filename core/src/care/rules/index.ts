import type { Surface } from '../knowledge/surfaces.js';
import type { Context } from '../types.js';
import { fluidRules } from './fluids.js';
import { openingRules } from './opening.js';
import { placeRules, weatherRules } from './places.js';
import type { Candidate, Rule } from './rule.js';
import { schoolRules } from './schools.js';
import { surfaceRules } from './surfaces.js';
import { toolRules } from './tools.js';
import { wipingRules } from './wiping.js';

/** All rules that hold always: the weather that forbids everything first, then what a surface bears at all, harm before place and taste. */
const ALL = [
  ...weatherRules,
  ...surfaceRules,
  ...openingRules,
  ...wipingRules,
  ...fluidRules,
  ...toolRules,
  ...placeRules,
  ...schoolRules,
] as const;

export type RuleId = (typeof ALL)[number]['id'];
export const RULES: readonly Rule<RuleId>[] = ALL;

export type Refused = { reason: 'rule'; rule: RuleId; surface: Surface };

/** The first rule that forbids the candidate, or null when it is allowed. */
export function firstRefusal(candidate: Candidate, context: Context): Refused | null {
  const broken = context.rules.find((r) => r.forbids(candidate, context));
  return broken ? { reason: 'rule', rule: broken.id, surface: candidate.surface } : null;
}

export type { Candidate, Rule } from './rule.js';
