export { benchProgramme, planFromSolver, type BenchProgramme, type SolverAnswer } from './milp.js';
export { isBetterPlan, planBenchDays, type BenchDay, type BenchPlan, type DayBecause } from './planBenchDays.js';
export { firstFreeDay, inBenchOrder, LATE_REASONS, taskId, type BenchOptions, type BenchTask, type LateReason } from './problem.js';
export { remedyInSteps, type Remedy } from './remedy.js';
