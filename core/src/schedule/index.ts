export {
  type Alarm,
  ALARM_KINDS,
  type AlarmKind,
  type AlarmPolicy,
  alarmsIn,
  type AlarmState,
  alarmsToTell,
  isQuietHour,
  NOTHING_TOLD,
  taken,
  type ToldAlarm,
  withoutLost,
} from './alarms.js';
export {
  agendaFrom,
  agendaInSteps,
  byConsequence,
  isAtHand,
  dampPlaces,
  lateOnReturn,
  oneLookEach,
  openWindow,
  type Agenda,
  type Duty,
} from './agenda.js';
export { DUE_CODES, type DueBecause, type DueBecauseCode } from './because.js';
export {
  addDays,
  addMonths,
  daysBetween,
  isDay,
  isNightHour,
  localDay,
  localHour,
  monthOf,
  weekdayOf,
  weekStart,
  type Day,
} from './day.js';
export {
  dueWindows,
  urgencyOf,
  type CareRule,
  type Done,
  type DueWindow,
  type Span,
  type SubjectFacts,
  type Urgency,
} from './dueWindows.js';
export {
  awayOf,
  DONE_BY,
  DUTIES,
  DUTY_CODES,
  dutyFacts,
  isMarked,
  isForKind,
  MAY_BE_LIVED_WITH,
  RHYTHM_CODES,
  type DoneBy,
  type DutyCode,
  type DutyFacts,
  type DutyKind,
  type Window,
} from './duties/index.js';
export {
  NO_FACTS,
  type Facts,
  type HygrometerFacts,
  type OutingFacts,
  type PastStayFacts,
  type PlaceClimateFacts,
  type SupplyFacts,
  type SurfaceFacts,
  type SensorFacts,
  type ThingFacts,
  type TimerFacts,
} from './facts.js';
export { firstTurns } from './firstTurns.js';
export { GRAVITIES, GRAVITY_WEIGHT, gravityRank, type Gravity } from './gravity.js';
export {
  AWAY_REASONS,
  Journal,
  OF_THE_CALENDAR,
  SKIP_REASONS,
  UNDOABLE,
  type AwayReason,
  type FieldsBefore,
  type LookSaid,
  type DutyEntry,
  type DatedEntry,
  type Entry,
  type JournalData,
  type JournalKind,
  type SkipReason,
  type ThingEntry,
  type ThingLogData,
} from './journal.js';
export { nextAfter, occurrences, plainEvery, recurAfter, RecurrenceError, rruleOf, type Every } from './recurrence.js';
export { instantOfLocal, localOfInstant, startOfDay, zonedToUtc } from './localTime.js';
export { everyMonths, rhythmFor, sameScope, withChange, type Rhythm, type RhythmChange, type RhythmScope } from './rhythms.js';
export { SET_UP_IDS, SET_UPS, setUpFacts, type SetUp, type SetUpId } from './setUps.js';
export { HOUSEHOLD, SUBJECT_KINDS, subjectKey, type NamedSubject, type SubjectKind, type SubjectRef } from './subjects.js';
export {
  CLIMATE_SIGNS,
  EXPOSURES,
  rhythmTroubles,
  USE_UNITS,
  type ClimateSign,
  type Exposure,
  type RhythmTrouble,
  type Trigger,
  type Use,
  type UseUnit,
} from './triggers.js';
export {
  benchProgramme,
  firstFreeDay,
  inBenchOrder,
  isBetterPlan,
  LATE_REASONS,
  planBenchDays,
  planFromSolver,
  remedyInSteps,
  taskId,
  type BenchDay,
  type BenchOptions,
  type BenchPlan,
  type BenchProgramme,
  type BenchTask,
  type DayBecause,
  type LateReason,
  type Remedy,
  type SolverAnswer,
} from './benchDays/index.js';
export {
  freeMinutes,
  instantAt,
  localMinute,
  merged as mergedBusy,
  readBusy,
  iCalendarInSteps,
  toICalendar,
  type Busy,
  type BusyReading,
  type CalendarEntry,
  type CalendarOptions,
  type CalendarProblem,
} from './icalendar/index.js';
export { type Expected, expectedOf, type Noted, notedOutdoors, withNoted } from './notedOutdoors.js';
export { seenBy, settledBy, type SettledBy, type Sight, surfacesOfSight } from './settling.js';
export { KEPT_REASONS, type KeptReason, MAY_BE_TAKEN_BACK, OFFERED_BACK_DAYS, ONLY_SAID } from './takeBack.js';
