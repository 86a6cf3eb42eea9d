import { airOut } from './airOut.js';
import { apart } from './apart.js';
import { leavesBand } from './leavesBand.js';
import { batteryContacts } from './batteryContacts.js';
import { capMissing } from './capMissing.js';
import { cellChange } from './cellChange.js';
import { clothWash } from './clothWash.js';
import { damp } from './damp.js';
import { dueBack } from './dueBack.js';
import type { DutyKind } from './duty.js';
import { eveningLook } from './eveningLook.js';
import { comesInCold } from './comesInCold.js';
import { dewTonight } from './dewTonight.js';
import { eveningMinute } from './eveningMinute.js';
import { exercise } from './exercise.js';
import { filterLook } from './filterLook.js';
import { followUpLook } from './followUpLook.js';
import { fungus } from './fungus.js';
import { gelRead } from './gelRead.js';
import { gelSpent } from './gelSpent.js';
import { goOn } from './goOn.js';
import { homeCare } from './homeCare.js';
import { lightTest } from './lightTest.js';
import { lookOver } from './lookOver.js';
import { clean, handOver, isolate, replace, wait, weigh } from './need.js';
import { neighbourLook12Weeks, neighbourLook4Weeks, neighbourLookNow } from './neighbourLook.js';
import { lookAfterOuting, lookBeforeOuting } from './outingLooks.js';
import { quarantineLook } from './quarantineLook.js';
import { restock } from './restock.js';
import { returnLook } from './returnLook.js';
import { rubberAiring } from './rubberAiring.js';
import { saltTest } from './saltTest.js';
import { secondLook } from './secondLook.js';
import { sensorClean } from './sensorClean.js';
import { sensorFrame } from './sensorFrame.js';
import { shellAndContacts } from './shellAndContacts.js';
import { silent } from './silent.js';
import { stickyLook } from './stickyLook.js';
import { tooDry } from './tooDry.js';
import { warmUp } from './warmUp.js';

/** Every kind of duty: the one place where a new one is listed. */
export const DUTIES = {
  'light-test': lightTest,
  'filter-look': filterLook,
  'look-over': lookOver,
  'sensor-frame': sensorFrame,
  'sensor-clean': sensorClean,
  exercise,
  'shell-and-contacts': shellAndContacts,
  'battery-contacts': batteryContacts,
  'quarantine-look': quarantineLook,
  'follow-up-look': followUpLook,
  'sticky-look': stickyLook,
  'home-care': homeCare,
  'neighbour-look': neighbourLookNow,
  'neighbour-look-4-weeks': neighbourLook4Weeks,
  'neighbour-look-12-weeks': neighbourLook12Weeks,
  'return-look': returnLook,
  'due-back': dueBack,
  'look-before-outing': lookBeforeOuting,
  'look-after-outing': lookAfterOuting,
  'evening-look': eveningLook,
  'evening-minute': eveningMinute,
  'comes-in-cold': comesInCold,
  'dew-tonight': dewTonight,
  'second-look': secondLook,
  'rubber-airing': rubberAiring,
  isolate,
  'hand-over': handOver,
  weigh,
  replace,
  wait,
  clean,
  'go-on': goOn,
  'air-out': airOut,
  'warm-up': warmUp,
  fungus,
  damp,
  'too-dry': tooDry,
  'gel-spent': gelSpent,
  'gel-read': gelRead,
  silent,
  apart,
  'leaves-band': leavesBand,
  'salt-test': saltTest,
  'cap-missing': capMissing,
  'cell-change': cellChange,
  'cloth-wash': clothWash,
  restock,
} as const satisfies Record<string, DutyKind>;

export type DutyCode = keyof typeof DUTIES;
export const DUTY_CODES = Object.keys(DUTIES) as DutyCode[];
export const dutyFacts = (code: DutyCode): DutyKind => DUTIES[code];
/** Is it done by saying so? One that leads to a wait is, once the wait has begun. */
export const isMarked = (code: DutyCode): boolean => ['mark', 'warm-up'].includes(dutyFacts(code).doneBy);
/** What recurs and may be set otherwise. */
export const RHYTHM_CODES: readonly DutyCode[] = DUTY_CODES.filter((code) => dutyFacts(code).rhythm);

export { DONE_BY, isForKind, type Context, type DoneBy, type DutyFacts, type DutyKind, type Window } from './duty.js';
export { MAY_BE_LIVED_WITH } from './need.js';
export { awayOf } from './recurring.js';
