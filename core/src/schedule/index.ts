export { DUE_CODES, type DueBecause, type DueBecauseCode } from './because.js';
export { addDays, addMonths, daysBetween, localDay, type Day } from './day.js';
export { NEIGHBOUR_LOOKS, ONCE_TASKS, RHYTHMS, TASK_IDS, rhythm, tasksFor, type Every, type Rhythm, type TaskId } from './rhythms.js';
export { dueWindows, nextWindow, ruleFor, urgencyOf, type CareRule, type Done, type DueWindow, type Urgency } from './dueWindows.js';
