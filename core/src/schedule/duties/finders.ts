import { airOutDue } from './airOut.js';
import { apartDue } from './apart.js';
import { leavesBandDue } from './leavesBand.js';
import { batteryContactsDue } from './batteryContacts.js';
import { capMissingDue } from './capMissing.js';
import { cellChangeDue } from './cellChange.js';
import { findClothWash } from './clothWash.js';
import { dampDue } from './damp.js';
import { dueBackDue } from './dueBack.js';
import { eveningLookDue } from './eveningLook.js';
import { comesInColdDue } from './comesInCold.js';
import { dewTonightDue } from './dewTonight.js';
import { eveningMinuteDue } from './eveningMinute.js';
import { exerciseDue } from './exercise.js';
import { filterLookDue } from './filterLook.js';
import { followUpLookDue } from './followUpLook.js';
import { fungusDue } from './fungus.js';
import { gelReadDue } from './gelRead.js';
import { gelSpentDue } from './gelSpent.js';
import { goOnDue } from './goOn.js';
import { homeCareDue } from './homeCare.js';
import { lightTestDue } from './lightTest.js';
import { lookOverDue } from './lookOver.js';
import { needDue } from './need.js';
import { neighbourLookDue } from './neighbourLook.js';
import { lookAfterOutingDue, lookBeforeOutingDue } from './outingLooks.js';
import { quarantineLookDue } from './quarantineLook.js';
import { findRestock } from './restock.js';
import { returnLookDue } from './returnLook.js';
import { rubberAiringDue } from './rubberAiring.js';
import { saltTestDue } from './saltTest.js';
import { secondLookDue } from './secondLook.js';
import { sensorCleanDue } from './sensorClean.js';
import { sensorFrameDue } from './sensorFrame.js';
import { shellAndContactsDue } from './shellAndContacts.js';
import { silentDue } from './silent.js';
import { stickyLookDue } from './stickyLook.js';
import { tooDryDue } from './tooDry.js';
import { findWarmUp } from './warmUp.js';
import { ofHygrometers, ofOutings, ofPlaces, ofThings, type Finder } from './duty.js';
import type { DutyCode } from './index.js';

/** When each kind of duty falls due: apart from what is known of it, since only the agenda asks. */
export const FINDERS: Record<DutyCode, Finder> = {
  'light-test': ofThings(lightTestDue),
  'filter-look': ofThings(filterLookDue),
  'look-over': ofThings(lookOverDue),
  'sensor-frame': ofThings(sensorFrameDue),
  'sensor-clean': ofThings(sensorCleanDue),
  exercise: ofThings(exerciseDue),
  'shell-and-contacts': ofThings(shellAndContactsDue),
  'battery-contacts': ofThings(batteryContactsDue),
  'quarantine-look': ofThings(quarantineLookDue),
  'follow-up-look': ofThings(followUpLookDue),
  'sticky-look': ofThings(stickyLookDue),
  'home-care': ofThings(homeCareDue),
  'neighbour-look': ofThings(neighbourLookDue(0)),
  'neighbour-look-4-weeks': ofThings(neighbourLookDue(28)),
  'neighbour-look-12-weeks': ofThings(neighbourLookDue(84)),
  'return-look': ofThings(returnLookDue),
  'due-back': ofThings(dueBackDue),
  'look-before-outing': ofOutings(lookBeforeOutingDue),
  'look-after-outing': ofThings(lookAfterOutingDue),
  'evening-look': ofThings(eveningLookDue),
  'evening-minute': ofOutings(eveningMinuteDue),
  'comes-in-cold': ofOutings(comesInColdDue),
  'dew-tonight': ofOutings(dewTonightDue),
  'second-look': ofThings(secondLookDue),
  'rubber-airing': ofThings(rubberAiringDue),
  isolate: ofThings(needDue('isolate')),
  'hand-over': ofThings(needDue('hand-over')),
  weigh: ofThings(needDue('weigh')),
  replace: ofThings(needDue('replace')),
  wait: ofThings(needDue('wait')),
  clean: ofThings(needDue('clean')),
  'go-on': ofThings(goOnDue),
  'air-out': ofThings(airOutDue),
  'warm-up': findWarmUp,
  fungus: ofPlaces(fungusDue),
  damp: ofPlaces(dampDue),
  'too-dry': ofPlaces(tooDryDue),
  apart: ofPlaces(apartDue),
  'leaves-band': ofPlaces(leavesBandDue),
  'gel-spent': ofPlaces(gelSpentDue),
  'gel-read': ofPlaces(gelReadDue),
  silent: ofHygrometers(silentDue),
  'salt-test': ofHygrometers(saltTestDue),
  'cap-missing': ofThings(capMissingDue),
  'cell-change': ofHygrometers(cellChangeDue),
  'cloth-wash': findClothWash,
  restock: findRestock,
};
