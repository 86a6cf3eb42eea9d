import type { Material, Tool } from './knowledge/materials.js';
import type { Method } from './knowledge/methods.js';
import { CARE_SCHOOL_IDS, DEFAULT_SCHOOLS, schoolChoices, type SchoolId } from './knowledge/schools.js';
import { planCleaning } from './planCleaning.js';
import type { CleaningPlan, PlanRequest, Step } from './types.js';

/** What another choice of a school would do to this very plan. */
export type SchoolChange = {
  school: SchoolId;
  choice: string;
  /** Ways of cleaning it would add and leave out. */
  adds: Method[];
  drops: Method[];
  /** Things it would take in hand that this plan does not, and the other way round. */
  takes: (Tool | Material)[];
  lays: (Tool | Material)[];
  /** How many touches more, at most; negative when fewer. */
  touches: number;
  /** The same with the same, in another motion. */
  motion: boolean;
  /** Other lines end the work: a filter back on, or not. */
  ends: boolean;
};

const unique = <T>(all: readonly T[]): T[] => [...new Set(all)];
const without = <T>(all: readonly T[], others: readonly T[]): T[] => unique(all.filter((one) => !others.includes(one)));
const methodsOf = ({ steps }: CleaningPlan) => steps.map((s) => s.method);
const thingsOf = ({ steps }: CleaningPlan) => steps.flatMap((s) => s.takes.map((t) => t.id));
const handOf = (steps: readonly Step[]) => steps.map(({ id, motion, fluidGoes, sensor }) => ({ id, motion, fluidGoes, sensor }));
const restOf = ({ refused, handOver, leaveAlone, isolate }: CleaningPlan) => ({ refused, handOver, leaveAlone, isolate });
const differ = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b);

function changeFrom(mine: CleaningPlan, theirs: CleaningPlan): Omit<SchoolChange, 'school' | 'choice'> | null {
  const change = {
    adds: without(methodsOf(theirs), methodsOf(mine)),
    drops: without(methodsOf(mine), methodsOf(theirs)),
    takes: without(thingsOf(theirs), thingsOf(mine)),
    lays: without(thingsOf(mine), thingsOf(theirs)),
    touches: theirs.totals.contacts - mine.totals.contacts,
    motion: differ(handOf(mine.steps), handOf(theirs.steps)),
    ends: differ(mine.close, theirs.close),
  };
  const changed = differ(thingsOf(mine), thingsOf(theirs)) || change.motion || change.ends || differ(restOf(mine), restOf(theirs));
  return changed ? change : null;
}

/** Every choice of every school that would make another plan of this request, with what would change. */
export function schoolChanges(request: PlanRequest): SchoolChange[] {
  const schools = { ...DEFAULT_SCHOOLS, ...request.schools };
  const mine = planCleaning(request);
  return CARE_SCHOOL_IDS.flatMap((school) =>
    schoolChoices(school).flatMap((choice) => {
      if (choice === schools[school]) return [];
      const change = changeFrom(mine, planCleaning({ ...request, schools: { ...schools, [school]: choice } }));
      return change ? [{ school, choice, ...change }] : [];
    }),
  );
}
