export { clockJumpWords } from './air.js';
export { becauseWords, reachWords } from './care/because.js';
export { barWords } from './care/bars.js';
export { findingsWords, surfaceTitle } from './care/findings.js';
export { gentleWords } from './care/gentle.js';
export { howTo } from './care/howTo.js';
export { lineWords } from './care/lines.js';
export { beforeOpening, closingWords, DEPTH_NAMES, openingWords, type SayMoney } from './care/opening.js';
export { choiceWords, lookWords, type LookWords, readPlan, summaryWords } from './care/plan.js';
export { ruleInGeneral, ruleWords } from './care/rules.js';
export { schoolChangeWords } from './care/schoolChange.js';
export { assessWords, roughDays } from './fungus/assessment.js';
export { warningWords } from './fungus/warning.js';
export { FILE_ROLE_WORDS, GONE_SUM_WORDS, GONE_WORDS } from './gear/files.js';
export {
  cameWords,
  goneGroups,
  INVENTORY_WAYS,
  INVENTORY_WORDS,
  inventoryFacts,
  inventorySub,
  inventorySum,
  type InventoryWay,
  isPicture,
  kindAndMaker,
  lineSum,
  papersWords,
  titleWords,
} from './gear/inventory.js';
export { CHOICE_WORDS, GROUP_WORDS, particularLabel, particularWords } from './gear/particulars.js';
export { money } from './money.js';
export { alarmKindWords, alarmMessage, alarmParts, type Message } from './schedule/alarm.js';
export { benchDayWords, dayBecauseWords, lateWords, proofWords, remedyWords } from './schedule/bench.js';
export { dueWords, MET, SKIPPED, USES } from './schedule/due.js';
export { awayWords, dutyWords, type DutyWords, gravityWords, subjectWords } from './schedule/duty.js';
export { longDate, monthWords, shortInstant } from './day.js';
export { logWords, OUTCOME_WORDS } from './schedule/log.js';
export { keptWords } from './schedule/kept.js';
export { everyWords, recurrenceWords, rhythmTroubleWords, rhythmWords, triggerWords, weekdayWords } from './schedule/rhythm.js';
export { dryingWords, seasonWords } from './storage/season.js';
export { fStop } from './sensor/fStop.js';
export {
  changeWords,
  fateWords,
  frontMarkWords,
  glareChangeWords,
  glareGradeWords,
  percent,
  glareTroubleWords,
  notComparableWords,
  sittingWords,
  whereWords,
  pixelWords,
  sensorAdvice,
  sensorViewWords,
  sensorWords,
  unfitWords,
  unsureWords,
  zoneWords,
} from './sensor/sensor.js';
export { alertWords, type AlertWords } from './storage/alerts.js';
export { cannotExplainWords, type Explained, explainedWords, hindcastWords, somethingElseWords } from './storage/explained.js';
export { homeWords } from './storage/home.js';
export { askWords, caseWords, othersWords, PRACTICE_WORDS, practiceChoiceWords, practiceWhyWords } from './practice/practice.js';
export {
  fingerprintWords,
  NOTHING_TO_TELL,
  REPORT_PART_WORDS,
  REPORT_RESTS_ON,
  reportedThing,
  type ThingToReport,
  unseenWords,
} from './record/report.js';
export { inHandWords } from './record/inHand.js';
export { causeName, goesBeforeWords } from './record/causes.js';
export { standingBecause, type StandingTone, standingTone, standingWords } from './storage/standing.js';
export { timerWords } from './storage/timer.js';
export { capital, count, inWords, withUnit } from './text.js';
export { IN_THE_AIR_WORDS, LENS_CHANGE_ANSWER, lensChangeBecause, lensChangeStep, STANDS_OPEN, WIND_SIGN } from './trip/lensChange.js';
export { capSizesWords, sizesAlongWords } from './trip/sizes.js';
export { vapourLine, vapourVerdictWords, vapourWords } from './care/vapour.js';
export { forecastWords, WEATHER_WORDS } from './trip/weather.js';
